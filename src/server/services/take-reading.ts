import * as z from 'zod'
import type { DoorAnswer } from '@/core/commands'
import { parseSize } from '@/core/sizes'
import { plainWords } from '@/core/units'
import type { Repositories } from '../db/repositories'

const readingSchema = z.object({
  /** The sender's own mark: the same reading sent twice is kept once. */
  token: z.string().min(8, { error: 'token: at least 8 characters, different for each reading' }).max(80),
  workpiece: z.number().int().min(1),
  stepId: z.string().min(1),
  dimension: z.string().min(1),
  /** mm, or as a smith would write it. */
  value: z.union([z.number(), z.string()]),
  instrument: z.string().max(60).default('typed'),
  reversesId: z.number().nullable().default(null),
})

function bad(message: string, path = 'value'): DoorAnswer {
  return { ok: false, body: { error: { code: 'bad-input', message, issues: [{ path, message }] } } }
}

/** Keeps a reading of a workpiece. The answer is sent only after the reading is on disk. */
export function takeReading(repositories: Repositories, trayId: number, raw: unknown): DoorAnswer {
  const tray = repositories.bench.tray(trayId)
  if (!tray) return bad(`there is no tray ${trayId}`, 'tray')
  const parsed = readingSchema.safeParse(raw, { error: plainWords })
  if (!parsed.success)
    return bad(
      parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join('; '),
      String(parsed.error.issues[0]?.path[0] ?? ''),
    )
  const { value, ...reading } = parsed.data
  if (reading.workpiece > tray.size) return bad(`piece ${reading.workpiece} is not in this tray of ${tray.size}`, 'workpiece')
  const size = parseSize(String(value), { gaugeSystem: 'B&S' })
  if (!('mm' in size)) return bad(`Reading: ${size.kind === 'unknown' ? size.message : size.question}`)
  if (size.mm <= 0) return bad('Reading: it is above zero')
  const id = repositories.bench.addReading({ ...reading, trayId, valueMm: size.mm, typed: String(value) })
  return { ok: true, body: { id, valueMm: size.mm } }
}
