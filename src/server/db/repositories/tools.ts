import * as z from 'zod'
import { type OwnTool, TOOL_KIND_INFO, TOOL_KINDS, type ToolFacts, type ToolKind, toolFacts } from '@/core/toolwall'
import type { Db } from '../db'
import { writer } from '../write'
import { jsonColumn, newUid } from './rows'

const toolRow = z
  .object({
    id: z.number(),
    kind: z.enum(TOOL_KINDS),
    label: z.string(),
    nominal: z.number().nullable(),
    measured: z.number().nullable(),
    facts_json: jsonColumn(toolFacts),
    on_hand: z.number().nullable(),
    broken: z.number(),
    revision: z.number(),
  })
  .transform((row) => ({
    id: row.id,
    kind: row.kind,
    label: row.label,
    ...(row.nominal === null ? {} : { nominal: row.nominal }),
    ...(row.measured === null ? {} : { measured: row.measured }),
    ...(TOOL_KIND_INFO[row.kind].counted ? { count: Math.max(0, row.on_hand ?? 0) } : {}),
    facts: row.facts_json,
    broken: row.broken,
    revision: row.revision,
  }))
/** A tool on the wall: what the core knows of it, its id, and how many have broken. */
export type WallTool = z.output<typeof toolRow>

export const TOOL_REASONS = ['bought', 'broke', 'wore-out', 'lost', 'counted'] as const
export type ToolReason = (typeof TOOL_REASONS)[number]

const SELECT = `SELECT tools.*,
    (SELECT sum(change) FROM tool_events WHERE tool_id = tools.id) AS on_hand,
    (SELECT coalesce(-sum(change), 0) FROM tool_events WHERE tool_id = tools.id AND reason = 'broke') AS broken
  FROM tools`

export function makeToolRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(db, 'INSERT INTO tools (uid, kind, label, nominal, measured, facts_json, created_at) VALUES (?, ?, ?, ?, ?, ?, ?)')
  const event = writer(db, 'INSERT INTO tool_events (tool_id, change, reason, at) VALUES (?, ?, ?, ?)')
  const onWall = db.prepare(`${SELECT} WHERE archived_at IS NULL ORDER BY kind, coalesce(measured, nominal), id`)
  const byId = db.prepare(`${SELECT} WHERE id = ? AND archived_at IS NULL`)
  const brokenSince = db.prepare<[string, string], { readonly count: number }>(
    `SELECT coalesce(-sum(change), 0) AS count FROM tool_events JOIN tools ON tools.id = tool_id
      WHERE kind = ? AND reason = 'broke' AND at >= ?`,
  )
  const measure = writer(db, 'UPDATE tools SET measured = ?, revision = revision + 1 WHERE id = ?')
  const rewrite = writer(db, 'UPDATE tools SET label = ?, nominal = ?, facts_json = ?, revision = revision + 1 WHERE id = ?')
  const writeFacts = writer(db, 'UPDATE tools SET facts_json = ?, revision = revision + 1 WHERE id = ?')
  const touch = writer(db, 'UPDATE tools SET revision = revision + 1 WHERE id = ?')
  const one = (id: number): WallTool | undefined => {
    const row = byId.get(id)
    return row ? toolRow.parse(row) : undefined
  }
  const all = (): WallTool[] => onWall.all().map((row) => toolRow.parse(row))
  return {
    add: db.transaction((tool: OwnTool): number => {
      const { nominal = null, measured = null, facts = {} } = tool
      const { id } = insert.run(newUid(), tool.kind, tool.label, nominal, measured, JSON.stringify(facts), now())
      if (TOOL_KIND_INFO[tool.kind].counted && tool.count) event.run(id, tool.count, 'bought', now())
      return id
    }),
    /** A tool that hangs on the wall; one that was taken down is none. */
    one,
    all,
    /** How many of a kind have broken since a day. */
    brokenSince: (kind: ToolKind, since: string): number => brokenSince.get(kind, since)?.count ?? 0,
    /** The wall as the core takes it. */
    owned: (): OwnTool[] => all().map(({ id: _, broken: __, revision: ___, ...tool }) => tool),
    setMeasured: (id: number, measured: number | null) => measure.run(measured, id).changes > 0,
    describe: (
      id: number,
      { label, nominal, facts }: { readonly label: string; readonly nominal: number | null; readonly facts: ToolFacts },
    ) => rewrite.run(label, nominal, JSON.stringify(facts), id).changes > 0,
    setFacts: (id: number, facts: ToolFacts) => writeFacts.run(JSON.stringify(facts), id).changes > 0,
    /** Logs what came or went; the count never goes below nothing. */
    change: db.transaction((id: number, change: number, reason: ToolReason): number | undefined => {
      const before = one(id)
      if (!before) return undefined
      const allowed = Math.max(change, -(before.count ?? 0))
      if (allowed !== 0) {
        event.run(id, allowed, reason, now())
        touch.run(id)
      }
      return (before.count ?? 0) + allowed
    }),
  }
}
