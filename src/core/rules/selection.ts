import { findOperation } from '../operations/catalogue'
import type { Condition } from '../operations/notation/condition'
import { readClauses } from '../operations/notation/effect'
import { InvariantError } from '../working/invariant'
import { holdsFor } from './act'
import type { Act } from './acted'
import { OPERATION_GROUPS } from './groups'
import type { World } from './world'

/** Operations that a rule speaks of, under conditions. */
export interface Selection {
  readonly parts: readonly { readonly ops: ReadonlySet<string>; readonly when: readonly Condition[] }[]
  /** The operations of all its parts. */
  readonly ops: ReadonlySet<string>
  readonly isUnconditional: boolean
}

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
  const parts = readClauses(text, ['ops'], 'ops').map(({ items, when }) => ({ ops: new Set(items.flatMap(opsNamed)), when }))
  const ops = new Set(parts.flatMap((part) => [...part.ops]))
  return { parts, ops, isUnconditional: parts.every(({ when }) => when.length === 0) }
}

const NO_CONDITION: readonly Condition[] = []

/** What was found of an act before: it never changes. */
const CHOSEN = new WeakMap<Act, Map<Selection, readonly Condition[] | undefined>>()

/** The conditions under which an act is one of a selection; undefined where it is none. */
export function chosenBy(world: World, act: Act, selection: Selection): readonly Condition[] | undefined {
  if (!selection.ops.has(act.op.id)) return undefined
  if (selection.isUnconditional) return NO_CONDITION
  const known = CHOSEN.get(act) ?? new Map<Selection, readonly Condition[] | undefined>()
  CHOSEN.set(act, known)
  if (!known.has(selection)) known.set(selection, findWhen(world, act, selection))
  return known.get(selection)
}

function findWhen(world: World, act: Act, selection: Selection): readonly Condition[] | undefined {
  return selection.parts.find(({ ops, when }) => ops.has(act.op.id) && holdsFor(world, act, when))?.when
}
