import { notFound } from '@/server/http/answer'
import { simulatedScale } from '@/server/instruments/simulated'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

export const dynamic = 'force-dynamic'

/** What the scale shows. `zeroed` is when its zero was set last, ms. */
export function GET(request: Request) {
  if (!isPracticeOn(workshop())) return notFound('the simulated scale is off in this workshop; Settings can switch it on for practice')
  const asked = new URL(request.url).searchParams
  const near = Number(asked.get('near') ?? '0')
  const pan = {
    nearG: Number.isFinite(near) && near > 0 ? near : 0,
    isExact: asked.has('exact'),
    zeroedAtMs: Number(asked.get('zeroed')) || undefined,
  }
  return Response.json({ title: simulatedScale.title, massG: simulatedScale.weigh(pan) })
}
