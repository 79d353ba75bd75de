import { THERMOMETER_FAULTS } from '@/core/instruments'
import { notFound } from '@/server/http/answer'
import { simulatedThermometer } from '@/server/instruments/simulated'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

export const dynamic = 'force-dynamic'

const HOTTEST_C = 2000

/** What the thermometer shows: under it something `true` °C hot, with the fault that was put in. */
export function GET(request: Request) {
  if (!isPracticeOn(workshop()))
    return notFound('the simulated thermometer is off in this workshop; Settings can switch it on for practice')
  const asked = new URL(request.url).searchParams
  const fault = THERMOMETER_FAULTS.find((one) => one === asked.get('fault'))
  const { title, read } = simulatedThermometer
  const trueC = Math.min(HOTTEST_C, Math.max(0, Number(asked.get('true')) || 0))
  return Response.json({ title, tempC: read({ trueC, ...(fault ? { fault } : {}) }) })
}
