import { heatOf } from '../act'
import type { Act } from '../acted'
import { STANDS_C } from '../apply'
import { type Breach, type Check, NONE, type Watch } from '../breach'
import { attachedTo } from '../links'
import type { HoldsClause } from '../row'
import { chosenBy, readSelection } from '../selection'
import { factOf, standsOf, type World } from '../world'
import type { Walked } from './walked'

type Kind = HoldsClause['holds'][number]

const FACT_OF = { rivet: 'headed', colour: 'coloured', wax: 'sealed', glue: 'glued', spring: 'spring' } as const

/** Whether a thing carries something that does not stand this heat. */
function fails(world: World, thing: string, kind: Kind, heatC: number): boolean {
  if (kind === 'other') {
    const other = world.others.get(thing)
    return other !== undefined && heatC > standsOf(other)
  }
  return factOf(world, thing, FACT_OF[kind]) === true && heatC > STANDS_C[kind]
}

/** The last step that put it there; a rivet, a colour, a stone. */
function putThere(act: Act, things: readonly string[], walked: Walked, ops: readonly string[]): number | undefined {
  for (let { last: done } = walked; done; done = done.before)
    if (ops.includes(done.act.op.id) && done.act !== act && done.act.things.some((thing) => things.includes(thing))) return done.act.index
  return undefined
}

/** Operations that put a thing of each kind there. */
export const PUT_BY: Readonly<Record<Kind, readonly string[]>> = {
  rivet: ['rivet'],
  colour: ['patina-dip', 'patina-spray', 'verdigris', 'heat-colour'],
  wax: ['wax', 'lacquer'],
  glue: ['glue'],
  spring: ['planish', 'form-hook'],
  other: ['place-stone', 'set-stone', 'insert-rivet', 'rivet', 'stitch', 'glue', 'hang', 'wrap-wire'],
}

/** What hangs together with an act’s things and carries something of a kind that does not stand its heat. */
function failing(world: World, act: Act, kind: Kind, heatC: number): string[] {
  const on: string[] = []
  for (const thing of attachedTo(world, act.things)) if (fails(world, thing, kind, heatC)) on.push(thing)
  return on
}

/** Watches what is attached against the heat of a step. */
export function watchHolds(clauses: readonly HoldsClause[]): Watch {
  const read = clauses.map((item, clause) => ({ ...item, clause, selection: readSelection(item.of) }))
  return (world, act) => {
    const heatC = heatOf(act)
    if (heatC === undefined) return []
    const here = read.filter(({ selection }) => chosenBy(world, act, selection))
    return here.map(
      ({ holds, fixed, clause }): Check =>
        (now, walked) =>
          holds.flatMap((kind): readonly Breach[] => {
            const on = failing(now, act, kind, heatC)
            if (on.length === 0) return NONE
            const other = putThere(act, on, walked, PUT_BY[kind])
            return [{ clause, on, ...(other === undefined ? {} : { other }), ...(fixed ? { fixed } : {}) }]
          }),
    )
  }
}
