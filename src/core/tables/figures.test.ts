import { describe, expect, it } from 'vitest'
import { findForm } from '../forms/registry'
import { ALLOY_IDS, massOf } from '../metals/alloys'
import { FIGURES, figureOf, massWith } from './figures'

describe('figures of the bench', () => {
  it('each has a preset inside its own range', () => {
    for (const [id, { preset, minimum, maximum }] of Object.entries(FIGURES)) {
      expect(preset, id).toBeGreaterThanOrEqual(minimum)
      expect(preset, id).toBeLessThanOrEqual(maximum)
    }
  })
  it('one’s own wins', () => {
    expect(figureOf('grit-skip', {})).toBe(2)
    expect(figureOf('grit-skip', { 'grit-skip': 2.4 })).toBe(2.4)
  })
  it.each(ALLOY_IDS)('the mass of %s is the handbook’s until it is weighed', (alloy) => {
    expect(massWith(alloy, 1000, {})).toBe(massOf(alloy, 1000))
    expect(massWith(alloy, 1000, { [`density-${alloy}`]: 9 })).toBe(9)
  })
  it('reaches a form: mass by one’s own density, a wide band by one’s own table', () => {
    const input = { insideDiameterMm: 18, thicknessMm: 1, widthMm: 7, alloy: 'sterling-925', schools: { fit: 'wide-band' } }
    const run = (figures: Record<string, number>) => findForm('ring-band')?.run(input, { figures })
    const [usual, own] = [run({}), run({ 'density-sterling-925': 10.2, 'wide-band-6': 1 })]
    if (!usual?.ok || !own?.ok) throw new Error('no plan')
    expect((own.result.results.insideDiameterMm?.value ?? 0) - (usual.result.results.insideDiameterMm?.value ?? 0)).toBeCloseTo(
      0.5 * 0.8128,
      9,
    )
    const blank = own.result.blanks[0]
    expect(blank?.massG).toBeCloseTo((10.2 * (blank?.areaMm2 ?? 0)) / 1000, 9)
  })
})
