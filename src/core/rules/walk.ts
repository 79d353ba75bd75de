import type { Assembly } from '../assembly/assembly'
import type { FactValue } from '../operations/notation/facts'
import { type Act, actsOf, solderOf } from './act'
import { applyAct } from './apply'
import type { Breach, Watch } from './breach'
import type { Level, Rule, SchoolLevel } from './row'
import { chosenBy, opsOf, readSelection, type Selection } from './selection'
import { watchBefore } from './shapes/before'
import { watchFalls } from './shapes/falls'
import { reachedBy, watchFlow } from './shapes/flow'
import { watchHolds } from './shapes/holds'
import { watchInside } from './shapes/inside'
import { watchMelts } from './shapes/melts'
import { watchNeeds } from './shapes/needs'
import type { Done, Soldered, Walked } from './shapes/walked'
import { watchWithin } from './shapes/within'
import { CHECKED } from './table'
import { attachedTo, copyWorld, startWorld, thingsOf, type World } from './world'

/** A rule that is broken at a step, before the general rules it falls under are sorted out. */
export interface Raw {
  readonly rule: string
  readonly shape: Rule['shape']
  readonly level: Exclude<Level, 'off'>
  /** The step it stands at, and where it is about two, both, the earlier first. */
  readonly steps: readonly number[]
  readonly on: readonly string[]
  readonly message: string
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
  /** The acts it is about. */
  readonly about: readonly Selection[]
  readonly schools: readonly { readonly answer: SchoolLevel; readonly ops: ReadonlySet<string> | undefined }[]
}

/** What a rule says it is about. */
function textsOf(rule: Rule): string[] {
  return rule.clauses.flatMap((clause) => ('of' in clause ? [clause.of] : [clause.first, clause.next]))
}

const WATCHED: readonly Watched[] = CHECKED.map((rule) => ({
  rule,
  watch: watchOf(rule),
  about: textsOf(rule).map(readSelection),
  schools: (rule.schools ?? []).map((answer) => ({
    answer,
    ops: answer.of === undefined ? undefined : opsOf(readSelection(answer.of)),
  })),
}))

const BY_OPERATION: ReadonlyMap<string, readonly Watched[]> = WATCHED.reduce((map, watched) => {
  for (const op of new Set(watched.about.flatMap((selection) => [...opsOf(selection)]))) map.set(op, [...(map.get(op) ?? []), watched])
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

/** Minutes an act takes: its hands-on and waiting time, or the minutes it is given. */
export function minutesOf({ op, params }: Pick<Act, 'op' | 'params'>): { readonly handsOn: number; readonly waiting: number } {
  if (op.id === 'wait') return { handsOn: 0, waiting: typeof params.min === 'number' ? params.min : 5 }
  if (op.id === 'own-step' && typeof params.min === 'number') return { handsOn: params.min, waiting: 0 }
  return { handsOn: op.handsOnS / 60, waiting: op.waitS / 60 }
}

function snapshot(world: World): Readonly<Record<string, Readonly<Record<string, FactValue>>>> {
  return Object.fromEntries([...world.facts].map(([key, facts]) => [key, Object.fromEntries(facts)]))
}

/** What a walk keeps of what was done, for the rules that look back. */
class Memory implements Walked {
  readonly done: Done[] = []
  /** Lists are replaced, not changed, so that copies may share them. */
  readonly byOp = new Map<string, readonly Done[]>()
  readonly soldered: Soldered[] = []
  nowMin = 0

  copy(): Memory {
    const copy = new Memory()
    copy.done.push(...this.done)
    for (const [op, done] of this.byOp) copy.byOp.set(op, done)
    copy.soldered.push(...this.soldered)
    copy.nowMin = this.nowMin
    return copy
  }

  keep(act: Act): void {
    const { handsOn, waiting } = minutesOf(act)
    const done: Done = { act, fromMin: this.nowMin, toMin: this.nowMin + handsOn + waiting }
    this.done.push(done)
    this.byOp.set(act.op.id, [...(this.byOp.get(act.op.id) ?? []), done])
    this.nowMin = done.toMin
    if (act.op.joins === 'hot' && act.op.heatC === 'flow')
      for (const joint of act.joints)
        this.soldered.push({ joint: joint.id, role: joint.role, solder: solderOf(act, joint), index: act.index })
  }
}

/** The rules that are about each act, worked out once. */
const CONCERNED = new WeakMap<Act, readonly Watched[]>()

function concernedBy(world: World, act: Act): readonly Watched[] {
  const known = CONCERNED.get(act)
  if (known) return known
  const rules = (BY_OPERATION.get(act.op.id) ?? []).filter(({ about }) => about.some((selection) => chosenBy(world, act, selection)))
  CONCERNED.set(act, rules)
  return rules
}

function rawFindings(world: World, act: Act, memory: Walked): Raw[] {
  return concernedBy(world, act).flatMap((watched) =>
    watched.watch(world, act, memory).flatMap((breach): Raw[] => {
      const level = levelOf(world, watched, breach, act)
      if (level === 'off') return []
      const { rule } = watched
      const steps = breach.other === undefined || breach.other === act.index ? [act.index] : [breach.other, act.index]
      return [
        {
          rule: rule.id,
          shape: rule.shape,
          level,
          steps,
          on: breach.on,
          message: [rule.says, breach.detail, rule.remedy].filter(Boolean).join(' '),
          clauses: [breach.clause],
          fixed: breach.fixed === true,
        },
      ]
    }),
  )
}

/** A route as it is walked, step by step: what each breaks, and what it does. */
export class Walk {
  private readonly world: World
  private readonly memory: Memory

  private constructor(world: World, memory: Memory) {
    this.world = world
    this.memory = memory
  }

  /** A walk before the first step of an assembly. */
  static of(assembly: Assembly): Walk {
    return new Walk(startWorld(assembly), new Memory())
  }

  copy(): Walk {
    return new Walk(copyWorld(this.world), this.memory.copy())
  }

  /** The acts of a step as the walk stands now. */
  acts(step: Assembly['steps'][number], index: number): readonly Act[] {
    return actsOf(this.world, step, index)
  }

  /** What the acts of a step would break as things stand, each by itself; nothing is done. */
  peek(step: Assembly['steps'][number], index: number): Raw[] {
    return this.acts(step, index).flatMap((act) => rawFindings(this.world, act, this.memory))
  }

  /** Does a step, and says what it breaks: each of its acts is looked at just before it is done. */
  do(step: Assembly['steps'][number], index: number): Raw[] {
    return this.doActs(this.acts(step, index))
  }

  /** Does acts one after another. */
  doActs(acts: readonly Act[]): Raw[] {
    return acts.flatMap((act) => {
      const raw = rawFindings(this.world, act, this.memory)
      applyAct(this.world, act)
      this.memory.keep(act)
      return raw
    })
  }

  /** Takes every joint of the assembly to be made. */
  joinAll(): void {
    const all = [...this.world.joints.values()].map((joint) => ({ joint: joint.id, things: thingsOf(joint), loose: false }))
    this.world.links = [...this.world.links, ...all]
  }

  /** Everything that hangs together with these things now. */
  attached(things: readonly string[]): ReadonlySet<string> {
    return attachedTo(this.world, things)
  }

  /** Joints soldered before that the heat of an act reaches, as things stand; those that are held are not among them. */
  reaches(act: Act): Soldered[] {
    return reachedBy(this.world, act, this.memory)
  }

  states(): Readonly<Record<string, Readonly<Record<string, FactValue>>>> {
    return snapshot(this.world)
  }
}
