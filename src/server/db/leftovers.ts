import { existsSync, readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../data-folder'

/** Takes away files of a folder that were left half way; a folder that is not there has none. */
function clear(folder: string, mark: string): void {
  if (!existsSync(folder)) return
  for (const file of readdirSync(folder)) if (file.includes(mark)) rmSync(join(folder, file), { force: true })
}

/** Takes away copies that a kill left half way, when a process takes the folder. */
export function clearLeftovers(): void {
  clear(dataFolder(), '.incoming')
  clear(join(dataFolder(), 'backups'), '.partial')
}

/** What SQLite lays beside a database. */
const BESIDE = ['-wal', '-shm', '-journal']

/** Takes away what lies beside a database that nobody has open. */
export function clearBeside(path: string): void {
  for (const side of BESIDE) rmSync(`${path}${side}`, { force: true })
}

/** Takes a database away, with what lies beside it. */
export function removeDb(path: string): void {
  rmSync(path, { force: true })
  clearBeside(path)
}
