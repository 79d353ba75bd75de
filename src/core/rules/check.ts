import type { Assembly, Override } from '../assembly/assembly'
import type { FactValue } from '../operations/notation/facts'
import type { Act } from './acted'
import { minutesOf } from './minutes'
import { isReason } from './reason'
import { CHECKED } from './table'
import type { Walk } from './walk'
import { type Numbered, rowOf, type WalkedStep, walkedRoute, walkSteps } from './walked-route'
import type { Raw } from './watched'

/** A rule that a route breaks: the most specific one, with the general ones it falls under. */
export interface Broken extends Raw {
  readonly under: readonly string[]
  readonly overridden: boolean
}

/** The same, put into words. */
export interface Finding extends Omit<Broken, 'says'> {
  readonly message: string
}

/** Whether a reason lifts a rule between these steps. */
export function isOverridden(assembly: Assembly, rule: string, steps: readonly number[]): boolean {
  const isOne = (name: string) => steps.some((i) => name === String(i) || name === assembly.steps[i]?.id)
  const lifts = ({ rule: of, against, reason }: Override) =>
    of === rule && isReason(reason) && (against === undefined || isOne(String(against)))
  return steps.some((i) => assembly.steps[i]?.overrides?.some(lifts))
}

/** One finding for each breach: general rules are named under the most specific one that the same step breaks. */
function nest(raw: readonly Raw[]): Omit<Broken, 'overridden'>[] {
  return raw.flatMap((finding) => {
    const beside = raw.filter((item) => lateOf(item) === lateOf(finding) && item !== finding)
    if (beside.some((item) => isUnder(item.rule, finding.rule))) return []
    const under = [...new Set(beside.filter((item) => isUnder(finding.rule, item.rule)).map((item) => item.rule))]
    return [{ ...finding, under }]
  })
}

const UNDER: ReadonlyMap<string, readonly string[]> = new Map(CHECKED.map((rule) => [rule.id, rule.under ?? []]))

/** Whether a rule is a special case of another, at first or second hand. */
function isUnder(rule: string, general: string): boolean {
  const above = UNDER.get(rule) ?? []
  return above.includes(general) || above.some((one) => isUnder(one, general))
}

/** The step a finding stands at. */
const lateOf = ({ steps }: Pick<Raw, 'steps'>) => steps.at(-1)

export interface RouteCheck {
  readonly findings: readonly Finding[]
  /** The facts after each step, by thing, joint and place; empty where states were not asked for. */
  readonly states: readonly Readonly<Record<string, Readonly<Record<string, FactValue>>>>[]
  /** Minutes of hands and of waiting, each repeated group once. */
  readonly minutes: { readonly handsOn: number; readonly waiting: number }
}

/** Each breach once: clauses of one rule, included steps and repeated rounds find the same again. */
function distinct(raw: readonly Raw[]): Raw[] {
  const found = new Map<string, Raw>()
  for (const one of raw) {
    const key = `${one.rule} ${one.steps.join(' ')}`
    const before = found.get(key)
    const clauses = [...new Set([...(before?.clauses ?? []), ...one.clauses])]
    found.set(key, { ...(before ?? one), clauses, on: [...new Set([...(before?.on ?? []), ...one.on])] })
  }
  return [...found.values()]
}

/** What was broken on a walk, each breach once, with whether a reason lifts it. */
function brokenOn(assembly: Assembly, walked: readonly WalkedStep[]): Broken[] {
  return nest(distinct(walked.flatMap(({ raw }) => raw))).map((one) => ({
    ...one,
    overridden: !one.fixed && isOverridden(assembly, one.rule, one.steps),
  }))
}

/** The rules that steps done one after another break; the words are put together only where they are read. */
export function brokenIn(assembly: Assembly, row: readonly Numbered[]): Broken[] {
  return brokenOn(assembly, walkSteps(assembly, row))
}

/**
 * Walks a route through the state of its assembly and says which rules of the order of work it breaks (common practice, no source). Steps on
 * what is not there and operations that are not in the catalogue change nothing; `assemblyIssues` names them.
 */
export function checkRoute(assembly: Assembly, { withStates = false }: { readonly withStates?: boolean } = {}): RouteCheck {
  const states: ReturnType<Walk['states']>[] = []
  const keep = (index: number, walk: Walk) => {
    states[index] = walk.states()
  }
  const walked = withStates ? walkSteps(assembly, rowOf(assembly), keep) : walkedRoute(assembly)
  const minutes = new Map(walked.map(({ index, acts }) => [index, minutesOfAll(acts)]))
  const findings = brokenOn(assembly, walked).map(({ says, ...finding }): Finding => ({ ...finding, message: says() }))
  const all = [...minutes.values()]
  return {
    findings,
    states,
    minutes: { handsOn: sumOf(all.map((item) => item.handsOn)), waiting: sumOf(all.map((item) => item.waiting)) },
  }
}

function minutesOfAll(acts: readonly Act[]): RouteCheck['minutes'] {
  const own = acts.map(minutesOf)
  return { handsOn: sumOf(own.map((item) => item.handsOn)), waiting: sumOf(own.map((item) => item.waiting)) }
}

const sumOf = (numbers: readonly number[]) => numbers.reduce((sum, number) => sum + number, 0)

/** Whether a route breaks no rule: no stop and no warning that no reason lifts. */
export function isLegal({ findings }: Pick<RouteCheck, 'findings'>): boolean {
  return !findings.some(counts)
}

/** Whether a broken rule counts against a route: a stop or a warning that no reason lifts. */
export const counts = ({ level, overridden }: Pick<Broken, 'level' | 'overridden'>) => !overridden && level !== 'note'
