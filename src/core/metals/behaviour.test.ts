import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS, type AlloyId } from './alloys'

const those = (is: (id: AlloyId) => boolean) => ALLOY_IDS.filter(is)

describe('what may be done to a metal (common practice, no source)', () => {
  it('a thin wear layer is never sanded: only gold-filled has one, and it says so', () => {
    expect(those((id) => ALLOYS[id].behaviour.finish === 'thin-layer')).toEqual(['gold-filled'])
    expect(ALLOYS['gold-filled'].hazards.join(' ')).toContain('no sanding')
  })
  it('aluminium takes no silver solder, and melts without a glow', () => {
    expect(those((id) => !ALLOYS[id].behaviour.solders)).toEqual(['aluminium-1100', 'aluminium-3003'])
    for (const id of ['aluminium-1100', 'aluminium-3003'] as const) {
      expect(ALLOYS[id].glows).toBe(false)
      expect(ALLOYS[id].hazards.join(' ')).toContain('without ever glowing')
    }
  })
  it('the fine metals are soft before they glow', () => {
    for (const id of ['fine-silver', 'fine-gold'] as const) expect(ALLOYS[id].glows).toBe(false)
  })
  it('silver, copper, gold and brass draw up into balls; nickel silver and gold-filled do not', () => {
    for (const id of ['fine-silver', 'sterling-925', 'copper-c110', 'fine-gold', 'yellow-brass-c260'] as const)
      expect(ALLOYS[id].behaviour.fuses, id).toBe(true)
    for (const id of ['nickel-silver-c752', 'gold-filled'] as const) expect(ALLOYS[id].behaviour.fuses, id).toBe(false)
  })
  it('copper, brass and bronze are etched', () => {
    for (const id of ['copper-c110', 'red-brass-c230', 'yellow-brass-c260', 'bronze-c220', 'phosphor-bronze-c510'] as const)
      expect(ALLOYS[id].behaviour.etches, id).toBe(true)
  })
  it('what is hot short is never quenched red', () => {
    for (const id of ['ge-sterling', 'phosphor-bronze-c510'] as const) {
      expect(ALLOYS[id].quench).toMatch(/then water/)
      expect(ALLOYS[id].hazards.join(' ')).toMatch(/while (it glows|red)/)
    }
  })
  it('sterling is quenched to stay soft, nickel silver cools in air', () => {
    expect(ALLOYS['sterling-925'].quench).toMatch(/^water/)
    expect(ALLOYS['nickel-silver-c752'].quench).toMatch(/^air/)
  })
  it('steel is for practice, and says what it does to the pickle', () => {
    expect(those((id) => ALLOYS[id].isPractice === true)).toEqual(['mild-steel-1008'])
    expect(ALLOYS['mild-steel-1008'].hazards.join(' ')).toContain('pickle')
  })
  it('only silver with copper or germanium in it hardens by age', () =>
    expect(those((id) => ALLOYS[id].ageing !== undefined)).toEqual(['sterling-925', 'ge-sterling']))
  it('one gold waits for the sheet of its maker', () => expect(those((id) => ALLOYS[id].needsMakersSheet === true)).toEqual(['gold-14k']))
})

describe('the limit of cold reduction between anneals (bench practice, from memory, low)', () => {
  it('puts the soft metals first and the stiff ones last', () => {
    const limit = (id: AlloyId) => ALLOYS[id].reductionLimitFraction
    const order: readonly AlloyId[] = [
      'fine-gold',
      'fine-silver',
      'aluminium-1100',
      'copper-c110',
      'red-brass-c230',
      'sterling-925',
      'nickel-silver-c752',
      'gold-filled',
    ]
    order.slice(1).forEach((id, i) => {
      expect(limit(id), id).toBeLessThanOrEqual(limit(order[i] ?? id))
    })
  })
  it('lies between a fifth and nineteen twentieths for all', () => {
    for (const id of ALLOY_IDS) {
      expect(ALLOYS[id].reductionLimitFraction).toBeGreaterThan(0.2)
      expect(ALLOYS[id].reductionLimitFraction).toBeLessThan(0.95)
    }
  })
})
