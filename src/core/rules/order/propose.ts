import { type Assembly, type AssemblyJoint, type AssemblyStep, HOT_JOINTS, type Ref } from '../../assembly/assembly'
import { readIncludes } from '../../operations/notation/includes'
import { checkRoute, type Finding } from '../check'
import { findRule } from '../table'
import { sharesActs } from '../world'
import { assemblyOfUnits, groupsOfUnits } from './apart'
import { type Unit, unitsOf } from './units'

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
function repairsOf({ rule, clauses, steps }: Finding): Repair[] {
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

interface Draft {
  readonly assembly: Assembly
  /** For each step the place it had in the ordered route; of a proposed one the place it stands before. */
  readonly places: readonly number[]
  /** For each step what it is proposed as; undefined for those that were there. */
  readonly proposed: readonly (Proposal | undefined)[]
}

const wrongIn = (assembly: Assembly) => checkRoute(assembly).findings.filter(({ level, overridden }) => level !== 'note' && !overridden)

/** A proposal as a step before another, of the same repeated group as that. */
const stepOf = ({ op, on, params }: Proposal, { repeat }: AssemblyStep): AssemblyStep => ({ op, on, params, ...(repeat ? { repeat } : {}) })

function withRepair({ assembly, places, proposed }: Draft, finding: Finding): Draft | undefined {
  const late = finding.steps.at(-1) ?? 0
  const step = assembly.steps[late]
  if (!step) return undefined
  const at = places[late] ?? 0
  const added = repairsOf(finding).map(
    ({ op, params }): Proposal => ({
      op,
      params,
      on: targetsOf(assembly, step, finding.on, op),
      at,
      because: [finding.rule],
    }),
  )
  if (added.length === 0 || added.some(({ on }) => on.length === 0)) return undefined
  const steps = added.map((item) => stepOf(item, step))
  return {
    assembly: sharesActs({ ...assembly, steps: [...assembly.steps.slice(0, late), ...steps, ...assembly.steps.slice(late)] }, assembly),
    places: [...places.slice(0, late), ...added.map(() => at), ...places.slice(late)],
    proposed: [...proposed.slice(0, late), ...added, ...proposed.slice(late)],
  }
}

/** What is proposed for a route, and how much is wrong with it then. */
interface Proposed {
  readonly proposals: readonly Proposal[]
  readonly left: number
}

function proposedFor(assembly: Assembly): Proposed {
  let draft: Draft = { assembly, places: assembly.steps.map((_, i) => i), proposed: assembly.steps.map(() => undefined) }
  let wrong = wrongIn(assembly)
  while (draft.proposed.length < assembly.steps.length + MOST) {
    const better = firstBetter(draft, wrong)
    if (!better) break
    draft = better.draft
    wrong = better.wrong
  }
  return { proposals: draft.proposed.filter((item) => item !== undefined), left: wrong.length }
}

/** What is proposed for some units by themselves, at its places in the whole route. */
function proposedForUnits(assembly: Assembly, units: readonly Unit[]): Proposed {
  const places = units.flatMap((unit) => unit.steps)
  const steps = places.flatMap((place) => assembly.steps[place] ?? [])
  const { proposals, left } = proposedFor({ ...assemblyOfUnits(assembly, units), steps })
  return { proposals: proposals.map((item) => ({ ...item, at: places[item.at] ?? item.at })), left }
}

/** A route with what is proposed for it. */
function withProposals(assembly: Assembly, proposals: readonly Proposal[]): Assembly {
  const steps = assembly.steps.flatMap((step, place): AssemblyStep[] => [
    ...proposals.filter(({ at }) => at === place).map((item) => stepOf(item, step)),
    step,
  ])
  return { ...assembly, steps }
}

/**
 * Steps that are missing in a route that is in order: each takes its finding away and brings no other. What never hangs together is looked at by
 * itself, unless the whole is the worse for it.
 */
export function proposeMissing(assembly: Assembly): readonly Proposal[] {
  const groups = groupsOfUnits(unitsOf(assembly))
  if (groups.length < 2) return proposedFor(assembly).proposals
  const found = groups.map((units) => proposedForUnits(assembly, units))
  const proposals = found.flatMap((item) => item.proposals).sort((a, b) => a.at - b.at)
  const left = found.reduce((sum, item) => sum + item.left, 0)
  return wrongIn(withProposals(assembly, proposals)).length <= left ? proposals : proposedFor(assembly).proposals
}

/** A repair may ask for another in its turn: so many deep at most. */
const DEEPEST = 4

interface Better {
  readonly draft: Draft
  readonly wrong: Finding[]
}

/** The first repair after which less is wrong than there may be; one that brings something else is followed by the repair of that. */
function firstBetter(draft: Draft, wrong: readonly Finding[], most = wrong.length, depth = 0): Better | undefined {
  for (const finding of wrong) {
    const next = withRepair(draft, finding)
    if (!next) continue
    const left = wrongIn(next.assembly)
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
function isNew({ rule, on, clauses }: Finding, before: readonly Finding[]): boolean {
  return !before.some((item) => item.rule === rule && item.on.join() === on.join() && item.clauses.join() === clauses.join())
}
