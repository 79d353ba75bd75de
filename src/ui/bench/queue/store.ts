import { type DBSchema, type IDBPDatabase, openDB } from 'idb'

/** An entry of the bench as it was made on this device, before it is sent. */
export interface OutgoingEntry {
  readonly workshop: string
  readonly token: string
  readonly device: string
  readonly tray: string
  readonly item: string | null
  readonly step: string | null
  readonly kind: 'done' | 'loss' | 'note' | 'reading' | 'reversal' | 'started' | 'test'
  /** The device's own time when it happened. */
  readonly at: string
  /** Since when it was in hand. */
  readonly startedAt?: string
  readonly text?: string
  readonly dimension?: string
  readonly value?: number | string
  /** What the page understood a reading to be, mm, until the program has said. */
  readonly valueMm?: number
  readonly instrument?: string
  /** Of a failed test the part that gave way, of a loss the part that is made again. */
  readonly part?: string
  readonly reverses?: string
}

/** An entry that waits on this device: in which order it was made, and why it was refused, if it was. */
export interface QueuedEntry {
  readonly order: number
  readonly entry: OutgoingEntry
  readonly refused: string | null
  /** How often the program answered that the fault was its own. */
  readonly faults: number
}

interface Schema extends DBSchema {
  entries: { key: number; value: Omit<QueuedEntry, 'order'> & { order?: number } }
  /** What the program has acknowledged, until a page that was given anew tells it back: a page kept on the device is older. */
  sent: { key: string; value: QueuedEntry & { readonly token: string; readonly sentAt: number } }
}

let opened: Promise<IDBPDatabase<Schema>> | undefined

function open(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('fold-anvil-bench', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('entries', { keyPath: 'order', autoIncrement: true })
      db.createObjectStore('sent', { keyPath: 'token' })
    },
    blocking: () => {
      void opened?.then((db) => db.close())
      opened = undefined
    },
    terminated: () => {
      opened = undefined
    },
  })
  return opened
}

/** Puts an entry behind those that wait; it is on the device's disk when this is done. */
export async function enqueue(entry: OutgoingEntry): Promise<QueuedEntry> {
  const transaction = (await open()).transaction('entries', 'readwrite', { durability: 'strict' })
  const order = await transaction.store.add({ entry, refused: null, faults: 0 })
  await transaction.done
  return { order, entry, refused: null, faults: 0 }
}

/** Everything on this device that the program has not acknowledged, the oldest first. */
export async function queuedEntries(): Promise<QueuedEntry[]> {
  return (await (await open()).getAll('entries')) as QueuedEntry[]
}

export async function dropQueued(order: number): Promise<void> {
  await (await open()).delete('entries', order)
}

/** Takes an acknowledged entry off the queue; that it was sent stays known on the device. */
export async function markSent(entry: QueuedEntry): Promise<void> {
  const transaction = (await open()).transaction(['entries', 'sent'], 'readwrite')
  await Promise.all([
    transaction.objectStore('sent').put({ ...entry, token: entry.entry.token, sentAt: Date.now() }),
    transaction.objectStore('entries').delete(entry.order),
    transaction.done,
  ])
}

/** So long what was sent is remembered where no page tells it back, ms. */
const REMEMBERED_MS = 14 * 86_400_000

/** What waits here and what was sent and no page was given back yet, of one moment, each in the order it was made. */
export async function keptHere(): Promise<{ queued: QueuedEntry[]; sent: QueuedEntry[] }> {
  const transaction = (await open()).transaction(['entries', 'sent'])
  const [queued, all] = await Promise.all([transaction.objectStore('entries').getAll(), transaction.objectStore('sent').getAll()])
  const sent = all.filter(({ sentAt }) => Date.now() - sentAt < REMEMBERED_MS).sort((a, b) => a.order - b.order)
  return { queued: queued as QueuedEntry[], sent }
}

/** Forgets what was sent and is told back by the program now. */
export async function forgetSent(tokens: readonly string[]): Promise<void> {
  const transaction = (await open()).transaction('sent', 'readwrite')
  await Promise.all([...tokens.map((token) => transaction.store.delete(token)), transaction.done])
}

/** Keeps an entry with what was said of it. */
export async function markQueued(entry: QueuedEntry): Promise<void> {
  await (await open()).put('entries', entry)
}
