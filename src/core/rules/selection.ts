import { findOperation } from '../operations/catalogue'
import type { Condition } from '../operations/notation/condition'
import { readClauses } from '../operations/notation/effect'
import { InvariantError } from '../working/invariant'
import { type Act, holdsFor } from './act'
import { OPERATION_GROUPS } from './groups'
import type { World } from './world'

/** Operations that a rule speaks of, under conditions. */
export type Selection = readonly { readonly ops: ReadonlySet<string>; readonly when: readonly Condition[] }[]

function opsNamed(item: string): readonly string[] {
  if (item.startsWith('@')) {
    const group = OPERATION_GROUPS[item.slice(1)]
    if (!group) throw new InvariantError('rule', { got: item, expected: 'a group of operations' })
    return group
  }
  if (!findOperation(item)) throw new InvariantError('rule', { got: item, expected: 'an operation' })
  return [item]
}

/** Reads operations as `saw, divide (what!=rough|trim); @form`. Throws `InvariantError`. */
export function readSelection(text: string): Selection {
  return readClauses(text, ['ops'], 'ops').map(({ items, when }) => ({ ops: new Set(items.flatMap(opsNamed)), when }))
}

/** The operations of a selection. */
export function opsOf(selection: Selection): ReadonlySet<string> {
  const known = OPS_OF.get(selection)
  if (known) return known
  const ops = new Set(selection.flatMap((part) => [...part.ops]))
  OPS_OF.set(selection, ops)
  return ops
}

const OPS_OF = new WeakMap<Selection, ReadonlySet<string>>()

/** What was found of an act before: it never changes. */
const CHOSEN = new WeakMap<Act, Map<Selection, readonly Condition[] | undefined>>()

/** The conditions under which an act is one of a selection; undefined where it is none. */
export function chosenBy(world: World, act: Act, selection: Selection): readonly Condition[] | undefined {
  if (!opsOf(selection).has(act.op.id)) return undefined
  const known = CHOSEN.get(act) ?? new Map<Selection, readonly Condition[] | undefined>()
  CHOSEN.set(act, known)
  if (!known.has(selection)) known.set(selection, findWhen(world, act, selection))
  return known.get(selection)
}

function findWhen(world: World, act: Act, selection: Selection): readonly Condition[] | undefined {
  return selection.find(({ ops, when }) => ops.has(act.op.id) && holdsFor(world, act, when))?.when
}
