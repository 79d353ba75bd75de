import { join } from 'node:path'
import { currentDb, currentWorkshop } from '../db/connection'
import { removeDb } from '../db/leftovers'
import { runTask } from '../long/run-task'
import { backupFolder, freeName } from './backups'

const ZIP_SECONDS = 600

/** Packs a copy of the open workshop, made while it goes on being used. The file is the caller’s to remove. */
export async function makeZip(signal: AbortSignal): Promise<{ readonly path: string; readonly name: string }> {
  const name = freeName(currentWorkshop(), '.zip')
  const [copy, path] = [join(backupFolder(), `${name}.db.partial`), join(backupFolder(), `${name}.partial`)]
  try {
    await currentDb().backup(copy)
    await runTask('zipOut', { path: copy, to: path }, { seconds: ZIP_SECONDS, signal })
    return { path, name }
  } finally {
    removeDb(copy)
  }
}
