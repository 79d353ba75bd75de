import { describe, expect, it } from 'vitest'
import { assemblyOf } from '../../kits/kit'
import { KITS } from '../../kits/registry'
import { Walk } from '../walk'
import { Trail, withMoved } from './trail'
import { doUnit, wrongWith } from './trial'
import { unitsOf } from './units'

function numbersFrom(seed: number): (below: number) => number {
  let state = seed >>> 0
  return (below) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return Math.floor((state / 2 ** 32) * below)
  }
}

describe('an order weighed from what is walked already', () => {
  it.each(KITS.map((kit, i) => [kit.id, kit, i] as const))(
    '%s: is as much as one walked anew, whichever places are asked for',
    (_, kit, i) => {
      const assembly = assemblyOf(kit)
      const below = numbersFrom(i)
      const trail = new Trail(assembly, unitsOf(assembly))
      for (let n = 0; n < 40; n++) {
        const unit = trail.units[below(trail.units.length)]
        const moved = unit && withMoved(trail.units, unit, below(trail.units.length))
        if (!moved) continue
        // all the way, and as far as it wins
        const whole = { ...moved, to: moved.units.length }
        expect(trail.wrongOf(whole, Number.POSITIVE_INFINITY)).toBe(wrongWith(assembly, moved.units))
        if (n % 3 > 0) continue
        trail.follow(moved)
        expect(trail.wrong).toBe(wrongWith(assembly, moved.units))
      }
    },
  )
})

describe('a walk taken back', () => {
  it.each(KITS.map((kit) => [kit.id, kit] as const))('%s: is as it was before each step', (_, kit) => {
    const assembly = assemblyOf(kit)
    const units = unitsOf(assembly)
    const walk = Walk.of(assembly)
    const moments = units.map((unit) => {
      const moment = { mark: walk.mark(), states: JSON.stringify(walk.states()) }
      doUnit(assembly, walk, unit)
      return moment
    })
    const after = units.map((_unit, i) => {
      const anew = Walk.of(assembly)
      return units.slice(0, i + 1).flatMap((one) => doUnit(assembly, anew, one)).length
    })
    for (let i = units.length - 1; i >= 0; i--) {
      const unit = units[i]
      const moment = moments[i]
      if (!unit || !moment) continue
      walk.takeBack(moment.mark)
      expect(JSON.parse(JSON.stringify(walk.states()))).toEqual(JSON.parse(moment.states))
      const before = i === 0 ? 0 : (after[i - 1] ?? 0)
      expect(doUnit(assembly, walk, unit).length).toBe((after[i] ?? 0) - before)
    }
  })
})
