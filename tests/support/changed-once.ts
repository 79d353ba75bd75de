/** Values that differ from one in a single place, wherever it lies in it. */
export function changedOnce(value: unknown): unknown[] {
  if (typeof value === 'number') return [value + 1]
  if (typeof value === 'string') return [`${value}1`]
  if (typeof value === 'boolean') return [!value]
  if (Array.isArray(value)) return value.flatMap((item, i) => changedOnce(item).map((other) => value.with(i, other)))
  if (!value || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, item]) => changedOnce(item).map((other) => ({ ...value, [key]: other })))
}
