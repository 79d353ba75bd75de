import { describe, expect, it } from 'vitest'
import { SOFT_STRAIN } from '../forming/anneal'
import { FORMS } from '../forms/registry'
import { ALLOY_IDS, ALLOYS, type AlloyId } from '../metals/alloys'
import type { BoughtTemper } from '../metals/tempers'
import { findOperation } from '../operations/catalogue'
import { type RouteStep, walkTemper } from '../route/temper'
import { onePart } from './design'
import { planPiece } from './plan-piece'
import { insertAnneal } from './words'

/** Bought hard, two hands full of work, and every metal there is. */
const BOUGHT: readonly BoughtTemper[] = ['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']

/** Operations that put work into the metal. */
const WORKS: ReadonlySet<string> = new Set([
  'bend',
  'bend-on-bender',
  'dap',
  'press-die',
  'roll',
  'wind-coil',
  'form-hook',
  'tabs-up',
  'fold',
  'planish',
  'true-up',
])

/** Regions that a route leaves as they were bought, and only the heat reaches. */
const LEFT_ALONE: Readonly<Record<string, readonly string[]>> = {
  // a bezel is pushed over its stone on the route of the piece it is part of
  bezel: ['over the stone'],
  'bezel-gallery': ['over the stone'],
  'fold-star': ['faces'],
  'folded-box': ['bottom'],
  buckle: ['frame'],
  'die-blank': ['margin'],
}

/** The sheet of its maker, without which nothing is said of this gold. */
const MAKERS = { 'annealed-hv-gold-14k': 145 }

function planOf(form: (typeof FORMS)[number], alloy?: AlloyId, bought: BoughtTemper = 'annealed') {
  const input = { ...form.example, ...(alloy ? { alloy } : {}) }
  const plan = planPiece(onePart({ form: form.id, inputVersion: form.inputVersion, input, bought }), { figures: MAKERS })
  const metal = plan.parts[0]?.metal
  if (!metal) throw new Error(`${form.id}: ${JSON.stringify(plan.issues)}`)
  return { temper: { ...metal, steps: plan.steps.map(({ op, params }): RouteStep => ({ op, params })) }, steps: plan.steps }
}

const nameOf = (region: string | { readonly region: string }) => (typeof region === 'string' ? region : region.region)

describe.each(FORMS.map((form) => [form.id, form] as const))('the metal of %s', (id, form) => {
  const { temper, steps } = planOf(form)
  const regions = (temper.regions ?? []).map(nameOf)
  const effects = steps.map((step) => {
    const read = findOperation(step.op)?.read(step.params)
    if (!read?.ok) throw new Error(step.op)
    const effect = read.step.effect({ alloy: ALLOYS[temper.alloy], thicknessMm: temper.thicknessMm, widthMm: temper.widthMm ?? 1 })
    return { step, effect }
  })
  it('is worked where its steps say: a region that a step names is one of the piece’s, or the piece is one body', () => {
    for (const { step, effect } of effects) {
      const named = Object.keys(effect.at ?? {})
      // a hollow bangle's regions lie across its strip: bent round, all of them take the hardest of it
      if (id === 'bangle-hollow' && step.op === 'bend') expect(regions).toEqual(['waist', 'quarter', 'edge'])
      else if (named.length > 0 && regions.join() !== 'body') expect(named.some((name) => regions.includes(name))).toBe(true)
    }
  })
  it('has no region that nothing ever reaches', () => {
    const reached = new Set(effects.flatMap(({ effect }) => Object.keys(effect.at ?? {})))
    for (const region of regions) expect(region === 'body' || reached.has(region) || (LEFT_ALONE[id] ?? []).includes(region)).toBe(true)
  })
  it('hardens at every step that bends, domes, presses or rolls it', () => {
    const walk = walkTemper(temper)
    walk.steps.forEach((state, i) => {
      if (!['bend', 'dap', 'press-die', 'roll', 'wind-coil', 'form-hook', 'tabs-up'].includes(state.op)) return
      // in wood and in the same cup again, or corrected to the same round, it has that shape already
      if (steps.slice(0, i).some((earlier) => earlier.op === state.op)) return
      const before = walk.steps[i - 1] ?? walk.start
      const most = Math.max(...state.regions.map((region, r) => region.strain - (before.regions[r]?.strain ?? 0)))
      expect(most, `${state.title}`).toBeGreaterThan(0)
    })
  })
  it('and as much where nobody has told its regions', () => {
    const blind = walkTemper({ ...temper, regions: undefined })
    const told = walkTemper(temper)
    const hardest = (walk: typeof told) => Math.max(...walk.steps.map((state) => state.workUsedFraction))
    if (hardest(told) > 0.01) expect(hardest(blind)).toBeGreaterThan(0.5 * hardest(told))
  })
  it('never asks for an anneal straight after an anneal, whatever metal and temper it is, and following the advice comes to an end', () => {
    for (const alloy of ALLOY_IDS)
      for (const bought of BOUGHT) {
        const plan = planOf(form, alloy, bought)
        let route: readonly RouteStep[] = plan.temper.steps
        for (let time = 0; time < 12; time++) {
          const walk = walkTemper({ ...plan.temper, steps: route })
          expect(walk.issues).toEqual([])
          const [first] = walk.annealBefore
          for (const asked of walk.annealBefore) {
            const last = route.slice(0, asked).findLastIndex((step) => findOperation(step.op)?.kind === 'heat' || WORKS.has(step.op))
            expect(route[last]?.op, `${alloy} ${bought} before ${route[asked]?.op}`).not.toBe('anneal')
          }
          if (first === undefined) break
          expect(time).toBeLessThan(11)
          route = insertAnneal(route, first, (op) => ({ op, params: {} }))
        }
      }
  })
})

