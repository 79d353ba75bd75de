import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { ALLOY_IDS, type AlloyId, type BoughtTemper, boughtStrain } from '../metals'
import { bendOf, bentParts, isBent, stiffnessOf } from './bent-parts'
import { onePart } from './design'
import { planPiece } from './plan-piece'

function planOf(id: string, bought: BoughtTemper = 'annealed', alloy?: AlloyId, figures: Record<string, number> = {}) {
  const form = FORMS.find((one) => one.id === id)
  if (!form) throw new Error(id)
  const input = { ...form.example, ...(alloy ? { alloy } : {}) }
  return planPiece(onePart({ form: id, inputVersion: form.inputVersion, input, bought }), { figures })
}

function bent(...of: Parameters<typeof planOf>) {
  const [part] = bentParts(planOf(...of))
  if (!part) throw new Error(`${of[0]} is not bent`)
  return part
}

const ROUND = ['ring-band', 'ring-stack', 'bangle-plain', 'tube-round', 'cuff'] as const

describe('a part bent round a former', () => {
  it.each(ROUND)('%s: as long as its strip, as round as it is to be', (id) => {
    const part = bent(id)
    const middle = part.insideRadiusMm + part.thicknessMm / 2
    const share = part.lengthMm / (2 * Math.PI * middle)
    expect(part.isClosed).toBe(id !== 'cuff')
    if (part.isClosed) expect(share).toBeCloseTo(1, 1)
    else expect(share).toBeLessThan(0.95)
  })
  it('comes to the former soft where its route anneals it first, and as it was bought where not', () => {
    const annealed = planOf('ring-band', 'hard')
    expect(bentParts(annealed)[0]?.strain).toBeLessThan(0.07)
    const steps = annealed.steps.filter(({ op }) => op !== 'anneal')
    const skipped = { ...annealed, steps, assembly: { ...annealed.assembly, steps } }
    expect(bentParts(skipped)[0]?.strain).toBeCloseTo(boughtStrain('hard'), 9)
  })
  it('is none of a flat piece, of a dome, or of a coil of rings', () => {
    for (const id of ['disc', 'plate', 'dome', 'jump-rings']) {
      expect(isBent(planOf(id)), id).toBe(false)
      expect(bentParts(planOf(id)), id).toEqual([])
    }
  })
  it.each(ALLOY_IDS.filter((id) => id !== 'gold-14k'))('of %s springs to its size from the former that is named for it', (alloy) => {
    const part = bent('cuff', 'annealed', alloy)
    const { formerRadiusMm } = bendOf(part, part.insideRadiusMm)
    if (formerRadiusMm === null) throw new Error('no former')
    const sprung = bendOf(part, formerRadiusMm - part.thicknessMm / 2)
    expect(sprung.sprungRadiusMm).toBeCloseTo(part.insideRadiusMm + part.thicknessMm / 2, 3)
    expect(formerRadiusMm).toBeLessThan(part.insideRadiusMm + part.thicknessMm / 2)
  })
  it('lies between what it springs at the least and at the most, a share of fifteen in a hundred of the curvature it loses', () => {
    const part = bent('bangle-plain')
    const { sprungRadiusMm: sprung, between } = bendOf(part, part.insideRadiusMm)
    if (sprung === null || between.leastMm === null || between.mostMm === null) throw new Error('flat')
    const held = part.insideRadiusMm + part.thicknessMm / 2
    const lost = (radius: number) => 1 / held - 1 / radius
    expect(lost(between.leastMm) / lost(sprung)).toBeCloseTo(0.85, 9)
    expect(lost(between.mostMm) / lost(sprung)).toBeCloseTo(1.15, 9)
  })
  it('harder metal springs farther, takes less of a bend and needs a smaller former', () => {
    const part = bent('bangle-plain')
    const [soft, hard] = [0, boughtStrain('hard')].map((strain) => bendOf(part, part.insideRadiusMm, strain))
    expect(hard?.sprungRadiusMm ?? 0).toBeGreaterThan(soft?.sprungRadiusMm ?? Infinity)
    expect(hard?.formerRadiusMm ?? Infinity).toBeLessThan(soft?.formerRadiusMm ?? 0)
    expect(hard?.smallestInsideMm ?? 0).toBeGreaterThan(soft?.smallestInsideMm ?? Infinity)
    expect(hard?.workUsedFraction ?? 0).toBeGreaterThan(soft?.workUsedFraction ?? Infinity)
  })
})

describe('a stiffness of one’s own', () => {
  it('of a stiffer metal springs less, everywhere the part is bent', () => {
    const [usual, stiffer] = [bent('cuff'), bent('cuff', 'annealed', undefined, { 'modulus-sterling-925': 85, 'modulus-copper-c110': 130 })]
    expect(stiffnessOf(stiffer)).toBeGreaterThan(stiffnessOf(usual))
    const at = usual.insideRadiusMm
    expect(bendOf(stiffer, at).sprungRadiusMm ?? 0).toBeLessThan(bendOf(usual, at).sprungRadiusMm ?? 0)
  })
  it('is found again from the trial strip that was sprung with it', () => {
    const part = bent('bangle-plain')
    const { sprungRadiusMm } = bendOf(part, 24)
    const measuredMm = 2 * (sprungRadiusMm ?? 0) - part.thicknessMm
    expect(stiffnessOf(part, { formerMm: 48, measuredMm, strain: part.strain })).toBeCloseTo(stiffnessOf(part), 4)
    expect(stiffnessOf(part, { formerMm: 48, measuredMm: 47, strain: part.strain })).toBeUndefined()
  })
})
