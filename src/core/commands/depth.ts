/** Nothing that is asked for is nested deeper than this. */
const MOST_DEEP = 40

/** Texts, which may hold brackets of their own, and the brackets between them. */
const TOKENS = /"[^"\\]*(?:\\.[^"\\]*)*"|[[\]{}]/gs
const STEPS: ReadonlyMap<string, number> = new Map([
  ['{', 1],
  ['[', 1],
  ['}', -1],
  [']', -1],
])

/** Says so where a JSON text is nested deeper than anything that is asked for; told from its brackets, before it is read. */
export function depthFault(json: string): string | undefined {
  let depth = 0
  for (const [token] of json.matchAll(TOKENS)) {
    depth += STEPS.get(token) ?? 0
    if (depth > MOST_DEEP) return `the input is nested more than ${MOST_DEEP} deep; nothing here is`
  }
  return undefined
}
