import * as z from 'zod'
import { ALLOY_IDS } from '@/core/metals'
import { RING_SYSTEMS } from '@/core/tables'
import type { Db } from '../db'
import { writer } from '../write'
import { countRow, jsonColumn } from './rows'

export const settingsSchema = z.object({
  workshopName: z.string().max(80).default(''),
  units: z.enum(['mm', 'inch', 'both']).default('both'),
  ringSystem: z.enum(RING_SYSTEMS).default('US'),
  defaultAlloy: z.enum(ALLOY_IDS).default('sterling-925'),
  /** The currency of the prices, ISO 4217. */
  currency: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z]{3}$/, { error: 'the currency: three letters, such as EUR' })
    .default('EUR'),
  paper: z.enum(['A4', 'Letter']).default('A4'),
  /** What the 50 mm check bar measured on paper. */
  checkBarMm: z
    .number({ error: 'the check bar: a length in mm' })
    .min(45, { error: 'the check bar: at least 45 mm' })
    .max(55, { error: 'the check bar: at most 55 mm' })
    .default(50),
  kerfMm: z.number().min(0).max(2).default(0.3),
  marginMm: z.number().min(0).max(20).default(1),
  /** The simulated instruments, to practise with; what they read is never counted. The demonstration has them always. */
  practice: z.boolean().default(false),
  /** Own figures beside the presets of the bench, by their id. */
  figures: z.record(z.string(), z.number()).default({}),
})
export type Settings = z.output<typeof settingsSchema>

const row = z.object({ key: z.string(), value_json: jsonColumn(z.unknown()) })

export function makeSettingsRepository(db: Db) {
  const all = db.prepare('SELECT key, value_json FROM settings')
  const revision = db.prepare('SELECT settings_revision AS n FROM workshop')
  const bump = writer(db, 'UPDATE workshop SET settings_revision = settings_revision + 1')
  const put = writer(
    db,
    'INSERT INTO settings (key, value_json) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value_json = excluded.value_json',
  )
  return {
    read: (): Settings =>
      settingsSchema.parse(
        Object.fromEntries(
          all.all().map((item) => {
            const { key, value_json } = row.parse(item)
            return [key, value_json]
          }),
        ),
      ),
    revision: (): number => countRow.parse(revision.get()).n,
    write: db.transaction((settings: Partial<Settings>) => {
      for (const [key, value] of Object.entries(settings)) put.run(key, JSON.stringify(value))
      bump.run()
    }),
  }
}
