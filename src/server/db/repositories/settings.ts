import * as z from 'zod'
import { type Settings, settingsSchema } from '@/core/entries'
import type { Db } from '../db'
import { writer } from '../write'
import { countRow, jsonColumn } from './rows'

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
