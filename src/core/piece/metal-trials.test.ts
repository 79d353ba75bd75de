import { describe, expect, it } from 'vitest'
import { softenByHeat } from '../forming/anneal'
import { strainLimit } from '../forming/work-used'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { flowStressMPa, hardnessHv, strainOfHardness } from '../metals/flow'
import { type RouteStep, walkTemper } from '../route/temper'
import { withLearned } from '../tables/learned'
import { alloyWith } from '../tables/own-metal'
import { annealedOfHardness, hardeningOfHardness, limitOfCrack, softenedByEye, softeningOfHardness } from './metal-trials'

const ID = 'copper-c110'
const copper = ALLOYS[ID]
const walked = (steps: readonly RouteStep[], figures: Record<string, number> = {}) =>
  walkTemper({ alloy: ID, thicknessMm: 1, bought: 'annealed', figures, steps })
const bent = { op: 'bend', params: { insideRadiusMm: 0.6 } }
/** A heat so short and cold that copper is partly softened by it. */
const SHORT = { op: 'anneal', params: { tempC: 365, timeS: 30 } }

function heatOf(figures: Record<string, number> = {}) {
  const [before, state] = walked([bent, SHORT], figures).steps
  if (!before || !state) throw new Error('no heat')
  return { before, state }
}

