import type { AlloyId } from '../metals'
import { faradayUmPerMin } from './faraday'
import type { EtchRun } from './schema'

/** What a bath has done of what Faraday’s law says: the middle of its runs, and between which they lie. */
export interface Efficiency {
  readonly ratio: number
  readonly least: number
  readonly most: number
  readonly count: number
}

/** The middle of the runs of a bath, which one bad reading does not move; as the law says where there are none. */
export function efficiencyOf(alloy: AlloyId, runs: readonly EtchRun[]): Efficiency {
  const ratios = runs
    .map(({ areaMm2, currentA, minutes, depthMm }) => {
      const byLawMm = (faradayUmPerMin(alloy, (10_000 * currentA) / areaMm2) * minutes) / 1000
      return depthMm / byLawMm
    })
    .sort((a, b) => a - b)
  const [least, most] = [ratios[0], ratios.at(-1)]
  if (least === undefined || most === undefined) return { ratio: 1, least: 1, most: 1, count: 0 }
  const half = (ratios.length - 1) / 2
  const ratio = ((ratios[Math.floor(half)] as number) + (ratios[Math.ceil(half)] as number)) / 2
  return { ratio, least, most, count: ratios.length }
}
