import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOY_TITLES, ALLOYS, massOf } from './alloys'
import { SOLDER_FAMILIES, SOLDER_IDS, SOLDERS } from './solders'
import { BOUGHT_TEMPERS, type BoughtTemper, boughtStrain, TEMPERS, temperOfStrain, temperReduction, temperStrain } from './tempers'

describe('tempers', () => {
  it('a B&S number rolled is one gauge thinner: 92^(1/39) a number (ASTM B258, from memory, high)', () => {
    expect(1 / (1 - temperReduction('quarter-hard'))).toBeCloseTo(1.12293, 5)
    expect((1 - temperReduction('hard')) ** 2).toBeCloseTo(1 - temperReduction('spring'), 12)
    expect((1 - temperReduction('half-hard')) ** 2).toBeCloseTo(1 - temperReduction('hard'), 12)
  })
  it('each is harder than the one before, and is called by its own name', () => {
    for (const [i, temper] of TEMPERS.entries()) {
      expect(temperOfStrain(temperStrain(temper))).toBe(temper)
      const before = TEMPERS[i - 1]
      if (before) expect(temperStrain(temper)).toBeGreaterThan(temperStrain(before))
    }
  })
  it('any strain has the nearest name', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1.5, noNaN: true }), (strain) => {
        const off = Math.abs(temperStrain(temperOfStrain(strain)) - strain)
        for (const temper of TEMPERS) expect(off).toBeLessThanOrEqual(Math.abs(temperStrain(temper) - strain) + 1e-12)
      }),
    ))
  it('stock of unknown temper is calculated as half hard', () => {
    expect(boughtStrain('unknown')).toBe(temperStrain('half-hard'))
    for (const temper of Object.keys(BOUGHT_TEMPERS) as BoughtTemper[]) expect(boughtStrain(temper)).toBeGreaterThanOrEqual(0)
  })
})

describe('alloys', () => {
  it('all have a title, a colour by day and at the bench, a cue and a quench', () => {
    for (const id of ALLOY_IDS) {
      const alloy = ALLOYS[id]
      expect(alloy.id).toBe(id)
      expect(ALLOY_TITLES[id]).toBe(alloy.title)
      for (const colour of Object.values(alloy.colour)) expect(colour).toMatch(/^#[0-9a-f]{6}$/)
      expect(alloy.annealCue.length * alloy.quench.length).toBeGreaterThan(0)
    }
  })
  it('no two share a face colour: the drawing tells them apart', () =>
    expect(new Set(ALLOY_IDS.map((id) => ALLOYS[id].colour.face)).size).toBe(ALLOY_IDS.length))
  it('those with zinc say its fume, those with much of it the season cracking, nickel its skin', () => {
    for (const id of ALLOY_IDS) {
      const { composition, hazards } = ALLOYS[id]
      const zinc = Number(/Zn (\d+)/.exec(composition)?.[1] ?? 0)
      expect(hazards.some((hazard) => hazard.startsWith('Zinc fume'))).toBe(zinc > 0)
      expect(hazards.some((hazard) => hazard.startsWith('Season cracking'))).toBe(zinc > 15)
      expect(hazards.some((hazard) => hazard.startsWith('Nickel'))).toBe(composition.includes('Ni'))
    }
  })
  it('mass is in proportion to volume', () =>
    fc.assert(
      fc.property(fc.constantFrom(...ALLOY_IDS), fc.double({ min: 0.1, max: 1e5, noNaN: true }), (id, volume) => {
        expect(massOf(id, 3 * volume)).toBeCloseTo(3 * massOf(id, volume), 6)
      }),
    ))
  it('the density of a mixture lies between those of what it is mixed of (rule of mixtures by volume; brass shrinks a little in the mixing, 3 %)', () => {
    const pure: Readonly<Record<string, number>> = {
      Cu: 8.96,
      Zn: 7.14,
      Ag: 10.49,
      Ni: 8.9,
      Au: 19.32,
      Sn: 7.29,
      Ge: 5.32,
      Al: 2.7,
      Mn: 7.2,
      Fe: 7.87,
    }
    // one is of layers, the other whatever its maker makes it of
    for (const id of ALLOY_IDS.filter((id) => id !== 'gold-filled' && id !== 'gold-14k')) {
      const parts = [...ALLOYS[id].composition.matchAll(/(Cu|Zn|Ag|Ni|Au|Sn|Ge|Al|Mn|Fe) ([\d.]+)/g)]
      const share = parts.reduce((sum, part) => sum + Number(part[2]), 0)
      const volume = parts.reduce((sum, part) => sum + Number(part[2]) / (pure[part[1] ?? ''] ?? 1), 0)
      expect(Math.abs(ALLOYS[id].densityGPerCm3 / (share / volume) - 1)).toBeLessThan(0.03)
    }
  })
})

describe('solders', () => {
  it('melt before they flow, and flow below copper and brass, and below fine silver', () => {
    for (const id of SOLDER_IDS) {
      const { solidusC, liquidusC } = SOLDERS[id]
      expect(solidusC).toBeLessThan(liquidusC)
      expect(liquidusC).toBeLessThan(ALLOYS['fine-silver'].solidusC)
      expect(liquidusC).toBeLessThan(ALLOYS['yellow-brass-c260'].solidusC)
    }
  })
  it('of one family stand in falling order, so that a ladder is read down the list', () => {
    for (const family of Object.keys(SOLDER_FAMILIES)) {
      const flows = SOLDER_IDS.filter((id) => SOLDERS[id].family === family).map((id) => SOLDERS[id].liquidusC)
      expect([...flows].sort((a, b) => b - a)).toEqual(flows)
    }
  })
  it('by percentage have compositions that come to a hundred, and the silver they are named for', () => {
    for (const id of SOLDER_IDS) {
      const { composition, silverPercent, title } = SOLDERS[id]
      if (composition === '') continue
      const parts = [...composition.matchAll(/[A-Z][a-z] (\d+)/g)].map((match) => Number(match[1]))
      expect(parts.reduce((sum, part) => sum + part, 0)).toBe(100)
      expect(parts[0]).toBe(silverPercent)
      expect(title).toContain(`${silverPercent} %`)
    }
  })
  it('the same word is another heat in the two families: British easy flows above easy by percentage', () => {
    expect(SOLDERS['uk-easy'].liquidusC).toBeGreaterThan(SOLDERS['easy-65'].liquidusC)
    expect(SOLDERS['uk-medium'].liquidusC).toBeGreaterThan(SOLDERS['medium-70'].liquidusC)
  })
})