describe('what a smith measures of a metal', () => {
  it('strain by hardness is the inverse of hardness by strain, of every metal', () => {
    for (const id of ALLOY_IDS)
      for (const strain of [0.05, 0.3, 0.9]) expect(strainOfHardness(ALLOYS[id], hardnessHv(ALLOYS[id], strain))).toBeCloseTo(strain, 9)
  })
  it('a hardness after a short heat gives back the half softening it was made with', () => {
    const heat = heatOf({ 'half-softening-copper-c110': 240 })
    expect(softeningOfHardness(copper, heat, heat.state.hardnessHv)).toBeCloseTo(240, 0)
    expect(softeningOfHardness(copper, heatOf(), heatOf().state.hardnessHv)).toBeCloseTo(copper.halfSofteningC, 0)
  })
  it('after a heat that softened all of it, or none, a hardness tells nothing', () => {
    const [before, state] = walked([bent, { op: 'anneal', params: {} }]).steps
    if (!before || !state) throw new Error('no heat')
    expect(softeningOfHardness(copper, { before, state }, hardnessHv(copper, 0))).toBeUndefined()
    expect(softeningOfHardness(copper, { before, state }, 400)).toBeUndefined()
  })
  it('after a heat that softened all of it, it is the hardness of annealed metal, what slow cooling added left out', () => {
    const sterling = { alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed' } as const
    const figures = { 'annealed-hv-sterling-925': 77 }
    const steps = [bent, { op: 'anneal', params: {} }]
    const [state, slow] = [steps, [...steps, { op: 'cool-slowly', params: {} }]].map((own) =>
      walkTemper({ ...sterling, figures, steps: own }),
    )
    const heat = state?.steps[1]
    if (!heat) throw new Error('no heat')
    const silver = ALLOYS['sterling-925']
    const plain = walkTemper({ ...sterling, steps }).steps[1]
    if (!plain) throw new Error('no heat')
    expect(annealedOfHardness(silver, { state: plain }, heat.hardnessHv)).toBeCloseTo(77, 0)
    const cooled = { ...plain, hardnessHv: plain.hardnessHv + 20 }
    expect(annealedOfHardness(silver, { state: cooled }, slow?.steps[2]?.hardnessHv ?? 0)).toBeCloseTo(77, 0)
    expect(annealedOfHardness(copper, heatOf(), 60)).toBeUndefined()
  })
  it('measured annealed, its hardness is told within a narrower band, by the door too', () => {
    const width = (figures: Record<string, number>) => {
      const { low, high } = walked([bent], figures).start.hardnessBand
      return Math.log(high / low)
    }
    const typed = width({})
    const once = width(withLearned({}, { 'annealed-hv-copper-c110': [50] }))
    const often = width(withLearned({}, { 'annealed-hv-copper-c110': [50, 51, 49, 50] }))
    // normal prior of 8 %, trials of 5 % each, closed form
    expect(once / typed).toBeCloseTo(1 / Math.sqrt(1 + (0.08 / 0.05) ** 2), 6)
    expect(often / typed).toBeCloseTo(1 / Math.sqrt(1 + 4 * (0.08 / 0.05) ** 2), 6)
  })
  it.each([0.7, 1, 1.4])('a hardness of worked metal gives back the hardening of %f it was made with', (ratio) => {
    const figures = { 'hardening-copper-c110': ratio, 'annealed-hv-copper-c110': 52 }
    const [made] = walked([bent], figures).steps
    const [seen] = walked([bent], { 'annealed-hv-copper-c110': 52 }).steps
    if (!made || !seen) throw new Error('no state')
    const alloy = alloyWith(ID, { ...figures, 'hardening-copper-c110': 1 })
    expect(hardeningOfHardness({ alloy, now: alloy }, seen, made.hardnessHv)).toBeCloseTo(ratio, 6)
    expect(hardeningOfHardness({ alloy, now: alloyWith(ID, figures) }, made, made.hardnessHv)).toBeCloseTo(ratio, 6)
    expect(hardeningOfHardness({ alloy, now: alloy }, { ...seen, strain: 0.02 }, 60)).toBeUndefined()
  })
  it('a crack where all of the limit is used speaks for the limit of the table; where half is, for half its strain', () => {
    expect(limitOfCrack(copper, { workUsedFraction: 1 })).toBeCloseTo(100 * copper.reductionLimitFraction, 6)
    const half = (limitOfCrack(copper, { workUsedFraction: 0.5 }) ?? 0) / 100
    expect(strainLimit({ ...copper, reductionLimitFraction: half })).toBeCloseTo(0.5 * strainLimit(copper), 9)
    expect(limitOfCrack(copper, { workUsedFraction: 0.1 })).toBeUndefined()
  })
  it('by eye a heat softens less 40 °C cooler and more 40 °C hotter, as that heat itself would', () => {
    const heat = heatOf()
    const byEye = softenedByEye(copper, heat)
    const at = (tempC: number) =>
      softenByHeat(copper, { strain: heat.before.strain, grainMm: heat.before.grainMm, tempC, timeS: 30 }).softenedFraction
    expect(byEye?.cooler).toBeCloseTo(at(325), 9)
    expect(byEye?.hotter).toBeCloseTo(at(405), 9)
    expect(byEye?.cooler).toBeLessThan(heat.state.softenedFraction ?? 0)
    expect(softenedByEye(copper, { before: heat.before, state: heat.before })).toBeUndefined()
  })
})

describe('metal that was tried is what it was found to be', () => {
  it('as hard as it was measured, the work it has used with it', () => {
    const [before, after] = walked([bent, { op: 'try-metal', params: { hardnessHv: 70 } }]).steps
    expect(after?.hardnessHv).toBeCloseTo(70, 6)
    expect((after?.workUsedFraction ?? 0) / (before?.workUsedFraction ?? 1)).toBeCloseTo((after?.strain ?? 0) / (before?.strain ?? 1), 9)
  })
  it('by its feel: as soft as annealed it has all its work left, springing back it has less', () => {
    const felt = (feel: string) => walked([bent, { op: 'try-metal', params: { feel } }]).steps.at(-1)
    expect(felt('as soft as annealed')?.workUsedFraction).toBeCloseTo(0, 9)
    expect(felt('springs back')?.stiffness).toBeCloseTo(1.7, 2)
    expect(flowStressMPa(copper, felt('springs back')?.strain ?? 0)).toBeGreaterThan(flowStressMPa(copper, 0))
  })
  it('of a place that is named the others follow as much more or less', () => {
    const states = walkTemper({
      alloy: ID,
      thicknessMm: 1,
      bought: 'annealed',
      regions: ['outside', 'inside'],
      steps: [{ op: 'stamp', params: {} }, bent, { op: 'try-metal', params: { hardnessHv: 90, region: 'outside' } }],
    }).steps
    const ratio = (name: string) => {
      const at = (i: number) => states[i]?.regions.find(({ region }) => region === name)?.strain ?? 0
      return at(2) / at(1)
    }
    expect(ratio('inside')).toBeCloseTo(ratio('outside'), 9)
    expect(ratio('under the stamp')).toBeCloseTo(ratio('outside'), 9)
  })
  it('where nothing was found, nothing changes; what cannot be is refused', () => {
    const [before, after] = walked([bent, { op: 'try-metal', params: {} }]).steps
    expect(after?.strain).toBe(before?.strain)
    expect(walked([bent, { op: 'try-metal', params: { hardnessHv: 5 } }]).issues[0]?.message).toContain('10 HV or more')
  })
  it('metal that cracked for good stays so, however soft it is found', () => {
    const found = walkTemper({
      alloy: ID,
      thicknessMm: 1,
      bought: 'annealed',
      figures: { 'reduction-limit-copper-c110': 30 },
      steps: [
        { op: 'roll', params: { fromMm: 1, toMm: 0.3 } },
        { op: 'try-metal', params: { feel: 'as soft as annealed' } },
      ],
    }).steps
    const lost = found[0]?.regions[0]?.damageFraction ?? 0
    expect(lost).toBeGreaterThan(0)
    expect(found[1]?.workUsedFraction).toBeGreaterThanOrEqual(lost)
  })
})

it('own figures are what a metal is worked out by', () =>
  expect(alloyWith(ID, { 'half-softening-copper-c110': 240 }).halfSofteningC).toBe(240))
