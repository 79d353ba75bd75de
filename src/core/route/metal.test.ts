import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { temper } from '../commands'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { flowStressMPa, hardnessHv } from '../metals/flow'
import { type RouteStep, walkTemper } from './temper'
import { temperBands } from './temper-bands'

const STRIP = { alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed' } as const
const roll = (toMm: number): RouteStep => ({ op: 'roll', params: { fromMm: 1, toMm } })
const anneal = (params: object = {}): RouteStep => ({ op: 'anneal', params: { ...params } })
const last = (steps: readonly RouteStep[], more: object = {}) => {
  const walk = walkTemper({ ...STRIP, ...more, steps })
  expect(walk.issues).toEqual([])
  const state = walk.steps.at(-1)
  if (!state) throw new Error('no state')
  return state
}

describe('sterling hardened by age (precious-metal literature, from memory, medium to low)', () => {
  const dissolved = anneal({ tempC: 755, timeS: 1200 })
  const age = (tempC: number, timeS: number): RouteStep => ({ op: 'age-harden', params: { tempC, timeS } })
  const gain = (steps: readonly RouteStep[]) => last(steps).hardnessHv - hardnessHv(ALLOYS['sterling-925'], 0)
  it.each([
    [300, 1800, 48],
    [250, 3600, 23],
  ])('from solution gains at %i °C for %i s about %i HV', (tempC, timeS, hv) =>
    expect(Math.abs(gain([dissolved, age(tempC, timeS)]) - hv)).toBeLessThan(0.6),
  )
  it('from an ordinary anneal gains half, and a heat to soften it takes it away again', () => {
    const held = age(300, 3600)
    expect(gain([anneal(), held]) / gain([dissolved, held])).toBeCloseTo(0.5, 9)
    expect(gain([dissolved, held, anneal()])).toBeCloseTo(0, 9)
  })
  it('stands less work before it cracks', () => {
    const bent = { op: 'bend', params: { insideRadiusMm: 4 } }
    const [soft, hard] = [last([dissolved, bent]), last([dissolved, age(300, 3600), bent])]
    expect(hard.workUsedFraction / soft.workUsedFraction).toBeCloseTo(1 / 0.6, 6)
    expect(hard.stiffness).toBeGreaterThan(soft.stiffness)
  })
  it('other metals refuse it by name', () =>
    expect(walkTemper({ ...STRIP, alloy: 'copper-c110', steps: [age(300, 1800)] }).issues[0]?.message).toMatch(
      /^Copper does not harden by age/,
    ))
})

describe('sterling that cooled slowly (precious-metal literature, from memory, medium)', () => {
  const slowly: RouteStep = { op: 'cool-slowly', params: {} }
  it('is left at about 90 HV where a quench leaves about 70, until it is heated again', () => {
    const [quenched, slow] = [last([anneal()]), last([anneal(), slowly])]
    expect(slow.hardnessHv - quenched.hardnessHv).toBeCloseTo(20, 9)
    expect(slow.workUsedFraction).toBe(quenched.workUsedFraction)
    expect(last([anneal(), slowly, anneal()]).hardnessHv).toBeCloseTo(quenched.hardnessHv, 9)
  })
  it('keeps what it gained while it is worked, and gains less by age than from solution', () => {
    const bent = { op: 'bend', params: { insideRadiusMm: 4 } }
    expect(last([anneal(), slowly, bent]).hardnessHv - last([anneal(), bent]).hardnessHv).toBeCloseTo(20, 9)
    const [dissolved, held] = [anneal({ tempC: 755, timeS: 1200 }), { op: 'age-harden', params: { tempC: 300, timeS: 3600 } }]
    expect(last([dissolved, slowly, held]).hardnessHv).toBeLessThan(last([dissolved, held]).hardnessHv)
  })
  it('other metals are as soft either way', () => {
    const soft = last([anneal()], { alloy: 'copper-c110' })
    expect(last([anneal(), slowly], { alloy: 'copper-c110' }).hardnessHv).toBe(soft.hardnessHv)
  })
})

describe('a heat that is short or cold', () => {
  it('leaves metal between hard and soft, and says how much of it is', () => {
    const short = last([roll(0.6), anneal({ tempC: 520, timeS: 5 })])
    expect(short.softenedFraction).toBeGreaterThan(0.02)
    expect(short.softenedFraction).toBeLessThan(0.6)
    expect(short.heldS).toBe(5)
    expect(short.hardnessHv).toBeLessThan(last([roll(0.6)]).hardnessHv)
    expect(short.hardnessHv).toBeGreaterThan(last([roll(0.6), anneal()]).hardnessHv)
  })
})

describe('own figures of a metal', () => {
  const rolled = (figures: Record<string, number>) => last([roll(0.7)], { figures })
  it('a hardness measured soft moves the whole curve, a batch that hardens faster what hardening adds', () => {
    const usual = rolled({})
    const soft = hardnessHv(ALLOYS['sterling-925'], 0)
    const harder = rolled({ 'annealed-hv-sterling-925': 1.2 * soft })
    expect(harder.hardnessHv / usual.hardnessHv).toBeCloseTo(1.2, 6)
    expect(harder.stiffness).toBeCloseTo(usual.stiffness, 9)
    const faster = rolled({ 'hardening-sterling-925': 1.5 })
    const { s0MPa } = ALLOYS['sterling-925'].flow
    const hardened = flowStressMPa(ALLOYS['sterling-925'], usual.strain) - s0MPa
    expect(faster.flowStressMPa).toBeCloseTo(s0MPa + 1.5 * hardened, 6)
  })
  it('a limit of one’s own is the limit: 70 % between anneals uses 2/√3·ln(1/0.7) of 2/√3·ln(1/0.3)', () =>
    expect(rolled({ 'reduction-limit-sterling-925': 70 }).workUsedFraction).toBeCloseTo(Math.log(0.7) / Math.log(0.3), 9))
  it('half softening of one’s own: an hour there leaves half of metal worked by 0.8', () => {
    const steps = [roll(Math.exp((-0.8 * Math.sqrt(3)) / 2)), anneal({ tempC: 380, timeS: 3600 })]
    expect(last(steps, { figures: { 'half-softening-sterling-925': 380 } }).softenedFraction).toBeCloseTo(0.5, 6)
  })
  it('out of all reason is refused, by name and with what is allowed', () => {
    for (const limit of [100, 150, -3]) {
      const answer = temper({ ...STRIP, figures: { 'reduction-limit-sterling-925': limit }, steps: [roll(0.8)] })
      expect(answer.ok ? '' : answer.body.error.message).toContain('allowed: 15.0 to 95.0 %')
    }
  })
  it('gold of 14 k is worked out by its maker’s hardness, and not without', () => {
    const ask = { alloy: 'gold-14k', thicknessMm: 1, steps: [roll(0.8)] }
    const refused = temper(ask)
    expect(refused.ok ? '' : refused.body.error.message).toContain('annealed-hv-gold-14k')
    const told = walkTemper({ ...STRIP, alloy: 'gold-14k', figures: { 'annealed-hv-gold-14k': 150 }, steps: [] })
    expect(told.start.hardnessHv).toBeCloseTo(150, 6)
  })
})

describe('what a walk may be off by', () => {
  const STEPS = [roll(0.7), anneal({ tempC: 600, timeS: 20 }), { op: 'bend', params: { insideRadiusMm: 3 } }]
  it('holds what is said for every metal, is the same for the same seed, and is wider the more is uncertain', () => {
    for (const alloy of ALLOY_IDS.filter((id) => !ALLOYS[id].needsMakersSheet)) {
      const input = { ...STRIP, alloy, steps: STEPS }
      const [bands, walk] = [temperBands(input), walkTemper(input)]
      expect(bands).toEqual(temperBands(input))
      expect(temperBands(input, { seed: 2 })).not.toEqual(bands)
      walk.steps.forEach((state, i) => {
        const band = bands[i]
        expect(band?.hardnessHv.low, alloy).toBeLessThanOrEqual(state.hardnessHv + 1e-9)
        expect(band?.hardnessHv.high, alloy).toBeGreaterThanOrEqual(state.hardnessHv - 1e-9)
        expect(band?.softenedFraction === null).toBe(!state.heat)
      })
    }
  })
  it('of the limit alone is that of a lognormal of 0.30: 10 and 90 % at e^(∓0.384) (closed form)', () => {
    const [band] = temperBands({ ...STRIP, steps: [roll(0.7)] }, { samples: 4000 })
    const used = last([roll(0.7)]).workUsedFraction
    expect(Math.log((band?.workUsedFraction.low ?? 0) / used)).toBeCloseTo(-0.384, 1)
    expect(Math.log((band?.workUsedFraction.high ?? 0) / used)).toBeCloseTo(0.384, 1)
    expect(Math.log((band?.hardnessHv.high ?? 0) / (band?.hardnessHv.low ?? 1))).toBeCloseTo(2 * 1.2816 * 0.08, 1)
  })
  it('comes with the answer at the door, whatever figures are given', () =>
    fc.assert(
      fc.property(fc.double({ min: 40, max: 90, noNaN: true }), (limit) => {
        const answer = temper({ ...STRIP, figures: { 'reduction-limit-sterling-925': limit }, steps: STEPS })
        const { steps } = answer.body as {
          steps: { workUsedFraction: number; band: { workUsedFraction: { low: number; high: number } } }[]
        }
        for (const { workUsedFraction: used, band } of steps) {
          expect(band.workUsedFraction.low).toBeLessThanOrEqual(used)
          expect(band.workUsedFraction.high).toBeGreaterThanOrEqual(used)
        }
      }),
      { numRuns: 10 },
    ))
})

describe('places of their own', () => {
  const struck = walkTemper({
    alloy: 'copper-c110',
    thicknessMm: 0.8,
    bought: 'annealed',
    regions: ['outside', 'inside'],
    steps: [
      { op: 'stamp', params: { depthMm: 0.3, wideMm: 2 } },
      { op: 'bend', params: { insideRadiusMm: 9 } },
    ],
  })
  const at = (step: number, region: string) => {
    const found = struck.steps[step]?.regions.find((one) => one.region === region)
    if (!found) throw new Error(`no ${region}`)
    return found
  }
  it('a stamp hardens what is under it by ln(t/(t − δ)), beside it by less, and the rest hardly (estimate)', () => {
    const under = Math.log(0.8 / 0.5)
    expect(at(0, 'under the stamp').strain).toBeCloseTo(under, 9)
    expect(at(0, 'beside the stamp').strain).toBeCloseTo(under * Math.exp(-((2 / 2.8) ** 2)), 9)
    expect(at(0, 'outside').strain).toBeCloseTo(0.02, 9)
  })
  it('what is then done to the place it lies in is done to it as well', () => {
    const added = at(1, 'outside').strain - at(0, 'outside').strain
    expect(added).toBeGreaterThan(0)
    expect(at(1, 'under the stamp').strain - at(0, 'under the stamp').strain).toBeCloseTo(added, 9)
    expect(struck.steps[1]?.strain).toBeCloseTo(at(1, 'under the stamp').strain, 9)
  })
  it('a band curled and closed is hardest at its sawn edge, and what it held half way is not done again', () => {
    const curl = { stripMm: 13, insideMm: 66 }
    const walk = (steps: readonly string[]) =>
      walkTemper({
        alloy: 'sterling-925',
        thicknessMm: 0.7,
        bought: 'annealed',
        regions: ['waist', 'quarter', 'edge'],
        steps: steps.map((op) => ({ op, params: curl })),
      }).steps.at(-1)
    const both = walk(['curl-edge', 'close-tube'])
    const once = walk(['close-tube'])
    const edge = (state: typeof both) => state?.regions.find(({ region }) => region === 'edge')
    expect(edge(both)?.strain).toBeCloseTo(edge(once)?.strain ?? 0, 2)
    const [waist, rim] = [both?.regions.find(({ region }) => region === 'waist'), edge(both)]
    expect(rim?.workUsedFraction).toBeGreaterThan(waist?.workUsedFraction ?? 1)
  })
})
