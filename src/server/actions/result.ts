import type { z } from 'zod'
import { plainWords } from '@/core/units'

export interface ActionIssue {
  readonly path: string
  readonly message: string
}

/** What every action gives back: never a throw for what a person can fix. */
export type ActionResult<T = object> =
  | ({ readonly ok: true } & T)
  | { readonly ok: false; readonly message: string; readonly issues: readonly ActionIssue[] }

export function refuse(
  message: string,
  issues: readonly ActionIssue[] = [],
): { ok: false; message: string; issues: readonly ActionIssue[] } {
  return { ok: false, message, issues }
}

/** Reads raw input by a schema; the first complaint is the message. */
export function readAction<S extends z.ZodType>(schema: S, raw: unknown): { ok: true; data: z.output<S> } | ReturnType<typeof refuse> {
  const parsed = schema.safeParse(raw, { error: plainWords })
  if (parsed.success) return { ok: true, data: parsed.data }
  const issues = parsed.error.issues.map((issue) => ({ path: issue.path.map(String).join('.'), message: issue.message }))
  return refuse(issues[0]?.message ?? 'this cannot be read', issues)
}
