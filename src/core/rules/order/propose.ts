import { type Assembly, type AssemblyJoint, type AssemblyStep, HOT_JOINTS, type Ref } from '../../assembly/assembly'
import { readIncludes } from '../../operations/notation/includes'
import { type Broken, brokenIn, counts } from '../check'
import { findRule } from '../table'
import type { Numbered } from '../walked-route'
import { assemblyOfUnits, groupsOfUnits } from './apart'
import type { Unit } from './units'

/** A step that a rule needs and that is missing: proposed, not slipped in. */
export interface Proposal {
  readonly op: string
  readonly on: readonly Ref[]
  readonly params: Readonly<Record<string, unknown>>
  /** The place in the ordered route before which it belongs. */
  readonly at: number
  readonly because: readonly string[]
}

/** Operations that are done to a joint, not to a thing. */
const ON_JOINT: ReadonlySet<string> = new Set([
  'fit-joint',
  'test-joint',
  'solder',
  'fuse',
  'melt-solder-on',
  'place-solder',
  'mark-orientation',
  'stitch',
])

/** So many steps are proposed at most. */
const MOST = 40

function jointsFor({ joints }: Assembly, step: AssemblyStep, key: string, op: string): readonly AssemblyJoint[] {
  if (key.startsWith('joint:')) return joints.filter(({ id }) => id === key.slice('joint:'.length))
  const own = joints.filter(({ id }) => step.on.some(({ thing }) => thing === id))
  if (own.length > 0) return own
  const kinds = op === 'stitch' ? ['stitch'] : op === 'mark-orientation' ? ['press', 'rivet'] : HOT_JOINTS
  return joints.filter(({ kind, members }) => kinds.includes(kind as never) && members.some(({ thing }) => thing === key)).slice(0, 1)
}

/** What a missing operation is done to: what lacks it, or the joint of that. */
function targetsOf(assembly: Assembly, step: AssemblyStep, on: readonly string[], op: string): Ref[] {
  if (ON_JOINT.has(op)) {
    const ids = on.flatMap((key) => jointsFor(assembly, step, key, op).map(({ id }) => id))
    return [...new Set(ids)].map((thing) => ({ thing }))
  }
  const place = step.on.find((ref) => ref.place !== undefined)?.place ?? (typeof step.params.at === 'string' ? step.params.at : undefined)
  return on.map((key): Ref => {
    const [thing = '', where] = key.replace(/^joint:/, '').split('@')
    const at = where ?? place
    return at ? { thing, place: at } : { thing }
  })
}

interface Repair {
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
}

/** The operations that put a finding right, in the order in which they are done. */
function repairsOf({ rule, clauses, steps }: Broken): Repair[] {
  const row = findRule(rule)
  if (!row || !(row.shape === 'needs' || row.shape === 'before' || row.shape === 'within')) return []
  return clauses.flatMap((i) => {
    const clause = row.clauses[i]
    const isMissing = clause && 'missing' in clause && steps.length === 1
    const wait = clause && 'least' in clause ? { min: clause.least } : {}
    const put = (isMissing ? clause.missing : clause?.put) ?? []
    return put
      .flatMap((text) => readIncludes(text))
      .map(({ op, params }) => ({ op, params: { ...asNumbers(params), ...(op === 'wait' ? wait : {}) } }))
  })
}

function asNumbers(params: Readonly<Record<string, string>>): Record<string, unknown> {
  return Object.fromEntries(Object.entries(params).map(([name, value]) => [name, /^\d+$/.test(value) ? Number(value) : value]))
}

/** A step in the draft of a route; one that is proposed has a number that none of the route has. */
interface Drafted extends Numbered {
  /** The place it had in the ordered route; of a proposed one the place it stands before. */
  readonly at: number
  readonly proposed?: Proposal
}

interface Draft {
  readonly assembly: Assembly
  readonly row: readonly Drafted[]
}

const wrongIn = ({ assembly, row }: Draft) => brokenIn(assembly, row).filter(counts)

/** A proposal as a step before another, of the same repeated group as that. */
const stepOf = ({ op, on, params }: Proposal, { repeat }: AssemblyStep): AssemblyStep => ({ op, on, params, ...(repeat ? { repeat } : {}) })

