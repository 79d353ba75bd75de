import { closeSync, existsSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, writeSync } from 'node:fs'
import { join } from 'node:path'
import * as z from 'zod'
import { dataFolder } from './data-folder'

const lockSchema = z.object({ pid: z.int().positive(), began: z.string(), address: z.string(), since: z.string() })
/** Who has a data folder open: its process, when that began, and the address it serves. */
export type FolderLock = z.output<typeof lockSchema>

/** Another process has the data folder; the message says who, and what to do. */
export class FolderTaken extends Error {
  readonly holder: FolderLock
  constructor(holder: FolderLock) {
    super(
      `Fold Anvil has this folder open already (process ${holder.pid}, since ${holder.since}). ${holder.address ? `Open ${holder.address} in a browser.` : 'Wait until it is done.'}`,
    )
    this.holder = holder
  }
}

function lockPath(): string {
  return join(dataFolder(), 'in-use.json')
}

/** When a process began, as the system counts it; empty where that cannot be read. A number given out anew has another beginning. */
function beganOf(pid: number): string {
  try {
    return (
      readFileSync(`/proc/${pid}/stat`, 'utf8')
        .replace(/^.*\) /, '')
        .split(' ')[19] ?? ''
    )
  } catch {
    return ''
  }
}

function isAlive(lock: FolderLock): boolean {
  try {
    process.kill(lock.pid, 0)
  } catch (error) {
    if (!(error instanceof Error && 'code' in error && error.code === 'EPERM')) return false
  }
  const began = beganOf(lock.pid)
  return began === '' || lock.began === '' || began === lock.began
}

/** Who holds the folder, if a living process does. */
export function folderHolder(): FolderLock | undefined {
  try {
    const lock = lockSchema.parse(JSON.parse(readFileSync(lockPath(), 'utf8')))
    return isAlive(lock) ? lock : undefined
  } catch {
    return undefined
  }
}

/** Sets a lock aside whose process is gone; of two that try at once, one gets it. */
function clearStale(): void {
  if (!existsSync(lockPath())) return
  const aside = `${lockPath()}.${process.pid}`
  try {
    renameSync(lockPath(), aside)
  } catch {
    return
  }
  rmSync(aside, { force: true })
}

/** Makes the lock file, or fails where another process was quicker. */
function writeLock(lock: FolderLock): void {
  const file = openSync(lockPath(), 'wx', 0o600)
  try {
    writeSync(file, JSON.stringify(lock))
  } finally {
    closeSync(file)
  }
}

const held = globalThis as typeof globalThis & { foldAnvilHeld?: string; foldAnvilWillLetGo?: boolean }

/** Holds the data folder for this process until it ends; true where it was not held before. Throws FolderTaken where another living process has it. */
export function holdFolder(address = ''): boolean {
  if (held.foldAnvilHeld === lockPath()) return false
  const holder = folderHolder()
  if (holder && holder.pid !== process.pid) throw new FolderTaken(holder)
  mkdirSync(dataFolder(), { recursive: true })
  clearStale()
  writeLock({ pid: process.pid, began: beganOf(process.pid), address, since: new Date().toISOString() })
  if (!held.foldAnvilWillLetGo) process.once('exit', letFolderGo)
  held.foldAnvilWillLetGo = true
  held.foldAnvilHeld = lockPath()
  return true
}

/** Lets the folder go, where this process has it. */
export function letFolderGo(): void {
  if (held.foldAnvilHeld === undefined) return
  if (folderHolder()?.pid === process.pid) rmSync(held.foldAnvilHeld, { force: true })
  delete held.foldAnvilHeld
}