describe('the work ledger', () => {
  const STRIP = { alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed', figures: MAKERS } as const
  const strainAfter = (steps: readonly RouteStep[], more: object = {}) => walkTemper({ ...STRIP, ...more, steps }).steps.at(-1)?.strain ?? 0
  const round = { op: 'bend', params: { insideRadiusMm: 2 } }
  it('a step that names no region of the piece works all of it', () => {
    expect(strainAfter([round])).toBeGreaterThan(0.1)
    expect(strainAfter([round], { regions: ['faces', 'creases'] })).toBeCloseTo(strainAfter([round]), 9)
  })
  it('bending again to a radius already held adds nothing, tighter only the difference, by any way there', () => {
    const once = strainAfter([round], { regions: ['outside', 'inside'] })
    expect(strainAfter([round, round], { regions: ['outside', 'inside'] })).toBeCloseTo(once, 12)
    const tight = { op: 'bend', params: { insideRadiusMm: 1 } }
    expect(strainAfter([round, tight], { regions: ['outside', 'inside'] })).toBeCloseTo(
      strainAfter([tight], { regions: ['outside', 'inside'] }),
      12,
    )
  })
  it('opened and bent again, both ways count', () => {
    const wide = { op: 'bend', params: { insideRadiusMm: 20 } }
    expect(strainAfter([round, wide, round])).toBeGreaterThan(strainAfter([round]) * 1.5)
  })
  it('doming again with the same punch adds nothing', () => {
    const dap = { op: 'dap', params: { punchMm: 20, discMm: 24 } }
    const dome = { regions: ['crown', 'rim'] }
    expect(strainAfter([dap, dap], dome)).toBeCloseTo(strainAfter([dap], dome), 12)
  })
  it('a narrow strip strains less in a bend than a wide one, by 2/√3 (plane strain)', () => {
    const at = (widthMm: number) => strainAfter([round], { widthMm })
    expect(at(9) / at(4)).toBeCloseTo(2 / Math.sqrt(3), 9)
  })
  it('rolling from another thickness than the metal has by then changes nothing, and says so', () => {
    const walk = walkTemper({ ...STRIP, steps: [{ op: 'roll', params: { fromMm: 2, toMm: 0.5 } }] })
    expect(walk.steps).toEqual([])
    expect(walk.issues[0]?.message).toBe('Roll: from 2 mm was given, and the metal is 1 mm here')
    const twice = walkTemper({
      ...STRIP,
      steps: [
        { op: 'roll', params: { fromMm: 1, toMm: 0.8 } },
        { op: 'roll', params: { fromMm: 0.8, toMm: 0.6 } },
      ],
    })
    expect(twice.issues).toEqual([])
    expect(twice.steps.at(-1)?.thicknessMm).toBeCloseTo(0.6, 9)
  })
  it.each(ALLOY_IDS)('an anneal as advised leaves %s soft however it was bought and worked', (alloy) => {
    for (const bought of BOUGHT)
      for (const thinnedFraction of [0, 0.03, 0.06, 0.1, 0.2, 0.4]) {
        const steps = [
          { op: 'planish', params: { thinnedFraction } },
          { op: 'anneal', params: {} },
        ]
        expect(strainAfter(steps, { alloy, bought }), `${bought}, ${thinnedFraction}`).toBeLessThan(SOFT_STRAIN)
      }
  })
  it('an anneal too near melting is red, and its margin is a whole reading', () => {
    const hot = walkTemper({ ...STRIP, steps: [{ op: 'anneal', params: { tempC: 900 } }] }).steps[0]
    expect([hot?.light, hot?.meltingMarginC]).toEqual(['red', -138])
    const right = walkTemper({ ...STRIP, steps: [{ op: 'anneal', params: {} }] }).steps[0]
    expect(right?.light).toBe('green')
    const fine = walkTemper({ ...STRIP, alloy: 'fine-silver', steps: [{ op: 'solder', params: { solder: 'hard-75' } }] }).steps[0]
    expect(String(fine?.meltingMarginC).length).toBeLessThan(6)
  })
  it('solders to a plate of another metal by the one that melts first', () => {
    const margin = (to?: string) =>
      walkTemper({ ...STRIP, alloy: 'fine-silver', steps: [{ op: 'solder', params: { solder: 'hard-75', ...(to ? { to } : {}) } }] })
        .steps[0]?.meltingMarginC ?? 0
    expect(margin() - margin('sterling-925')).toBeCloseTo(961.8 - 802, 1)
  })
  it('soft copper an hour at 900 °C grows grain', () => {
    const [state] = walkTemper({ ...STRIP, alloy: 'copper-c110', steps: [{ op: 'anneal', params: { tempC: 900, timeS: 3600 } }] }).steps
    expect(state?.grainMm).toBeGreaterThan(0.1)
  })
  it('what is lost past the limit no anneal gives back', () => {
    const steps = [
      { op: 'planish', params: { thinnedFraction: 0.6 } },
      { op: 'planish', params: { thinnedFraction: 0.4 } },
    ]
    const lost = walkTemper({ ...STRIP, steps }).steps.at(-1)?.regions[0]?.damageFraction ?? 0
    expect(lost).toBeGreaterThan(0.1)
    const after = walkTemper({ ...STRIP, steps: [...steps, { op: 'anneal' }, { op: 'anneal' }] }).steps.at(-1)
    expect(after?.regions[0]?.damageFraction).toBeCloseTo(lost, 12)
    expect(after?.workUsedFraction).toBeGreaterThanOrEqual(lost)
  })
})
