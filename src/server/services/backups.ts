import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { dataFolder } from '../data-folder'
import { closeCurrent, currentDb, currentWorkshop, databasePath } from '../db/connection'

export interface Backup {
  readonly file: string
  readonly bytes: number
  readonly at: string
}

function backupFolder(): string {
  const folder = join(dataFolder(), 'backups')
  mkdirSync(folder, { recursive: true })
  return folder
}

function stamp(): string {
  return new Date().toISOString().replace(/[:.]/g, '-').slice(0, 19)
}

/** A whole, consistent copy of the open database; returns its file name. */
export function makeBackup(): string {
  let file = `${currentWorkshop()}-${stamp()}.db`
  for (let n = 2; existsSync(join(backupFolder(), file)); n++) file = `${currentWorkshop()}-${stamp()}-${n}.db`
  currentDb().prepare('VACUUM INTO ?').run(join(backupFolder(), file))
  return file
}

/** Backups of the open workshop, newest first. */
export function listBackups(): Backup[] {
  return readdirSync(backupFolder())
    .filter((file) => file.startsWith(`${currentWorkshop()}-`) && file.endsWith('.db'))
    .map((file) => {
      const stat = statSync(join(backupFolder(), file))
      return { file, bytes: stat.size, at: stat.mtime.toISOString() }
    })
    .sort((a, b) => b.at.localeCompare(a.at))
}

function isWhole(path: string): boolean {
  try {
    const db = new Database(path, { readonly: true, fileMustExist: true })
    const ok =
      db.pragma('integrity_check', { simple: true }) === 'ok' &&
      db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'migrations'").get() !== undefined
    db.close()
    return ok
  } catch {
    return false
  }
}

/** Puts a backup in the place of the open database, keeping the present one as a backup of its own. */
export function restoreBackup(file: string): { ok: true; keptAs: string } | { ok: false; message: string } {
  if (!listBackups().some((backup) => backup.file === file)) return { ok: false, message: `There is no backup "${file}" of this workshop.` }
  const from = join(backupFolder(), file)
  if (!isWhole(from)) return { ok: false, message: `"${file}" is damaged or is no workshop; nothing was changed.` }
  const keptAs = makeBackup()
  const path = databasePath(closeCurrent())
  for (const side of ['-wal', '-shm']) rmSync(`${path}${side}`, { force: true })
  copyFileSync(from, `${path}.incoming`)
  renameSync(`${path}.incoming`, path)
  return { ok: true, keptAs }
}
