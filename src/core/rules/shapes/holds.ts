import { type Act, heatOf } from '../act'
import { STANDS_C } from '../apply'
import type { Breach, Watch } from '../breach'
import type { HoldsClause } from '../row'
import { chosenBy, readSelection } from '../selection'
import { attachedTo, factOf, standsOf, type World } from '../world'

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
function putThere(act: Act, things: readonly string[], done: readonly { readonly act: Act }[], ops: readonly string[]): number | undefined {
  return done.findLast(
    (item) => ops.includes(item.act.op.id) && item.act.things.some((thing) => things.includes(thing)) && item.act !== act,
  )?.act.index
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

/** Watches what is attached against the heat of a step. */
export function watchHolds(clauses: readonly HoldsClause[]): Watch {
  const read = clauses.map((item) => ({ ...item, selection: readSelection(item.of) }))
  return (world, act, walked) => {
    const heatC = heatOf(act)
    if (heatC === undefined) return []
    return read.flatMap(({ holds, fixed, selection }, clause): Breach[] => {
      if (!chosenBy(world, act, selection)) return []
      const reached = [...attachedTo(world, act.things)]
      return holds.flatMap((kind): Breach[] => {
        const on = reached.filter((thing) => fails(world, thing, kind, heatC))
        if (on.length === 0) return []
        const other = putThere(act, on, walked.done, PUT_BY[kind])
        return [{ clause, on, ...(other === undefined ? {} : { other }), ...(fixed ? { fixed } : {}) }]
      })
    })
  }
}
