import { notFound, withJson } from '@/server/http/answer'
import { simulatedCalipers } from '@/server/instruments/simulated'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

export const dynamic = 'force-dynamic'

const OFF = 'the simulated calipers are off in this workshop; Settings can switch them on for practice'

/** Server-sent events: one reading of the calipers each, until the page closes the stream. */
export function GET(request: Request) {
  if (!isPracticeOn(workshop())) return notFound(OFF)
  const asked = new URL(request.url).searchParams
  const near = Number(asked.get('near') ?? '10')
  const jaws = { nearMm: Number.isFinite(near) && near > 0 ? near : 10, isExact: asked.has('exact') }
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

/** Sets the zero of the calipers, their jaws closed. */
export function POST(request: Request) {
  if (!isPracticeOn(workshop())) return notFound(OFF)
  return withJson(request, () => {
    simulatedCalipers.setZero()
    return { ok: true, body: { zeroed: true } }
  })
}
