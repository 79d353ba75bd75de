/** An entry as a device sees it: what the program has, and what still waits to be sent. */
export interface LedgerEntry {
  readonly token: string
  readonly kind: string
  readonly reverses: string | null
}

/** The entries that stand: not taken back by a later one, and taking nothing back themselves. */
export function standingEntries<E extends LedgerEntry>(entries: readonly E[]): E[] {
  const reversed = new Set(entries.flatMap((entry) => (entry.reverses === null ? [] : [entry.reverses])))
  const seen = new Set<string>()
  return entries.filter((entry) => {
    const again = seen.has(entry.token)
    seen.add(entry.token)
    return !again && entry.kind !== 'reversal' && !reversed.has(entry.token)
  })
}
