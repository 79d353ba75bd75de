/** An outline as the path of a picture, y upwards as in the drawings. */
export function outlinePath(outline: readonly (readonly [number, number])[]): string {
  return `M${outline.map(([x, y]) => `${x} ${-y}`).join('L')}Z`
}
