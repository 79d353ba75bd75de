import { renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { currentDb, currentWorkshop } from '../db/connection'
import { removeDb } from '../db/leftovers'
import type { Merged } from '../db/portable'
import { runTask } from '../long/run-task'
import type { Work } from '../long/under-way'
import { backupFolder, CHECK_SECONDS, freeName } from './backups'
import type { Brought } from './brought'

const ZIP_SECONDS = 600

/** Tables a person has a word for. */
const WORDS: Readonly<Record<string, string>> = {
  jobs: 'jobs',
  pieces: 'pieces',
  stock: 'pieces of metal',
  layouts: 'layouts',
  tools: 'tools',
  trays: 'trays',
  entries: 'entries of the bench',
  templates: 'templates',
  baths: 'baths',
  swatches: 'swatches',
  pictures: 'pictures',
}

function listed(report: Readonly<Record<string, Merged>>, which: keyof Merged): string {
  return Object.entries(WORDS)
    .flatMap(([table, words]) => (report[table]?.[which] ? [`${report[table]?.[which]} ${words}`] : []))
    .join(', ')
}

/** What the merged copy holds more than the workshop that is open, in words. */
export function mergeWords(report: Readonly<Record<string, Merged>>): string {
  const [added, differ] = [listed(report, 'added'), listed(report, 'differ')]
  const same = listed(report, 'known')
  return [
    added ? `New with it: ${added}.` : 'Nothing in it is new here.',
    same ? `Here already: ${same}.` : '',
    differ ? `Different here, and left as they are here: ${differ}.` : '',
    added ? 'Look at the copy, and restore it to take it in.' : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** Takes a workshop that came as a zip into a copy of the open one; the copy stands among the backups, to be looked at and restored. */
export async function mergeZip(path: string, { step, share, signal }: Work): Promise<Brought> {
  const of = currentWorkshop()
  const file = freeName(of, '.db')
  const copy = join(backupFolder(), `${file}.partial`)
  try {
    step('The workshop is being copied')
    await currentDb().backup(copy)
    step('The other workshop is being taken into the copy')
    const merged = await runTask('zipIn', { zip: path, copy }, { seconds: ZIP_SECONDS, signal, onShare: share })
    if (!merged.ok) return refuse(merged.message)
    step('It is being checked')
    const checked = await runTask('checkBackup', copy, { seconds: CHECK_SECONDS, signal, onShare: share })
    if (!checked.ok) return refuse(checked.message)
    const received = statSync(path).size
    renameSync(copy, join(backupFolder(), file))
    return { ok: true, received, file, said: mergeWords(merged.report) }
  } finally {
    removeDb(copy)
    rmSync(path, { force: true })
  }
}

const refuse = (message: string): Brought => ({
  ok: false,
  message: `It was not accepted: ${message.replace(/\.$/, '')}. Nothing was changed.`,
})
