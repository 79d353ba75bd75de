import { copyFileSync, existsSync, linkSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../data-folder'
import { type BackupCheck, copyForCheck, factsOf, type WorkshopFacts } from '../db/check-backup'
import { currentDb, currentWorkshop, databasePath, exists, letGo, switchWorkshop, WORKSHOPS, type WorkshopName } from '../db/connection'
import type { Db } from '../db/db'
import { clearBeside, removeDb } from '../db/leftovers'
import { openDb } from '../db/open'
import { MERGED_FROM, stateMark } from '../db/portable'
import { writer } from '../db/write'
import { runTask, TaskEnded } from '../long/run-task'
import { UNWATCHED, type Work } from '../long/under-way'

export interface Backup {
  readonly file: string
  /** The workshop it was made of, and goes back to. */
  readonly of: WorkshopName
  readonly bytes: number
  readonly at: string
}

/** A backup is looked through in a thread of its own for at most so long. */
export const CHECK_SECONDS = 120

/** Where backups lie; made where it is not there yet. */
export function backupFolder(): string {
  const folder = join(dataFolder(), 'backups')
  mkdirSync(folder, { recursive: true })
  return folder
}

/** A name for a backup that no other has: which workshop, and when. */
export function freeName(stem: string, ending: string): string {
  const stamp = new Date().toISOString().replace(/[:.]/g, '-').slice(0, 19)
  const names = ['', ...Array.from({ length: 999 }, (_, i) => `-${i + 2}`)].map((tail) => `${stem}-${stamp}${tail}${ending}`)
  return names.find((name) => !existsSync(join(backupFolder(), name))) ?? `${stem}-${stamp}-x${ending}`
}

/** Writes a file beside its place and moves it there when it is whole; nothing is left of one that failed. */
async function whole(file: string, write: (path: string) => unknown): Promise<void> {
  const partial = join(backupFolder(), `${file}.partial`)
  try {
    await write(partial)
    renameSync(partial, join(backupFolder(), file))
  } catch (error) {
    removeDb(partial)
    throw error
  }
}

/** So many pages are copied before the others are let in again. */
const PAGES_AT_ONCE = 200

/** A whole, consistent copy of a workshop, made while it goes on being used, under a name of its own; nothing is left of one called off. */
async function copyOut(db: Db, name: WorkshopName, { share, signal }: Work): Promise<string> {
  const file = freeName(name, '.db')
  const progress = ({ totalPages, remainingPages }: { readonly totalPages: number; readonly remainingPages: number }) => {
    if (signal.aborted) throw new TaskEnded('called-off', 'Called off; nothing was changed.')
    if (totalPages > 0) share(1 - remainingPages / totalPages)
    return PAGES_AT_ONCE
  }
  await whole(file, (path) => db.backup(path, { progress }))
  return file
}

/** A whole, consistent copy of the open workshop; returns its file name. Throws `TaskEnded` when it is called off. */
export async function makeBackup(work: Work = UNWATCHED): Promise<string> {
  work.step('The workshop is being copied; work can go on meanwhile')
  return copyOut(currentDb(), currentWorkshop(), work)
}

/** Backups of both workshops, newest first. */
export function listBackups(): Backup[] {
  return readdirSync(backupFolder())
    .flatMap((file): Backup[] => {
      const of = WORKSHOPS.find((name) => file.startsWith(`${name}-`) && file.endsWith('.db'))
      if (!of) return []
      const stat = statSync(join(backupFolder(), file))
      return [{ file, of, bytes: stat.size, at: stat.mtime.toISOString() }]
    })
    .sort((a, b) => b.at.localeCompare(a.at))
}

/** What a workshop holds now; null where there is none, or it cannot be opened. */
function presentFacts(name: WorkshopName): WorkshopFacts | null {
  if (!exists(name)) return null
  try {
    if (name === currentWorkshop()) return factsOf(currentDb())
    const db = openDb(databasePath(name))
    try {
      return factsOf(db)
    } finally {
      db.close()
    }
  } catch {
    return null
  }
}

export interface BackupLook {
  readonly backup: Backup
  readonly held: WorkshopFacts
  /** What it would replace; null where nothing can be read there. */
  readonly present: WorkshopFacts | null
}
type Refused = { readonly ok: false; readonly message: string }

/** Looks through a copy of a backup; the copy is left for the caller where it could be looked through, and gone where it could not. */
async function check(backup: Backup, { share, signal }: Work): Promise<BackupCheck & { readonly path: string }> {
  const path = copyForCheck(join(backupFolder(), backup.file), dataFolder(), `${backup.of}.db`)
  try {
    return { ...(await runTask('checkBackup', path, { seconds: CHECK_SECONDS, signal, onShare: share })), path }
  } catch (error) {
    removeDb(path)
    throw error
  }
}

const refused = (file: string, message: string): Refused => ({
  ok: false,
  message: `"${file}" cannot be put back: ${message}. Nothing was changed.`,
})

function find(file: string): Backup | Refused {
  return listBackups().find((backup) => backup.file === file) ?? { ok: false, message: `There is no backup "${file}".` }
}

/** What is in a backup, against what is there now. */
export async function lookAtBackup(file: string, work: Work = UNWATCHED): Promise<({ readonly ok: true } & BackupLook) | Refused> {
  const backup = find(file)
  if ('ok' in backup) return backup
  const { path, ...checked } = await check(backup, work)
  rmSync(path, { force: true })
  return checked.ok ? { ok: true, backup, held: checked.facts, present: presentFacts(backup.of) } : refused(file, checked.message)
}

/** Keeps what stands in a workshop now, as a backup where it can be opened, as the bare file where it cannot. */
async function keepPresent(name: WorkshopName, work: Work): Promise<string | null> {
  if (!exists(name)) return null
  const path = databasePath(name)
  try {
    const db = name === currentWorkshop() ? currentDb() : openDb(path)
    try {
      return await copyOut(db, name, work)
    } finally {
      if (name !== currentWorkshop()) db.close()
    }
  } catch (error) {
    if (error instanceof TaskEnded) throw error
    const file = freeName(name, '.broken')
    await whole(file, (partial) => copyFileSync(path, partial))
    return file
  }
}

/** Once it is the workshop itself it is a copy of nothing. */
function forgetMerged(db: Db): void {
  writer(db, 'DELETE FROM settings WHERE key = ?').run(MERGED_FROM)
}

/** Swaps a checked file into a workshop’s place. The place is never empty, and the old file comes back where the new one does not open. */
function swapIn(incoming: string, name: WorkshopName): void {
  const path = databasePath(name)
  const previous = `${path}.previous`
  letGo(name)
  rmSync(previous, { force: true })
  if (existsSync(path)) linkSync(path, previous)
  clearBeside(path)
  renameSync(incoming, path)
  try {
    switchWorkshop(name)
    forgetMerged(currentDb())
  } catch (error) {
    letGo(name)
    if (existsSync(previous)) renameSync(previous, path)
    throw error
  }
  rmSync(previous, { force: true })
}

/**
 * Puts a backup back where it came from and opens it; what was there is kept as a backup of its own. `shownLastAt` is when the present
 * workshop was last written as it was shown: where it was written since, nothing is done.
 */
export async function restoreBackup(
  file: string,
  shownLastAt: string | null,
  work: Work = UNWATCHED,
): Promise<{ readonly ok: true; readonly of: WorkshopName; readonly keptAs: string | null } | Refused> {
  const backup = find(file)
  if ('ok' in backup) return backup
  work.step('The backup is being checked')
  const { path, ...checked } = await check(backup, work)
  try {
    if (!checked.ok) return refused(file, checked.message)
    if ((presentFacts(backup.of)?.lastAt ?? null) !== shownLastAt)
      return { ok: false, message: 'The workshop was written to since you looked. Look at the backup again, then restore.' }
    const { mergedFrom } = checked.facts
    if (mergedFrom !== null && backup.of === currentWorkshop() && mergedFrom !== stateMark(currentDb()))
      return {
        ok: false,
        message:
          'The workshop was written to since the other one was merged into a copy of it. Bring the zip in once more, then restore. Nothing was changed.',
      }
    work.step('What is there now is being saved as a backup')
    const keptAs = await keepPresent(backup.of, work)
    if (work.signal.aborted) throw new TaskEnded('called-off', 'Called off; nothing was changed.')
    swapIn(path, backup.of)
    return { ok: true, of: backup.of, keptAs }
  } finally {
    rmSync(path, { force: true })
  }
}
