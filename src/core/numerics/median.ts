/** The middle of values, of two the greater; 0 where there are none. */
export function median(values: ArrayLike<number>): number {
  return Float64Array.from(values).sort()[values.length >> 1] ?? 0
}
