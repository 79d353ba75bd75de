import type { Act } from './acted'
import type { Breach, Check, Watch } from './breach'
import type { Level, Rule, SchoolLevel } from './row'
import { readSelection } from './selection'
import { watchBefore } from './shapes/before'
import { watchFalls } from './shapes/falls'
import { watchFlow } from './shapes/flow'
import { watchHolds } from './shapes/holds'
import { watchInside } from './shapes/inside'
import { watchMelts } from './shapes/melts'
import { watchNeeds } from './shapes/needs'
import type { Walked } from './shapes/walked'
import { watchWithin } from './shapes/within'
import { CHECKED } from './table'
import type { World } from './world'

/** A rule that is broken at a step, before the general rules it falls under are sorted out. */
export interface Raw {
  readonly rule: string
  readonly shape: Rule['shape']
  readonly level: Exclude<Level, 'off'>
  /** The step it stands at, and where it is about two, both, the earlier first. */
  readonly steps: readonly number[]
  readonly on: readonly string[]
  /** What is said of it; put into words where it is read. */
  readonly says: () => string
  /** Which clauses of the rule; repairs go by them. */
  readonly clauses: readonly number[]
  readonly fixed: boolean
}

function watchOf(rule: Rule): Watch {
  switch (rule.shape) {
    case 'needs':
      return watchNeeds(rule.clauses)
    case 'holds':
      return watchHolds(rule.clauses)
    case 'before':
      return watchBefore(rule.clauses, rule.share)
    case 'falls':
      return watchFalls(rule.clauses)
    case 'flow':
      return watchFlow(rule.clauses)
    case 'melts':
      return watchMelts(rule.clauses)
    case 'within':
      return watchWithin(rule.clauses, rule.share)
    case 'inside':
      return watchInside(rule.clauses)
  }
}

interface Watched {
  readonly rule: Rule
  readonly watch: Watch
  readonly schools: readonly { readonly answer: SchoolLevel; readonly ops: ReadonlySet<string> | undefined }[]
}

/** What a rule says it is about. */
function textsOf(rule: Rule): string[] {
  return rule.clauses.flatMap((clause) => ('of' in clause ? [clause.of] : [clause.first, clause.next]))
}

const WATCHED: readonly Watched[] = CHECKED.map((rule) => ({
  rule,
  watch: watchOf(rule),
  schools: (rule.schools ?? []).map((answer) => ({
    answer,
    ops: answer.of === undefined ? undefined : readSelection(answer.of).ops,
  })),
}))

const BY_OPERATION: ReadonlyMap<string, readonly Watched[]> = WATCHED.reduce((map, watched) => {
  const about = textsOf(watched.rule).flatMap((text) => [...readSelection(text).ops])
  for (const op of new Set(about)) map.set(op, [...(map.get(op) ?? []), watched])
  return map
}, new Map<string, Watched[]>())

const LEVELS: readonly Level[] = ['off', 'note', 'warn', 'stop']
const milder = (a: Level, b: Level): Level => (LEVELS.indexOf(a) <= LEVELS.indexOf(b) ? a : b)

/** The level of a breach under the methods chosen; where several speak of it, the mildest. */
function levelOf(world: World, { rule, schools }: Watched, breach: Breach, act: Act): Level {
  const usual = breach.level ?? rule.level
  const said = schools.flatMap(({ answer, ops }) => {
    const [school = '', letter] = answer.school.split('.')
    return world.schools[school] === letter && (!ops || ops.has(act.op.id)) ? [answer.level] : []
  })
  return said.length > 0 ? said.reduce(milder) : usual
}

interface Looked {
  readonly watched: Watched
  readonly check: Check
}

/** What is looked at with each act, worked out once. */
const LOOKED = new WeakMap<Act, readonly Looked[]>()

function lookedAt(world: World, act: Act): readonly Looked[] {
  const known = LOOKED.get(act)
  if (known) return known
  const looked = (BY_OPERATION.get(act.op.id) ?? []).flatMap((watched) =>
    watched.watch(world, act).map((check): Looked => ({ watched, check })),
  )
  LOOKED.set(act, looked)
  return looked
}

function rawOf({ rule }: Watched, breach: Breach, act: Act, level: Raw['level']): Raw {
  return {
    rule: rule.id,
    shape: rule.shape,
    level,
    steps: breach.other === undefined || breach.other === act.index ? [act.index] : [breach.other, act.index],
    on: breach.on,
    says: () => [rule.says, breach.detail?.(), rule.remedy].filter(Boolean).join(' '),
    clauses: [breach.clause],
    fixed: breach.fixed === true,
  }
}

const UNBROKEN: readonly Raw[] = []

/** What an act breaks as things stand, just before it is done. */
export function breachesOf(world: World, act: Act, memory: Walked): readonly Raw[] {
  let raw: Raw[] | undefined
  for (const { watched, check } of lookedAt(world, act))
    for (const breach of check(world, memory)) {
      const level = levelOf(world, watched, breach, act)
      if (level === 'off') continue
      raw ??= []
      raw.push(rawOf(watched, breach, act, level))
    }
  return raw ?? UNBROKEN
}
