import { copyFileSync, existsSync, linkSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../data-folder'
import { type BackupCheck, copyForCheck, factsOf, type WorkshopFacts } from '../db/check-backup'
import { currentDb, currentWorkshop, databasePath, exists, letGo, switchWorkshop, WORKSHOPS, type WorkshopName } from '../db/connection'
import { openDb } from '../db/open'
import { runTask } from '../long/run-task'

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
    for (const side of ['', '-journal', '-wal', '-shm']) rmSync(`${partial}${side}`, { force: true })
    throw error
  }
}

/** A whole, consistent copy of the open workshop, made while it goes on being used; returns its file name. */
export async function makeBackup(): Promise<string> {
  const db = currentDb()
  const file = freeName(currentWorkshop(), '.db')
  await whole(file, (path) => db.backup(path))
  return file
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

async function check(backup: Backup): Promise<BackupCheck & { readonly path: string }> {
  const path = copyForCheck(join(backupFolder(), backup.file), dataFolder(), `${backup.of}.db`)
  return { ...(await runTask('checkBackup', path, { seconds: CHECK_SECONDS })), path }
}

const refused = (file: string, message: string): Refused => ({
  ok: false,
  message: `"${file}" cannot be put back: ${message}. Nothing was changed.`,
})

function find(file: string): Backup | Refused {
  return listBackups().find((backup) => backup.file === file) ?? { ok: false, message: `There is no backup "${file}".` }
}

/** What is in a backup, against what is there now. */
export async function lookAtBackup(file: string): Promise<({ readonly ok: true } & BackupLook) | Refused> {
  const backup = find(file)
  if ('ok' in backup) return backup
  const { path, ...checked } = await check(backup)
  rmSync(path, { force: true })
  return checked.ok ? { ok: true, backup, held: checked.facts, present: presentFacts(backup.of) } : refused(file, checked.message)
}

/** Keeps what stands in a workshop now, as a backup where it can be opened, as the bare file where it cannot. */
async function keepPresent(name: WorkshopName): Promise<string | null> {
  if (!exists(name)) return null
  const path = databasePath(name)
  try {
    const db = name === currentWorkshop() ? currentDb() : openDb(path)
    const file = freeName(name, '.db')
    await whole(file, (partial) => db.backup(partial))
    if (name !== currentWorkshop()) db.close()
    return file
  } catch {
    const file = freeName(name, '.broken')
    await whole(file, (partial) => copyFileSync(path, partial))
    return file
  }
}

/** Swaps a checked file into a workshop’s place. The place is never empty, and the old file comes back where the new one does not open. */
function swapIn(incoming: string, name: WorkshopName): void {
  const path = databasePath(name)
  const previous = `${path}.previous`
  letGo(name)
  rmSync(previous, { force: true })
  if (existsSync(path)) linkSync(path, previous)
  for (const side of ['-wal', '-shm']) rmSync(`${path}${side}`, { force: true })
  renameSync(incoming, path)
  try {
    switchWorkshop(name)
    currentDb()
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
): Promise<{ readonly ok: true; readonly of: WorkshopName; readonly keptAs: string | null } | Refused> {
  const backup = find(file)
  if ('ok' in backup) return backup
  const { path, ...checked } = await check(backup)
  try {
    if (!checked.ok) return refused(file, checked.message)
    if ((presentFacts(backup.of)?.lastAt ?? null) !== shownLastAt)
      return { ok: false, message: 'The workshop was written to since you looked. Look at the backup again, then restore.' }
    const keptAs = await keepPresent(backup.of)
    swapIn(path, backup.of)
    return { ok: true, of: backup.of, keptAs }
  } finally {
    rmSync(path, { force: true })
  }
}
