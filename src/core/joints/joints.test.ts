import { describe, expect, it } from 'vitest'
import { ALLOYS, type AlloyId } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import { solderAmount } from './amounts'
import { coolDownOf } from './cues'
import { heatCapacityJPerK, planHeat, secondsToHeat } from './heat-plan'
import { chooseLadder, isBetter, type LadderWorth, type Rung } from './ladder'

const OWNED: readonly SolderId[] = ['it-80', 'hard-75', 'medium-70', 'easy-65', 'extra-easy-56', 'uk-easy']

/** What a choice is worth, worked out here by itself. */
function worthOf(rungs: readonly Rung[], chosen: readonly SolderId[]): LadderWorth {
  const flow = (id: SolderId) => SOLDERS[id].liquidusC
  let stops = 0
  let leastMarginC = Number.POSITIVE_INFINITY
  rungs.forEach((rung, i) => {
    const own = chosen[i] as SolderId
    for (const earlier of rung.reaches) {
      const gap = flow(chosen[rungs.findIndex(({ joint }) => joint === earlier)] as SolderId) - flow(own)
      if (gap < 10) stops++
      leastMarginC = Math.min(leastMarginC, gap)
    }
    for (const metal of rung.metals) {
      const margin = ALLOYS[metal].solidusC - flow(own)
      if (margin <= 0) stops++
      leastMarginC = Math.min(leastMarginC, margin)
    }
  })
  return { stops, grades: new Set(chosen).size, leastMarginC }
}

/** The best of all there are. */
function exhaustive(rungs: readonly Rung[]): LadderWorth {
  let best: LadderWorth | undefined
  const extend = (chosen: readonly SolderId[]) => {
    if (chosen.length === rungs.length) {
      const worth = worthOf(rungs, chosen)
      if (!best || isBetter(worth, best)) best = worth
      return
    }
    for (const solder of OWNED) extend([...chosen, solder])
  }
  extend([])
  return best as LadderWorth
}

describe('the solder ladder', () => {
  it('is as good as the best of all choices, for every way up to six joints can reach one another that is tried', () => {
    let state = 7
    const random = () => {
      state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff
      return state / 0x7fffffff
    }
    for (let round = 0; round < 28; round++) {
      const count = round < 25 ? 1 + Math.floor(random() * 5) : 6
      const rungs: Rung[] = Array.from({ length: count }, (_, i) => ({
        joint: `j${i}`,
        metals: random() < 0.5 ? ['sterling-925'] : random() < 0.5 ? ['yellow-brass-c260', 'copper-c110'] : [],
        reaches: Array.from({ length: i }, (_x, k) => `j${k}`).filter(() => random() < 0.6),
      }))
      const { solders: _, ...worth } = chooseLadder(rungs, OWNED)
      expect(worth, JSON.stringify(rungs)).toEqual(exhaustive(rungs))
    }
  })
  it('keeps a solder that is given, and needs one grade alone where no heat reaches another joint', () => {
    const rungs: Rung[] = ['a', 'b', 'c'].map((joint) => ({ joint, metals: ['copper-c110'], reaches: [] }))
    expect(chooseLadder(rungs, OWNED).grades).toBe(1)
    const held = chooseLadder([{ ...(rungs[0] as Rung), solder: 'easy-65' }, ...rungs.slice(1)], OWNED)
    expect([...held.solders.values()]).toEqual(['easy-65', 'easy-65', 'easy-65'])
  })
  it('three joints one after another on sterling fall from hard through medium to easy (common practice, no source)', () => {
    const rungs: Rung[] = ['seam', 'foot', 'ring'].map((joint, i, all) => ({ joint, metals: ['sterling-925'], reaches: all.slice(0, i) }))
    const { solders, stops } = chooseLadder(rungs, ['hard-75', 'medium-70', 'easy-65'])
    expect(stops).toBe(0)
    expect([...solders.values()]).toEqual(['hard-75', 'medium-70', 'easy-65'])
  })
})

