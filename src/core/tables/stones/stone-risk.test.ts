import { describe, expect, it } from 'vitest'
import { MOST_DELICATE, STONE_RISKS, stoneRisk } from './stone-risk'

describe('what stones take', () => {
  it('about forty of them, each once and each with how sure it is', () => {
    expect(STONE_RISKS.length).toBeGreaterThanOrEqual(40)
    expect(new Set(STONE_RISKS.map(({ id }) => id)).size).toBe(STONE_RISKS.length)
  })
  it('hardness stands as Mohs put it: talc 1 to diamond 10, fluorite 4, apatite 5, quartz 7, topaz 8, corundum 9 (Mohs’ scale, 1812)', () => {
    const mohs = (id: string) => stoneRisk(id).mohs
    expect([
      mohs('calcite'),
      mohs('fluorite'),
      mohs('apatite'),
      mohs('rock-crystal'),
      mohs('topaz'),
      mohs('ruby'),
      mohs('diamond'),
    ]).toEqual([3, 4, 5, 7, 8, 9, 10])
  })
  it('what fizzes in acid takes none: carbonates and what grew in shell (chemistry)', () => {
    for (const id of ['calcite', 'malachite', 'rhodochrosite', 'pearl', 'coral', 'shell']) expect(stoneRisk(id).acid).toBe('no')
  })
  it('one that is not known is treated as the most delicate', () => {
    expect(stoneRisk('moon dust')).toBe(MOST_DELICATE)
    for (const { mohs, standsC } of STONE_RISKS) {
      expect(mohs).toBeGreaterThanOrEqual(MOST_DELICATE.mohs)
      expect(standsC).toBeGreaterThan(0)
    }
  })
  it('is found by its name as well as its id', () => expect(stoneRisk(' Opal, solid ').acid).toBe('no'))
})
