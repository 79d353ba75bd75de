import type { z } from 'zod'
import { issuesOf, plainWords } from '@/core/units'
import type { Repositories } from '../db/repositories'

export interface ActionIssue {
  readonly path: string
  readonly message: string
}

/** One line of what stands in the workshop now beside what was about to be written. */
export interface ComparedLine {
  readonly label: string
  readonly now: string
  readonly yours: string
}

/** A write that was refused: what was wrong, for which field, and where somebody else was quicker, both sides. */
export interface Refusal {
  readonly ok: false
  /** `yielded`: the person took what was there instead. */
  readonly code: 'refused' | 'other-workshop' | 'stale' | 'store' | 'gone' | 'yielded'
  readonly message: string
  readonly issues: readonly ActionIssue[]
  readonly stale?: { readonly revision: number; readonly lines: readonly ComparedLine[] }
}

/** What every action gives back: never a throw for what a person can fix. */
export type ActionResult<T = object> = ({ readonly ok: true } & T) | Refusal

export function refuse(message: string, issues: readonly ActionIssue[] = [], code: Refusal['code'] = 'refused'): Refusal {
  return { ok: false, code, message, issues }
}

/** Reads raw input by a schema; the first complaint is the message. */
export function readAction<S extends z.ZodType>(schema: S, raw: unknown): { ok: true; data: z.output<S> } | Refusal {
  const parsed = schema.safeParse(raw, { error: plainWords })
  if (parsed.success) return { ok: true, data: parsed.data }
  const issues = issuesOf(parsed.error)
  return refuse(issues[0]?.message ?? 'this cannot be read', issues)
}

/** The thing a write changes, as it stands: its revision, and what the write would turn into what. */
export interface Against {
  readonly revision: number
  /** Null where the write cannot be laid beside what stands, such as one step back; empty where it would change nothing. */
  readonly lines: readonly ComparedLine[] | null
}

export interface ActionSpec<S extends z.ZodType> {
  readonly input: S
  /** `own`: refused when another workshop is open than the one it was made in. `any`: it is not of one workshop, and says why here. */
  readonly workshop: 'own' | { readonly any: string }
  /** What it is made against; undefined where that is gone. `new` where it changes nothing that is there. */
  readonly against: 'new' | ((repositories: Repositories, input: z.output<S>) => Against | undefined)
}

type OwnRun<S extends z.ZodType, T> = (repositories: Repositories, input: z.output<S>) => ActionResult<T> | Promise<ActionResult<T>>
type AnyRun<S extends z.ZodType, T> = (input: z.output<S>) => ActionResult<T> | Promise<ActionResult<T>>

export interface OwnAction<S extends z.ZodType, T> extends ActionSpec<S> {
  readonly workshop: 'own'
  readonly run: OwnRun<S, T>
  /** The answer where what is to be written stands there already, such as an edit that arrived twice; without it, it is written again. */
  readonly already?: (repositories: Repositories, input: z.output<S>) => ActionResult<T>
}
export interface AnyAction<S extends z.ZodType, T> extends ActionSpec<S> {
  readonly workshop: { readonly any: string }
  readonly run: AnyRun<S, T>
}

/** An action of the workshop that is open. */
export function ownAction<S extends z.ZodType, T>(spec: Omit<OwnAction<S, T>, 'workshop'>): OwnAction<S, T> {
  return { ...spec, workshop: 'own' }
}

/** An action that belongs to no workshop, or to one it names itself. */
export function anyAction<S extends z.ZodType, T>(why: string, spec: Omit<AnyAction<S, T>, 'workshop' | 'against'>): AnyAction<S, T> {
  return { ...spec, workshop: { any: why }, against: 'new' }
}

function asText(value: unknown): string {
  if (value === null || value === undefined || value === '') return '–'
  return typeof value === 'object' ? JSON.stringify(value) : String(value)
}

/** A line for each field that would be changed. */
export function linesOf(labels: Readonly<Record<string, string>>, now: object, yours: object): ComparedLine[] {
  const [before, after] = [now as Record<string, unknown>, yours as Record<string, unknown>]
  return Object.entries(labels)
    .map(([name, label]) => ({ label, now: asText(before[name]), yours: asText(after[name]) }))
    .filter((line) => line.now !== line.yours)
}
