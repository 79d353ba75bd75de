export interface OutgoingReading {
  readonly workpiece: number
  readonly stepId: string
  readonly dimension: string
  readonly value: number | string
  readonly instrument: string
}

export type SendResult =
  | { readonly ok: true; readonly valueMm: number }
  | { readonly ok: false; readonly message: string; readonly retry: boolean }

/** Sends a reading; the token makes a second sending harmless, so it may be tried again when the network comes back. */
export async function sendReading(trayId: number, token: string, reading: OutgoingReading): Promise<SendResult> {
  try {
    const response = await fetch(`/api/v1/trays/${trayId}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...reading, token }),
    })
    const body = (await response.json()) as { valueMm?: number; error?: { message: string } }
    if (response.ok && body.valueMm !== undefined) return { ok: true, valueMm: body.valueMm }
    return { ok: false, retry: false, message: body.error?.message ?? 'The reading was refused.' }
  } catch {
    return { ok: false, retry: true, message: 'The program does not answer. The reading is kept here and sent again.' }
  }
}
