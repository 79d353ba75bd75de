import { appendFileSync, closeSync, existsSync, openSync, readSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../data-folder'
import { copyForCheck } from '../db/check-backup'
import { runTask } from '../long/run-task'
import { underWay, type Work } from '../long/under-way'
import { backupFolder, CHECK_SECONDS, freeName } from './backups'
import type { Brought } from './brought'
import { mergeZip } from './merge-zip'

/** A part of a file that is brought in from elsewhere. */
export interface BroughtPart {
  /** The name the sender gives this bringing: 16 to 40 letters and figures. */
  readonly id: string
  /** Where in the file the part begins, and how long the whole file is, bytes. */
  readonly from: number
  readonly size: number
  readonly bytes: Uint8Array
}

/** No workshop comes near this many bytes. */
const MOST_BYTES = 2 * 1024 ** 3

const refuse = (message: string): Brought => ({ ok: false, message })

const partialOf = (id: string) => join(backupFolder(), `${id}.partial`)

/** A zip begins with these letters. */
const ZIP = 'PK'

function isZip(path: string): boolean {
  const file = openSync(path, 'r')
  try {
    const start = Buffer.alloc(2)
    readSync(file, start, 0, 2, 0)
    return start.toString('latin1') === ZIP
  } finally {
    closeSync(file)
  }
}

/** Looks through a copy of what was brought, and gives it its place among the backups, or lets it go. */
async function settle(path: string, work: Work): Promise<Brought> {
  if (isZip(path)) return mergeZip(path, work)
  const { step, share, signal } = work
  step('It is being checked')
  const copy = copyForCheck(path, dataFolder(), 'brought.db')
  const checked = await runTask('checkBackup', copy, { seconds: CHECK_SECONDS, signal, onShare: share }).finally(() =>
    rmSync(copy, { force: true }),
  )
  if (!checked.ok) {
    rmSync(path, { force: true })
    return refuse(`It was not accepted: ${checked.message}.`)
  }
  const received = statSync(path).size
  const file = freeName(checked.facts.demonstration ? 'demo' : 'workshop', '.db')
  renameSync(path, join(backupFolder(), file))
  return { ok: true, received, file }
}

/**
 * Takes a backup that was kept elsewhere, part by part in order; with the last one it stands among the backups, to be looked at and
 * restored. Its id is the name to ask by how far the looking through is. A file that is none of ours is let go again.
 */
export async function bringBackup({ id, from, size, bytes }: BroughtPart): Promise<Brought> {
  if (!/^[a-z0-9]{16,40}$/.test(id)) return refuse('This upload is not known here; start again.')
  if (!(size > 0 && size <= MOST_BYTES)) return refuse('No backup is as large as this; it was not accepted.')
  const path = partialOf(id)
  if (from === 0) rmSync(path, { force: true })
  const received = existsSync(path) ? statSync(path).size : 0
  if (received !== from || from + bytes.byteLength > size) return refuse('A part of the file is missing; start again.')
  appendFileSync(path, bytes)
  if (from + bytes.byteLength < size) return { ok: true, received: from + bytes.byteLength, file: null }
  return underWay(id, (work) => settle(path, work))
}

/** Lets a file go that was being brought in. */
export function dropBrought(id: string): void {
  if (/^[a-z0-9]{16,40}$/.test(id)) rmSync(partialOf(id), { force: true })
}
