import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readSupply, type SupplyFault } from '../instruments'
import { seededRandom } from '../numerics/random'
import { ETCH_BEGUN, type EtchState, nextEtch } from './run'

const GOAL = { currentA: 0.9, minutes: 200, depthMm: 0.25 }

/** An etch on the stand-in supply, a minute at a reading, until it stops by itself. */
function etched(fault?: { readonly kind: SupplyFault; readonly sinceS: number }, seed = 7): EtchState {
  const random = seededRandom(seed)
  let state = ETCH_BEGUN
  for (let minute = 0; minute < 2000 && !state.stopped; minute++) {
    const atS = 60 * minute
    const shown = readSupply({ setA: GOAL.currentA, atS, ...(fault && atS >= fault.sinceS ? { fault } : {}) }, random)
    state = nextEtch(GOAL, state, shown.amps, 60)
  }
  return state
}

describe('an etch on the supply', () => {
  it('stops at its depth, at the charge of its current and its minutes', () => {
    const { stopped, coulombs, depthMm, seconds } = etched()
    expect(stopped).toBe('depth')
    expect(Math.abs(coulombs / (0.9 * 200 * 60) - 1)).toBeLessThan(0.01)
    expect(Math.abs(depthMm - 0.25)).toBeLessThan(0.25 / 150)
    expect(Math.abs(seconds / 60 - 200)).toBeLessThan(4)
  })
  it('stops at a short within three readings, and counts none of what flowed past the work', () => {
    const state = etched({ kind: 'short', sinceS: 3600 })
    expect(state.stopped).toBe('short')
    expect(state.seconds).toBeLessThanOrEqual(3600 + 3 * 60)
    expect(Math.abs(state.depthMm / (0.25 * (60 / 200)) - 1)).toBeLessThan(0.02)
  })
  it('stops where a contact is lost, and goes on from there', () => {
    const state = etched({ kind: 'contact', sinceS: 6000 })
    expect(state.stopped).toBe('contact')
    const again = nextEtch(GOAL, { ...state, under: 0, stopped: undefined } as unknown as EtchState, 0.9, 60)
    expect(again.depthMm).toBeGreaterThan(state.depthMm)
  })
  it('that drifts takes longer, comes to its depth all the same, and says so', () => {
    const state = etched({ kind: 'drift', sinceS: 1800 })
    expect(state.stopped).toBe('depth')
    expect(state.seconds / 60).toBeGreaterThan(215)
    expect(state.isDrifting).toBe(true)
  })
  it('once stopped stays as it is, whatever is read', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 50, noNaN: true }), (amps) => {
        const state: EtchState = { ...ETCH_BEGUN, stopped: 'short' }
        expect(nextEtch(GOAL, state, amps, 60)).toBe(state)
      }),
    ))
})

describe('the stand-in for a supply', () => {
  it('shows hundredths, near what is set, and each fault as it is', () => {
    const random = seededRandom(3)
    const amps = (kind?: SupplyFault, atS = 0) => readSupply({ setA: 2, atS, ...(kind ? { fault: { kind, sinceS: 0 } } : {}) }, random).amps
    for (let i = 0; i < 50; i++) {
      expect(Math.abs(amps() - 2)).toBeLessThan(0.1)
      expect(amps('short')).toBeGreaterThan(4)
      expect(amps('contact')).toBeLessThan(0.1)
    }
    expect(Math.abs(amps('drift', 3600) - 1.7)).toBeLessThan(0.1)
  })
})
