/** The middle of values, of two the greater; 0 where there are none. */
export function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0
}
