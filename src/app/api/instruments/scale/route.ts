import { notFound } from '@/server/http/answer'
import { simulatedScale } from '@/server/instruments/simulated'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

export const dynamic = 'force-dynamic'

/** What the scale shows. */
export function GET(request: Request) {
  if (!isPracticeOn(workshop())) return notFound('the simulated scale is off in this workshop; Settings can switch it on for practice')
  const near = Number(new URL(request.url).searchParams.get('near') ?? '0')
  const { title, weigh } = simulatedScale
  return Response.json({ title, massG: weigh(Number.isFinite(near) && near > 0 ? near : 0) })
}
