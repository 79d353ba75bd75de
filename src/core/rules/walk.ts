import type { Assembly } from '../assembly/assembly'
import type { FactValue } from '../operations/notation/facts'
import { actsOf } from './act'
import type { Act } from './acted'
import { applyAct } from './apply'
import { attachedTo, type Link, withLink } from './links'
import { Memory, type MemoryMark } from './memory'
import { reachedBy } from './shapes/flow'
import type { Soldered } from './shapes/walked'
import { breachesOf, type Raw } from './watched'
import { isAsAt, markWorld, startWorld, takeBackWorld, thingsOf, type World, type WorldMark } from './world'

/** A moment of a walk to which it can be taken back. */
export interface WalkMark {
  readonly world: WorldMark
  readonly memory: MemoryMark
}

/** A route as it is walked, step by step: what each breaks, and what it does. */
export class Walk {
  private readonly world: World
  private readonly memory = new Memory()

  private constructor(world: World) {
    this.world = world
  }

  /** A walk before the first step of an assembly. */
  static of(assembly: Assembly): Walk {
    return new Walk(startWorld(assembly))
  }

  /** This moment of the walk. */
  mark(): WalkMark {
    return { world: markWorld(this.world), memory: this.memory.mark() }
  }

  /** Whether what was done since an earlier moment has changed nothing. */
  isAsAt({ world }: WalkMark): boolean {
    return isAsAt(this.world, world)
  }

  /** Takes back all that was done since an earlier moment. */
  takeBack({ world, memory }: WalkMark): void {
    takeBackWorld(this.world, world)
    this.memory.takeBack(memory)
  }

  /** The acts of a step as the walk stands now. */
  acts(step: Assembly['steps'][number], index: number): readonly Act[] {
    return actsOf(this.world, step, index)
  }

  /** What the acts of a step would break as things stand, each by itself; nothing is done. */
  peek(step: Assembly['steps'][number], index: number): Raw[] {
    return this.acts(step, index).flatMap((act) => breachesOf(this.world, act, this.memory))
  }

  /** Does a step, and says what it breaks: each of its acts is looked at just before it is done. */
  do(step: Assembly['steps'][number], index: number): Raw[] {
    return this.doActs(this.acts(step, index))
  }

  /** Does acts one after another without a look at what they break. */
  pass(acts: readonly Act[]): void {
    for (const act of acts) this.apply(act)
  }

  private apply(act: Act): void {
    applyAct(this.world, act)
    this.memory.keep(act)
  }

  /** Does acts one after another, and says what they break. */
  doActs(acts: readonly Act[]): Raw[] {
    const raw: Raw[] = []
    for (const act of acts) {
      for (const breach of breachesOf(this.world, act, this.memory)) raw.push(breach)
      this.apply(act)
    }
    return raw
  }

  /** Takes every joint of the assembly to be made. */
  joinAll(): void {
    for (const joint of this.world.joints.values())
      this.world.links = withLink(this.world.links, { joint: joint.id, things: thingsOf(joint), loose: false })
  }

  /** What is joined now. */
  get links(): readonly Link[] {
    return this.world.links
  }

  /** Everything that hangs together with these things now. */
  attached(things: readonly string[]): ReadonlySet<string> {
    return attachedTo(this.world, things)
  }

  /** Joints soldered before that the heat of an act reaches, as things stand; those that are held are not among them. */
  reaches(act: Act): Soldered[] {
    return reachedBy(this.world, act, this.memory)
  }

  /** The facts of every thing, joint and place as they are now. */
  states(): Readonly<Record<string, Readonly<Record<string, FactValue>>>> {
    return Object.fromEntries([...this.world.facts].map(([key, facts]) => [key, Object.fromEntries(facts)]))
  }
}
