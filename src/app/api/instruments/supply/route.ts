import { SUPPLY_FAULTS } from '@/core/instruments'
import { notFound } from '@/server/http/answer'
import { simulatedSupply } from '@/server/instruments/simulated'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

export const dynamic = 'force-dynamic'

/** What the etching supply shows: set to `set` A, `at` seconds after it was switched on, with the fault that was put in `since` seconds. */
export function GET(request: Request) {
  if (!isPracticeOn(workshop()))
    return notFound('the simulated etching supply is off in this workshop; Settings can switch it on for practice')
  const asked = new URL(request.url).searchParams
  const number = (name: string, most: number) => Math.min(most, Math.max(0, Number(asked.get(name)) || 0))
  const kind = SUPPLY_FAULTS.find((fault) => fault === asked.get('fault'))
  const { title, read } = simulatedSupply
  const reading = read({
    setA: number('set', 100),
    atS: number('at', 1e6),
    ...(kind ? { fault: { kind, sinceS: number('since', 1e6) } } : {}),
  })
  return Response.json({ title, ...reading })
}
