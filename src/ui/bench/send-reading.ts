export interface OutgoingReading {
  readonly workpiece: number
  readonly stepId: string
  readonly dimension: string
  readonly value: number | string
  readonly instrument: string
}

/** A reading on its way: the token makes a second sending harmless. */
export interface QueuedReading extends OutgoingReading {
  readonly trayId: number
  readonly token: string
}

export type SendResult =
  | { readonly outcome: 'kept'; readonly valueMm: number }
  | { readonly outcome: 'refused' | 'unanswered'; readonly message: string }

const STORE = 'fold-anvil-unsent-readings'

/** Readings the program has not acknowledged yet, kept in the page's own store. */
export function unsentReadings(): readonly QueuedReading[] {
  try {
    return JSON.parse(localStorage.getItem(STORE) ?? '[]') as QueuedReading[]
  } catch {
    return []
  }
}

function store(readings: readonly QueuedReading[]): void {
  localStorage.setItem(STORE, JSON.stringify(readings))
}

async function post(reading: QueuedReading): Promise<SendResult> {
  const { trayId, ...body } = reading
  try {
    const response = await fetch(`/api/v1/trays/${trayId}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    const answer = (await response.json()) as { valueMm?: number; error?: { message: string } }
    if (response.ok && answer.valueMm !== undefined) return { outcome: 'kept', valueMm: answer.valueMm }
    return { outcome: 'refused', message: answer.error?.message ?? 'The reading was refused.' }
  } catch {
    return { outcome: 'unanswered', message: 'The program does not answer. The reading is kept on this page and sent again by itself.' }
  }
}

/** Sends a reading; where nothing answers, it waits in the page's store until `resendReadings` gets it through. */
export async function sendReading(trayId: number, reading: OutgoingReading): Promise<SendResult> {
  const queued: QueuedReading = { ...reading, trayId, token: crypto.randomUUID() }
  const sent = await post(queued)
  if (sent.outcome === 'unanswered') store([...unsentReadings(), queued])
  return sent
}

/** Tries the waiting readings again, each once; gives how many got through. */
export async function resendReadings(): Promise<number> {
  let through = 0
  for (const reading of unsentReadings()) {
    const sent = await post(reading)
    if (sent.outcome === 'unanswered') return through
    store(unsentReadings().filter((waiting) => waiting.token !== reading.token))
    if (sent.outcome === 'kept') through++
  }
  return through
}
