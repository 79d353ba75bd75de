import type { FactChange } from '../operations/notation/effect'
import type { Fact, FactValue } from '../operations/notation/facts'
import { askedOfThings, heatOf, holdsFor, thingsFor } from './act'
import type { Act } from './acted'
import { attachedTo, withLink } from './links'
import { factOf, isMetal, jointKey, jointsWithin, namesIn, placeKey, setFact, setFacts, thingsOf, type World } from './world'

/** From here on a heat softens, scales and burns off flux, °C. */
const SOFTENING_C = 400
/** What a headed rivet and spring temper stand, a colour, and wax, lacquer or glue, °C. */
export const STANDS_C = { rivet: 250, spring: 250, colour: 100, wax: 60, glue: 60 } as const

/** What a heat that softens leaves of a metal. */
const SOFTENED: readonly (readonly [Fact, FactValue])[] = [
  ['fluxed', false],
  ['fluxWet', false],
  ['spring', false],
  ['temper', 0],
]

const NOT_SCALING: ReadonlySet<string> = new Set(['fine-silver'])

/** Whose facts a change is about. */
function keysOf(world: World, act: Act, change: FactChange): Iterable<string> {
  const things = thingsFor(world, act.things, askedOfThings(change.when))
  switch (change.scope) {
    case 'things':
      return things
    case 'attached':
      return attachedTo(world, things)
    case 'joint':
      return act.joints.map((joint) => jointKey(joint.id))
    case 'joints':
      return jointsWithin(world, attachedTo(world, things)).map((joint) => jointKey(joint.id))
    case 'place':
      return things.map((thing) => placeKey(thing, act.place))
    case 'file':
      return namesIn(act.params.tool)
  }
}

/** What a change makes of a fact, where that is always the same; undefined where it depends on what the fact was. */
function steadyValueOf({ to }: FactChange, params: Act['params']): FactValue | undefined {
  if ('value' in to) return to.value
  const value = 'param' in to ? params[to.param] : undefined
  return typeof value === 'string' || typeof value === 'number' ? value : undefined
}

/** A change of an act; with its keys and its value where they are always the same. */
interface KnownChange {
  readonly item: FactChange
  readonly keys: readonly string[] | undefined
  readonly value: FactValue | undefined
  readonly add: number | undefined
}

/** What an act does, as far as it is always the same. */
interface Done {
  readonly changes: readonly KnownChange[]
  readonly heatC: number | undefined
}

/** What each act does, worked out once. */
const DONE = new WeakMap<Act, Done>()
/** Whose facts are changed by these does not depend on what hangs together. */
const STEADY: ReadonlySet<FactChange['scope']> = new Set(['things', 'joint', 'place', 'file'])

function changesOf(world: World, act: Act): readonly KnownChange[] {
  return act.op.does
    .filter((item) => holdsFor(world, act, item.when))
    .map((item): KnownChange => {
      const isSteady = STEADY.has(item.scope) && askedOfThings(item.when).length === 0
      return {
        item,
        keys: isSteady ? [...keysOf(world, act, item)] : undefined,
        value: steadyValueOf(item, act.params),
        add: 'add' in item.to ? item.to.add : undefined,
      }
    })
    .filter(({ value, add }) => value !== undefined || add !== undefined)
}

function doneBy(world: World, act: Act): Done {
  const known = DONE.get(act)
  if (known) return known
  const done = { changes: changesOf(world, act), heatC: heatOf(act) }
  DONE.set(act, done)
  return done
}

function change(world: World, act: Act, changes: readonly KnownChange[]): void {
  for (const { item, keys, value, add = 0 } of changes)
    for (const key of keys ?? keysOf(world, act, item))
      setFact(world, key, item.fact, value ?? Math.min(1, Number(factOf(world, key, item.fact)) + add))
}

/** What a heat leaves: hot; from 400 °C on soft, scaled and without flux; what did not stand it is gone. */
function heat(world: World, act: Act, heatC: number): void {
  const warm: (readonly [Fact, FactValue])[] = [['hot', true]]
  if (heatC > STANDS_C.colour) warm.push(['coloured', false])
  if (heatC > STANDS_C.wax) warm.push(['sealed', false])
  const softens = heatC >= SOFTENING_C
  for (const thing of attachedTo(world, act.things)) {
    setFacts(world, thing, warm)
    if (!softens || !isMetal(world, thing)) continue
    setFacts(world, thing, SOFTENED)
    if (!NOT_SCALING.has(world.parts.get(thing)?.alloy ?? '')) setFact(world, thing, 'scaled', true)
  }
}

function link(world: World, act: Act, loose: boolean): void {
  for (const joint of act.joints) world.links = withLink(world.links, { joint: joint.id, things: thingsOf(joint), loose })
}

function join(world: World, act: Act): void {
  link(world, act, false)
  for (const joint of act.joints) {
    setFact(world, jointKey(joint.id), 'done', true)
    if (act.op.joins === 'headed') for (const thing of thingsOf(joint)) setFact(world, thing, 'headed', true)
    if (act.op.joins !== 'hot') continue
    setFact(world, jointKey(joint.id), 'tested', false)
    if (joint.kind === 'seam')
      for (const thing of thingsOf(joint)) {
        setFact(world, thing, 'closed', true)
        setFact(world, thing, 'seamClosed', true)
        setFact(world, thing, 'trued', false)
        setFact(world, thing, 'measured', false)
      }
  }
}

/** Makes several parts of one: each has the state of the old one, which is there no longer. */
function divide(world: World, act: Act): void {
  const [old] = act.things
  if (old === undefined) return
  const parts = namesIn(act.params.into)
  const facts = [...(world.facts.get(old) ?? [])]
  const known = new Set(facts.map(([fact]) => fact))
  for (const part of parts) {
    for (const fact of [...(world.facts.get(part)?.keys() ?? [])]) if (!known.has(fact)) setFact(world, part, fact, false)
    for (const [fact, value] of facts) setFact(world, part, fact, value)
  }
  world.from = new Map([...world.from, ...parts.map((part) => [part, old] as const)])
  world.there = new Set([...world.there, ...parts].filter((part) => part !== old))
}

function partLoose(world: World, act: Act): void {
  const apart = new Set(act.joints.map((joint) => joint.id))
  world.links = world.links.filter((item) => !(item.loose && apart.has(item.joint)))
}

/** Does one act of the unfolded route to the state. */
export function applyAct(world: World, act: Act): void {
  const { changes, heatC } = doneBy(world, act)
  const { joins } = act.op
  if (joins === 'loose') link(world, act, true)
  else if (joins === 'apart') partLoose(world, act)
  else if (joins) join(world, act)
  if (heatC !== undefined) heat(world, act, heatC)
  change(world, act, changes)
  if (act.op.divides) divide(world, act)
}