describe('how much solder', () => {
  it('is the gap filled and the corners rounded out: by volume', () => {
    const { volumeMm3, pallionCount, spacingMm, working } = solderAmount({ lengthMm: 50, gapMm: 0.05, depthMm: 0.4, fillets: 2 })
    // gap 50 × 0.05 × 0.4 = 1 mm³; two corners of 0.2 mm: 50 × 2 × 0.04 × (1 − π/4)
    expect(volumeMm3).toBeCloseTo(1 + 50 * 2 * 0.04 * (1 - Math.PI / 4), 9)
    // snippets of 0.25 mm³, 15 % more than goes in
    expect(pallionCount).toBe(Math.ceil((volumeMm3 * 1.15) / 0.25))
    expect(spacingMm).toBeCloseTo(50 / pallionCount, 9)
    expect(working).toHaveLength(2)
  })
  it('the fillet grows no further than 0.3 mm, and a flush seam has none', () => {
    const thick = solderAmount({ lengthMm: 10, gapMm: 0, depthMm: 2, fillets: 1 })
    expect(thick.volumeMm3).toBeCloseTo(10 * 0.09 * (1 - Math.PI / 4), 9)
    expect(solderAmount({ lengthMm: 10, gapMm: 0, depthMm: 2, fillets: 0 })).toMatchObject({ volumeMm3: 0, pallionCount: 1 })
  })
  it('wire and paste hold the same metal as the snippets', () => {
    const { volumeMm3, wireLengthMm, pasteLengthMm } = solderAmount({ lengthMm: 30, gapMm: 0.06, depthMm: 0.8, fillets: 2 })
    expect(wireLengthMm * (Math.PI / 4) * 0.25).toBeCloseTo(volumeMm3 * 1.15, 9)
    expect(pasteLengthMm * (Math.PI / 4) * 0.5).toBeCloseTo(volumeMm3 * 1.15, 9)
  })
})

describe('the heat of two sides', () => {
  it('copper of 14 ga takes about 3.4 times the heat of sterling of 22 ga, area for area', () => {
    const areaMm2 = 1000
    const massOf = (alloy: 'copper-c110' | 'sterling-925', mm: number) => (areaMm2 * mm * ALLOYS[alloy].densityGPerCm3) / 1000
    const copper = { id: 'copper', alloy: 'copper-c110', massG: massOf('copper-c110', 1.628), thicknessMm: 1.628 } as const
    const silver = { id: 'silver', alloy: 'sterling-925', massG: massOf('sterling-925', 0.644), thicknessMm: 0.644 } as const
    expect(heatCapacityJPerK(copper) / heatCapacityJPerK(silver)).toBeCloseTo(3.43, 1)
    expect(planHeat([[silver], [copper]], 738).say).toContain('Heat the copper')
  })
  it('40 × 40 × 0.8 sterling under 200 W comes to 650 °C in about a quarter of a minute, and under 70 W never (own model)', () => {
    const massG = (40 * 40 * 0.8 * ALLOYS['sterling-925'].densityGPerCm3) / 1000
    const sheet = [{ id: 'sheet', alloy: 'sterling-925', massG, thicknessMm: 0.8 } as const]
    const seconds = secondsToHeat(sheet, 650, 200) ?? 0
    expect(seconds).toBeGreaterThan(10)
    expect(seconds).toBeLessThan(20)
    expect(secondsToHeat(sheet, 650, 70)).toBeNull()
    const { seconds: planned, secondsFrom, secondsTo } = planHeat([sheet, []], 650, 200)
    expect(planned).toBe(seconds)
    expect(secondsFrom).toBeLessThan(seconds)
    expect(secondsTo).toBeGreaterThan(seconds)
  })
  it('without loss it would be mass times specific heat times the rise: what is lost only adds', () => {
    const small = [{ id: 'ball', alloy: 'fine-silver', massG: 0.05, thicknessMm: 2 } as const]
    const seconds = secondsToHeat(small, 700, 150) ?? 0
    const atLeast = (0.05e-3 * 235 * 680) / 150
    expect(seconds).toBeGreaterThanOrEqual(atLeast - 0.05)
    expect(seconds).toBeLessThan(atLeast + 0.2)
  })
})

describe('cooling after a heat (S05)', () => {
  const cool = (metals: readonly AlloyId[], more: { answer?: string; isCupOnPlate?: boolean } = {}) =>
    coolDownOf({ answer: more.answer, metals, isCupOnPlate: more.isCupOnPlate ?? false })
  it('is a quench once the red is gone, slowly where it was chosen', () => {
    expect(cool(['sterling-925'])).toMatch(/red is gone, quench in water/)
    expect(cool(['sterling-925'], { answer: 'B' })).toMatch(/on the brick/)
  })
  it('is slow for nickel silver and for a cup on its plate whatever was chosen', () => {
    expect(cool(['sterling-925', 'nickel-silver-c752'])).toMatch(/on the brick .*nickel silver cracks/)
    expect(cool(['sterling-925'], { isCupOnPlate: true })).toMatch(/charcoal until the colour is black/)
    expect(cool(['yellow-brass-c260'])).toMatch(/brass cracks from a hot quench/)
  })
})
