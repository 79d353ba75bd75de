import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS, type Alloy } from '@/core/metals'
import { type RouteStep, temperBands, walkTemper } from '@/core/route'

/**
 * The ledger of the metal worked out anew: strain, work used, hardness and softening by the equations themselves, with none of the program's own
 * functions. What it is fed with (curves, limits, half softening) are the program's tables.
 */

type Step =
  | { readonly kind: 'roll'; readonly share: number }
  | { readonly kind: 'planish'; readonly share: number }
  | { readonly kind: 'heat'; readonly tempC: number; readonly timeS: number }

const flow = ({ flow: { s0MPa, qMPa, b, hMPa } }: Alloy, strain: number) => s0MPa + qMPa * (1 - Math.exp(-b * strain)) + hMPa * strain
const limitOf = ({ reductionLimitFraction: r }: Alloy) => (2 / Math.sqrt(3)) * Math.log(1 / (1 - r))

/** The strain at which the flow stress is reached, by halving. */
function strainAt(alloy: Alloy, stress: number): number {
  let [low, high] = [0, 2]
  for (let n = 0; n < 80; n++) {
    const middle = (low + high) / 2
    if (flow(alloy, middle) < stress) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** Share recrystallised: 1 − 2^(−τ^1.5), τ the time over that to half softening; nothing under a strain of 0.02, all of it from 0.05 on. */
function softenedBy(alloy: Alloy, strain: number, tempC: number, timeS: number): number {
  if (strain < 0.02) return 0
  const half =
    3600 *
    (Math.max(strain, 0.3) / 0.8) ** -2 *
    Math.exp((alloy.softeningKJPerMol / 0.00831446) * (1 / (tempC + 273.15) - 1 / (alloy.halfSofteningC + 273.15)))
  const share = Math.min(1, Math.max(0, (strain - 0.02) / 0.03))
  return (1 - 2 ** -((timeS / half) ** 1.5)) * share * share * (3 - 2 * share)
}

interface Ledger {
  strain: number
  used: number
  lost: number
  thickMm: number
}

function follow(alloy: Alloy, steps: readonly Step[]): Ledger[] {
  const now: Ledger = { strain: 0, used: 0, lost: 0, thickMm: 2 }
  const work = (strain: number, weight: number, thinner: number) => {
    const before = now.used
    now.strain += strain
    now.used += (weight * strain) / limitOf(alloy)
    now.lost += Math.max(0, now.used - Math.max(0.85, before))
    now.thickMm *= thinner
  }
  return steps.map((step) => {
    if (step.kind === 'roll') work((2 / Math.sqrt(3)) * Math.log(1 / step.share), 1, step.share)
    else if (step.kind === 'planish') work(Math.log(1 / step.share), 0.8, step.share)
    else {
      const softened = softenedBy(alloy, now.strain, step.tempC, step.timeS)
      const soft = flow(alloy, 0)
      if (now.strain >= 0.02) now.strain = strainAt(alloy, soft + (1 - softened) * (flow(alloy, now.strain) - soft))
      now.used = Math.max(now.lost, now.used * (1 - softened))
    }
    return { ...now }
  })
}

/** The same steps as the program takes them. */
function routeOf(steps: readonly Step[]): RouteStep[] {
  let thick = 2
  return steps.map((step): RouteStep => {
    const from = thick
    if (step.kind !== 'heat') thick *= step.share
    if (step.kind === 'roll') return { op: 'roll', params: { fromMm: from, toMm: thick } }
    if (step.kind === 'planish') return { op: 'planish', params: { thinnedFraction: 1 - step.share } }
    return { op: 'anneal', params: { tempC: step.tempC, timeS: step.timeS } }
  })
}

const shares = fc.double({ min: 0.8, max: 0.98, noNaN: true })
const known = ALLOY_IDS.filter((id) => id !== 'gold-14k')
const stepOf = (alloy: Alloy) =>
  fc.oneof(
    fc.record({ kind: fc.constant('roll' as const), share: shares }),
    fc.record({ kind: fc.constant('planish' as const), share: fc.double({ min: 0.9, max: 0.99, noNaN: true }) }),
    fc.record({
      kind: fc.constant('heat' as const),
      tempC: fc.double({ min: 150, max: Math.min(1000, alloy.solidusC - 60), noNaN: true }),
      timeS: fc.double({ min: 5, max: 600, noNaN: true }),
    }),
  )

describe.each(known)('the ledger of %s', (id) => {
  const alloy = ALLOYS[id]
  it('is what the equations give, step by step, of any route of rolls, hammer and heats', () =>
    fc.assert(
      fc.property(fc.array(stepOf(alloy), { minLength: 1, maxLength: 12 }), (steps) => {
        const walk = walkTemper({ alloy: id, thicknessMm: 2, bought: 'annealed', steps: routeOf(steps) })
        expect(walk.issues).toEqual([])
        follow(alloy, steps).forEach((own, i) => {
          const state = walk.steps[i]
          if (!state) throw new Error('no state')
          expect(state.strain).toBeCloseTo(own.strain, 6)
          expect(state.workUsedFraction).toBeCloseTo(own.used, 6)
          expect(state.regions[0]?.damageFraction).toBeCloseTo(own.lost, 6)
          expect(state.thicknessMm).toBeCloseTo(own.thickMm, 9)
          expect(state.hardnessHv / ((alloy.flow.c * flow(alloy, Math.min(2, own.strain + 0.08))) / 9.80665)).toBeCloseTo(1, 6)
        })
      }),
      { numRuns: 25 },
    ))
  it('has its own run between 10 and 90 % of what may come of it, but for what has no doubt', () => {
    const steps = routeOf([
      { kind: 'roll', share: 0.8 },
      { kind: 'roll', share: 0.85 },
      { kind: 'heat', tempC: Math.min(650, alloy.solidusC - 120), timeS: 40 },
      { kind: 'roll', share: 0.9 },
    ])
    const input = { alloy: id, thicknessMm: 2, bought: 'annealed', steps } as const
    const states = walkTemper(input).steps
    temperBands(input).forEach(({ hardnessHv, workUsedFraction }, i) => {
      const state = states[i]
      expect(hardnessHv.low).toBeLessThanOrEqual((state?.hardnessHv ?? 0) * 1.02)
      expect(hardnessHv.high).toBeGreaterThanOrEqual((state?.hardnessHv ?? 0) * 0.98)
      expect(workUsedFraction.low).toBeLessThanOrEqual((state?.workUsedFraction ?? 0) + 0.02)
      expect(workUsedFraction.high).toBeGreaterThanOrEqual((state?.workUsedFraction ?? 0) - 0.02)
    })
  })
})