function withRepair({ assembly, row }: Draft, broken: Broken): Draft | undefined {
  const place = row.findIndex(({ index }) => index === broken.steps.at(-1))
  const late = row[place]
  if (!late) return undefined
  const { step, at } = late
  const added = repairsOf(broken).map(({ op, params }, i): Drafted => {
    const proposed: Proposal = { op, params, on: targetsOf(assembly, step, broken.on, op), at, because: [broken.rule] }
    return { step: stepOf(proposed, step), index: assembly.steps.length + row.length + i, at, proposed }
  })
  if (added.length === 0 || added.some(({ proposed }) => proposed?.on.length === 0)) return undefined
  return { assembly, row: [...row.slice(0, place), ...added, ...row.slice(place)] }
}

/** What is proposed for a route, and how much is wrong with it then. */
interface Proposed {
  readonly row: readonly Drafted[]
  readonly left: number
}

function proposedFor(assembly: Assembly, ordered: readonly Drafted[]): Proposed {
  let best: Better = { draft: { assembly, row: ordered }, wrong: wrongIn({ assembly, row: ordered }) }
  while (best.draft.row.length < ordered.length + MOST) {
    const better = firstBetter(best.draft, best.wrong)
    if (!better) break
    best = better
  }
  return { row: best.draft.row, left: best.wrong.length }
}

const proposalsIn = (row: readonly Drafted[]) => row.flatMap(({ proposed }) => proposed ?? [])

/** The steps of a route, each after what is proposed before it; what was proposed apart from one another takes numbers of its own in the whole. */
function withProposals(assembly: Assembly, route: readonly Drafted[], proposed: readonly Drafted[]): Drafted[] {
  const row = route.flatMap((item) => [...proposed.filter(({ at }) => at === item.at), item])
  return row.map((item, place) => (item.proposed ? { ...item, index: assembly.steps.length + place } : item))
}

/**
 * Steps that are missing in a route that is in order: each takes its finding away and brings no other. What never hangs together is looked at by
 * itself, unless the whole is the worse for it.
 */
export function proposeMissing(assembly: Assembly, ordered: readonly Unit[]): readonly Proposal[] {
  const route = ordered.flatMap((unit) => unit.steps).map((index, at) => ({ step: assembly.steps[index], index, at }))
  const rowOf = (units: readonly Unit[]) => {
    const own = new Set(units.flatMap((unit) => unit.steps))
    return route.flatMap(({ step, index, at }): Drafted[] => (step && own.has(index) ? [{ step, index, at }] : []))
  }
  const whole = () => proposalsIn(proposedFor(assembly, rowOf(ordered)).row)
  const groups = groupsOfUnits(ordered)
  if (groups.length < 2) return whole()
  const found = groups.map((units) => proposedFor(assemblyOfUnits(assembly, units), rowOf(units)))
  const proposed = found.flatMap(({ row }) => row.filter((item) => item.proposed))
  const left = found.reduce((sum, item) => sum + item.left, 0)
  const row = withProposals(assembly, rowOf(ordered), proposed)
  return wrongIn({ assembly, row }).length <= left ? proposalsIn(row) : whole()
}

/** A repair may ask for another in its turn: so many deep at most. */
const DEEPEST = 4

interface Better {
  readonly draft: Draft
  readonly wrong: readonly Broken[]
}

/** The first repair after which less is wrong than there may be; one that brings something else is followed by the repair of that. */
function firstBetter(draft: Draft, wrong: readonly Broken[], most = wrong.length, depth = 0): Better | undefined {
  for (const finding of wrong) {
    const next = withRepair(draft, finding)
    if (!next) continue
    const left = wrongIn(next)
    if (left.length < most) return { draft: next, wrong: left }
    if (left.length > most || depth === DEEPEST) continue
    const deeper = firstBetter(
      next,
      left.filter((item) => isNew(item, wrong)),
      most,
      depth + 1,
    )
    if (deeper) return deeper
  }
  return undefined
}

/** Whether a finding was not there before: another rule, other things, or another part of the rule. */
function isNew({ rule, on, clauses }: Broken, before: readonly Broken[]): boolean {
  return !before.some((item) => item.rule === rule && item.on.join() === on.join() && item.clauses.join() === clauses.join())
}
