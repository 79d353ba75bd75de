import { notFound } from '@/server/http/answer'
import { simulatedCalipers } from '@/server/instruments/simulated'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

export const dynamic = 'force-dynamic'

/** Server-sent events: one reading of the calipers each, until the page closes the stream. `zeroed` is when their zero was set last, ms. */
export function GET(request: Request) {
  if (!isPracticeOn(workshop()))
    return notFound('the simulated calipers are off in this workshop; Settings can switch them on for practice')
  const asked = new URL(request.url).searchParams
  const near = Number(asked.get('near') ?? '10')
  const zeroedAtMs = Number(asked.get('zeroed')) || undefined
  const jaws = { nearMm: Number.isFinite(near) && near > 0 ? near : 10, isExact: asked.has('exact'), zeroedAtMs }
  const encoder = new TextEncoder()
  const stream = new ReadableStream({
    async start(controller) {
      for await (const reading of simulatedCalipers.readings(jaws, request.signal)) {
        if (request.signal.aborted) return
        controller.enqueue(
          encoder.encode(`data: ${JSON.stringify({ ...reading, instrument: simulatedCalipers.id, title: simulatedCalipers.title })}\n\n`),
        )
      }
    },
  })
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } })
}
