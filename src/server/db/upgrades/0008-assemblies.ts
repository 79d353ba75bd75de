import * as z from 'zod'
import { editsBetween, isUnedited, NO_EDITS, type PieceDesign, planPiece, type RouteEdits } from '@/core/piece'
import { checkRoute, isReason } from '@/core/rules'
import type { Db } from '../db'
import { designSchema } from '../repositories/design'
import { writer } from '../write'
import { nameNow } from './old-steps'

const params = z.record(z.string(), z.unknown())
const oldEdits = z.object({
  removed: z.array(z.string()),
  placed: z.array(
    z.object({
      id: z.string(),
      after: z.string().nullable(),
      before: z.string().nullable(),
      own: z.object({ op: z.string(), params }).optional(),
    }),
  ),
  changed: z.array(z.object({ id: z.string(), params })),
})
const oldDesign = z.object({
  version: z.number().optional(),
  parts: z.array(z.object({ id: z.string(), form: z.string(), inputVersion: z.number(), input: params })).min(1),
  bought: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('unknown'),
  route: oldEdits.optional(),
  orderNote: z.string().optional(),
})

/** Edits by the names that steps have now, on the piece's only part. */
function editsNow(form: string, part: string, { removed, placed, changed }: z.output<typeof oldEdits>): RouteEdits {
  const now = (id: string) => nameNow(form, id)
  const beside = (id: string | null) => (id === null ? null : now(id))
  return {
    removed: [...new Set(removed.map(now))],
    placed: placed.map(({ id, after, before, own }) => ({
      id: now(id),
      after: beside(after),
      before: beside(before),
      ...(own ? { own: { ...own, on: [{ thing: part }] } } : {}),
    })),
    changed: changed.map((change) => ({ ...change, id: now(change.id) })),
  }
}

/** Edits with those left out that the usual route has nothing to show for: a step taken out that it does not have. */
function fitting(design: PieceDesign, edits: RouteEdits): RouteEdits {
  const { base } = planPiece(design)
  const ids = new Set(base.map(({ id }) => id))
  return {
    ...edits,
    removed: edits.removed.filter((id) => ids.has(id)),
    placed: edits.placed.filter(({ id, own }) => own !== undefined || ids.has(id)),
    changed: edits.changed.filter(({ id }) => ids.has(id) || edits.placed.some((place) => place.id === id)),
  }
}

/** The one reason a piece had for all its stops, given for each of them. */
function reasonsFor(design: PieceDesign, note: string | undefined): RouteEdits['reasons'] {
  if (note === undefined || !isReason(note)) return undefined
  const { assembly, steps } = planPiece(design)
  const stops = checkRoute(assembly).findings.filter(({ level }) => level === 'stop')
  return stops.flatMap(({ rule, steps: at }) => {
    const id = steps[at.at(-1) ?? -1]?.id
    return id === undefined ? [] : [{ id, rule, reason: note }]
  })
}

/** A design of one part with the edits of its route, as it is kept now. */
function ofOnePart(raw: unknown): PieceDesign {
  const { parts, bought, route } = oldDesign.parse(raw)
  const [part] = parts
  const plain: PieceDesign = {
    parts: parts.map((one) => ({ ...one, name: '', bought })),
    others: [],
    joints: [],
    keep: [],
    schools: {},
  }
  const edits = route && part ? fitting(plain, editsNow(part.form, part.id, route)) : undefined
  const edited: PieceDesign = edits ? { ...plain, route: edits } : plain
  const plan = planPiece(edited)
  const settled = edits ? editsBetween(plan.base, plan.steps, edits) : NO_EDITS
  return isUnedited(settled) ? plain : { ...plain, route: settled }
}

/** A design as it is kept now; the one reason it had for all its stops is given for each of them. */
export function upgradedDesign(raw: unknown): unknown {
  const { version, orderNote } = oldDesign.parse(raw)
  if (version !== undefined && orderNote === undefined) return raw
  const design = version === undefined ? ofOnePart(raw) : designSchema.parse(raw)
  const reasons = reasonsFor(design, orderNote)
  return { version: 2, ...design, ...(reasons?.length ? { route: { ...(design.route ?? NO_EDITS), reasons } } : {}) }
}

const frozen = z.looseObject({ version: z.number().optional(), coreVersion: z.string(), pieceName: z.string() })

/** A frozen plan of one part as it is kept now. */
function upgradedPlan(raw: unknown): unknown {
  const { version, coreVersion, pieceName, ...part } = frozen.parse(raw)
  if (version !== undefined) return raw
  return { version: 2, coreVersion, pieceName, parts: [{ name: '', count: 1, ...part }], others: [], joints: [], schools: {} }
}

const row = z.object({ id: z.number(), text: z.string() })

/** What migration 0008 could not say in SQL: a piece and a frozen plan are of parts. */
export function upgrade0008(db: Db): void {
  const keepDesign = writer(db, 'UPDATE piece_revisions SET design_json = ? WHERE id = ?')
  for (const raw of db.prepare('SELECT id, design_json AS text FROM piece_revisions').all()) {
    const { id, text } = row.parse(raw)
    keepDesign.run(JSON.stringify(upgradedDesign(JSON.parse(text))), id)
  }
  const keepPlan = writer(db, 'UPDATE trays SET plan_json = ? WHERE id = ?')
  for (const raw of db.prepare('SELECT id, plan_json AS text FROM trays').all()) {
    const { id, text } = row.parse(raw)
    keepPlan.run(JSON.stringify(upgradedPlan(JSON.parse(text))), id)
  }
}
