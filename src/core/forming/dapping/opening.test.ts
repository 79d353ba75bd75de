import { describe, expect, it } from 'vitest'
import { lipRisk, notchFactor, openedHoleMm } from './opening'

describe('an opening in a dome', () => {
  it('a notch concentrates the more the sharper it is, up to four times (specified, low)', () => {
    expect(notchFactor(1, 4)).toBeCloseTo(2, 9)
    expect(notchFactor(1, 1)).toBeCloseTo(3, 9)
    expect(notchFactor(4, 0.1)).toBe(4)
    expect(notchFactor(0, 1)).toBe(1)
  })
  it('a hole at the crown opens by half of what the metal thins (volume kept, equal both ways)', () =>
    expect(openedHoleMm(6, -0.1)).toBeCloseTo(6 * Math.exp(0.05), 9))
  it('its lip splits where it is narrower than the sheet, folds where it is wide and pressed together (specified, low)', () => {
    expect(lipRisk({ bridgeMm: 0.4, thicknessMm: 0.6, rimStrain: 0.1 })).toBe('splits')
    expect(lipRisk({ bridgeMm: 3, thicknessMm: 0.6, rimStrain: 0.1 })).toBe('folds')
    expect(lipRisk({ bridgeMm: 3, thicknessMm: 0.6, rimStrain: 0.01 })).toBe('sound')
    expect(lipRisk({ bridgeMm: 1, thicknessMm: 0.6, rimStrain: 0.3 })).toBe('sound')
  })
})
