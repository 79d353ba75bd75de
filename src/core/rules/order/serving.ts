import type { Walk, WalkMark } from '../walk'
import { does, meets, type Unit } from './units'

/** Operations that serve the heat or joint done just before them. */
const SERVING: ReadonlySet<string> = new Set(['pickle', 'scrub', 'dry', 'rinse', 'cool', 'quench', 'cool-slowly', 'unbind', 'test-joint'])
const HEATING: ReadonlySet<string> = new Set(['anneal', 'solder', 'fuse', 'melt', 'melt-solder-on', 'fuse-dust', 'bind'])

/** Whether a unit heats or binds, by itself or by what it includes. */
export const heats = (unit: Unit) => does(unit, HEATING)
/** Whether an operation heats or binds. */
export const isHeating = (op: string) => HEATING.has(op)
/** Whether a unit is a pickle, dry, test or their like. */
const serves = ({ main }: Unit) => does({ ops: main }, SERVING)

/** Which heat each pickle, dry and test serves: the nearest before it on the same things. */
export function boundTo(units: readonly Unit[]): Map<Unit, Unit> {
  const bound = new Map<Unit, Unit>()
  units.forEach((unit, i) => {
    if (heats(unit) || !serves(unit)) return
    const heat = units.slice(0, i).findLast((other) => heats(other) && meets(unit, other))
    if (heat) bound.set(unit, heat)
  })
  return bound
}

/** Whether a pickle, dry or test, done since a moment of a walk, has changed nothing. */
export const isIdle = (unit: Unit, walk: Walk, before: WalkMark) => serves(unit) && walk.isAsAt(before)
