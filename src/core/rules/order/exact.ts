import type { Assembly } from '../../assembly/assembly'
import { Walk } from '../walk'
import { doUnit, weightOf, wrongWith } from './trial'
import { keptCount, type Unit } from './units'

/** Up to so many units every order is looked at. */
export const EXACT_UNITS = 8

interface Best {
  units: readonly Unit[]
  wrong: number
  moved: number
}

const movedOf = (all: readonly Unit[], units: readonly Unit[]) => all.length - keptCount(units.map((unit) => all.indexOf(unit)))

/** At least so many are moved, however the rest follows: at best it keeps its order. */
function movedAtLeast(all: readonly Unit[], begun: readonly Unit[]): number {
  return movedOf(all, [...begun, ...all.filter((unit) => !begun.includes(unit))])
}

/** The order with the least wrong, then the fewest moved, then the earliest indexes, of all there are; `known` is where the search begins. */
export function exactOrder(assembly: Assembly, all: readonly Unit[], known: readonly Unit[]): readonly Unit[] {
  const best: Best = { units: known, wrong: wrongWith(assembly, known), moved: movedOf(all, known) }
  const asGiven = wrongWith(assembly, all)
  if (asGiven < best.wrong || (asGiven === best.wrong && best.moved > 0)) Object.assign(best, { units: all, wrong: asGiven, moved: 0 })
  const extend = (walk: Walk, begun: readonly Unit[], wrong: number): void => {
    const moved = movedAtLeast(all, begun)
    if (wrong > best.wrong || (wrong === best.wrong && moved >= best.moved)) return
    if (begun.length === all.length) {
      Object.assign(best, { units: begun, wrong, moved })
      return
    }
    for (const unit of all) {
      if (begun.includes(unit) || !mayStandAt(all, unit, begun.length)) continue
      const before = walk.mark()
      extend(walk, [...begun, unit], wrong + weightOf(doUnit(assembly, walk, unit)))
      walk.takeBack(before)
    }
  }
  extend(Walk.of(assembly), [], 0)
  return best.units
}

/** A pinned unit stands where it stood, and no other there. */
function mayStandAt(all: readonly Unit[], unit: Unit, place: number): boolean {
  const there = all[place]
  return unit.pinned ? all.indexOf(unit) === place : !there?.pinned
}
