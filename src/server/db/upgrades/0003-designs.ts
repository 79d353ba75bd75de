import * as z from 'zod'
import { type DesignStep, editsBetween, isUnedited, type PieceDesign, planPiece } from '@/core/piece'
import { type OwnTool, ownToolSchema } from '@/core/toolwall'
import type { Db } from '../db'
import { makeSettingsRepository } from '../repositories/settings'
import { writer } from '../write'
import { nameNow } from './old-steps'

/** As the operation is named today, whose routes the old steps are found again on. */
const oldName = z.string().transform((name) => name.replace(/^press(?=$|-)/, 'press-die'))
const oldStep = z.object({ id: oldName, op: oldName, params: z.record(z.string(), z.unknown()).default({}) })
const oldDesign = z.object({
  parts: z.array(z.object({ form: z.string(), inputVersion: z.number(), input: z.record(z.string(), z.unknown()) })).min(1),
  bought: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('unknown'),
  route: z.array(oldStep).optional(),
  orderNote: z.string().optional(),
})

/** Steps were numbered by their place; each is found again on the usual route by its operation, in turn. */
function renamed(form: string, base: readonly DesignStep[], stored: readonly z.output<typeof oldStep>[], part: string): DesignStep[] {
  const ids = new Set(base.map((step) => step.id))
  const times = new Map<string, number>()
  return stored.map((step) => {
    const time = (times.get(step.op) ?? 0) + 1
    times.set(step.op, time)
    const now = nameNow(form, time === 1 ? step.op : `${step.op}.${time}`)
    return { ...step, on: [{ thing: part }], id: ids.has(now) ? now : `${step.op}+${step.id}` }
  })
}

const oldTool = z.object({
  kind: z.string(),
  label: z.string(),
  nominal: z.number().nullable(),
  measured: z.number().nullable(),
  facts_json: z.string(),
  on_hand: z.number().nullable(),
})

/** The wall as it was kept then: the tables of today may be other ones. */
function toolsThen(db: Db): OwnTool[] {
  const rows = db.prepare(
    `SELECT kind, label, nominal, measured, facts_json, (SELECT sum(change) FROM tool_events WHERE tool_id = tools.id) AS on_hand
    FROM tools WHERE status = 'on-wall' ORDER BY kind, coalesce(measured, nominal), id`,
  )
  return rows.all().map((row) => {
    const { kind, label, nominal, measured, facts_json, on_hand } = oldTool.parse(row)
    return ownToolSchema.parse({
      kind,
      label,
      ...(nominal === null ? {} : { nominal }),
      ...(measured === null ? {} : { measured }),
      ...(on_hand === null ? {} : { count: Math.max(0, on_hand) }),
      facts: JSON.parse(facts_json) as unknown,
    })
  })
}

/** One part becomes `part-1`; a stored route becomes what was changed on the form's own. */
function upgradeDesigns(db: Db): void {
  const { ringSystem, figures } = makeSettingsRepository(db).read()
  const options = { ringSystem, figures, tools: toolsThen(db) }
  const keep = writer(db, 'UPDATE piece_revisions SET design_json = ? WHERE id = ?')
  for (const row of db.prepare('SELECT id, design_json FROM piece_revisions').all()) {
    const { id, design_json } = z.object({ id: z.number(), design_json: z.string() }).parse(row)
    const { parts, route, bought, orderNote } = oldDesign.parse(JSON.parse(design_json))
    const design: PieceDesign = {
      parts: parts.map((part, i) => ({ id: `part-${i + 1}`, name: '', bought, ...part })),
      others: [],
      joints: [],
      keep: [],
      schools: {},
    }
    const [part] = design.parts
    const plan = planPiece(design, options)
    const edits = route && part && plan.ok ? editsBetween(plan.base, renamed(part.form, plan.base, route, part.id)) : undefined
    keep.run(
      JSON.stringify({
        version: 2,
        ...design,
        ...(orderNote ? { orderNote } : {}),
        ...(edits && !isUnedited(edits) ? { route: edits } : {}),
      }),
      id,
    )
  }
}

const heads = z.array(z.object({ id: z.number(), design_json: z.string() }))

/** Blanks were named by their place among the blanks of a piece; now by part and blank. */
function blankNames(db: Db): Map<string, string> {
  const rows = heads.parse(db.prepare('SELECT p.id, r.design_json FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id').all())
  const names = new Map<string, string>()
  for (const { id, design_json } of rows) {
    const plan = planPiece(JSON.parse(design_json))
    if (!plan.ok) continue
    plan.parts[0]?.result?.blanks
      .filter((blank) => blank.stock === 'sheet')
      .forEach((blank, i) => {
        names.set(i === 0 ? `piece-${id}` : `piece-${id}.${i + 1}`, `piece-${id}/part-1/${blank.id}`)
      })
  }
  return names
}

const named = z.looseObject({ id: z.string() })
const frozen = z.looseObject({ instance: z.looseObject({ items: z.array(named) }), placements: z.array(named) })

function upgradeLayouts(db: Db): void {
  const names = blankNames(db)
  const rename = <T extends { id: string }>(item: T): T => ({ ...item, id: names.get(item.id) ?? item.id })
  const keep = writer(db, 'UPDATE layouts SET placements_json = ?, frozen_json = ? WHERE id = ?')
  const row = z.object({ id: z.number(), placements_json: z.string(), frozen_json: z.string().nullable() })
  for (const raw of db.prepare('SELECT id, placements_json, frozen_json FROM layouts').all()) {
    const layout = row.parse(raw)
    const placements = z.array(named).parse(JSON.parse(layout.placements_json)).map(rename)
    const cut = layout.frozen_json === null ? null : frozen.parse(JSON.parse(layout.frozen_json))
    const kept = cut && {
      ...cut,
      instance: { ...cut.instance, items: cut.instance.items.map(rename) },
      placements: cut.placements.map(rename),
    }
    keep.run(JSON.stringify(placements), kept === null ? null : JSON.stringify(kept), layout.id)
  }
}

/** What migration 0003 could not say in SQL. */
export function upgrade0003(db: Db): void {
  upgradeDesigns(db)
  upgradeLayouts(db)
}
