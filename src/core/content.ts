function inOrder(_key: string, value: unknown): unknown {
  if (!value || typeof value !== 'object' || Array.isArray(value)) return value
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
}

/** What a value contains, as JSON: the same text for the same content, in whatever order its keys were put; what is undefined is not there. */
export const contentOf = (value: unknown): string => JSON.stringify(value, inOrder) ?? ''

/** Whether two values contain the same. */
export const isSameContent = (a: unknown, b: unknown): boolean => contentOf(a) === contentOf(b)
