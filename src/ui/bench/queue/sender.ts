import type { OutgoingEntry, QueuedEntry } from './store'

/** Where the entries wait, and how one is sent: the browser's own, or a test's. */
export interface Outbox {
  readonly all: () => Promise<readonly QueuedEntry[]>
  /** Takes an acknowledged entry off the device. */
  readonly drop: (entry: QueuedEntry) => Promise<void>
  readonly mark: (entry: QueuedEntry) => Promise<void>
  readonly post: (entry: OutgoingEntry, order: number) => Promise<PostAnswer>
}

export interface PostAnswer {
  /** HTTP status; 0 where nothing answered. */
  readonly status: number
  readonly code: string
  readonly message: string
  /** Where in the program’s ledger the entry stands, where it was kept. */
  readonly upTo?: number | undefined
}

export interface SendRound {
  /** Where in the ledger of which workshop the last that was sent stands; none where nothing was sent. */
  readonly sent: { readonly workshop: string; readonly upTo: number } | null
  /** Whether everything that could be sent was; false where the program does not take entries now. */
  readonly through: boolean
  readonly message: string
}

/** So often the program may answer that the fault is its own before an entry is set aside, in sight. */
const MOST_FAULTS = 5
const REFUSALS = new Set([400, 404, 409, 411, 413, 422])

/** What becomes of an entry after an answer: sent, refused and kept in sight, passed over for now, or the round ends. */
function outcomeOf(entry: QueuedEntry, { status, code, message }: PostAnswer): 'sent' | 'pass' | 'stop' | QueuedEntry {
  if (status >= 200 && status < 300) return 'sent'
  if (code === 'other-workshop') return 'pass'
  if (REFUSALS.has(status)) return { ...entry, refused: message }
  if (status !== 500) return 'stop'
  const faults = entry.faults + 1
  return { ...entry, faults, refused: faults >= MOST_FAULTS ? message : null }
}

/**
 * Sends what waits, one at a time, the oldest first. What is refused stays on the device with the reason; where nothing answers, or the
 * program cannot take it now, the round ends and everything stays in order for the next.
 */
export async function sendRound(outbox: Outbox): Promise<SendRound> {
  let sent: SendRound['sent'] = null
  for (const entry of await outbox.all()) {
    if (entry.refused !== null) continue
    const answer = await outbox.post(entry.entry, entry.order)
    const outcome = outcomeOf(entry, answer)
    if (outcome === 'stop') return { sent, through: false, message: answer.message }
    if (outcome === 'pass') continue
    if (outcome === 'sent') {
      await outbox.drop(entry)
      sent = { workshop: entry.entry.workshop, upTo: answer.upTo ?? 0 }
      continue
    }
    await outbox.mark(outcome)
    if (outcome.refused === null) return { sent, through: false, message: answer.message }
  }
  return { sent, through: true, message: '' }
}

const ANSWER_WITHIN_MS = 8000

/** Sends one entry to the program. Never throws. */
export async function postEntry({ valueMm: _, ...entry }: OutgoingEntry, order: number): Promise<PostAnswer> {
  try {
    const response = await fetch('/api/v1/entries', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...entry, sequence: order, sentAt: new Date().toISOString() }),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
      redirect: 'error',
    })
    const { error, upTo } = (await response.json()) as { error?: { code: string; message: string }; upTo?: number }
    return { status: response.status, code: error?.code ?? '', message: error?.message ?? '', upTo }
  } catch {
    return { status: 0, code: '', message: 'The program is not responding.' }
  }
}
