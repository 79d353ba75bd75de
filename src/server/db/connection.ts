import { accessSync, constants, existsSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../data-folder'
import { holdFolder } from '../folder-lock'
import { replayLedger } from '../services/ledger'
import type { Db } from './db'
import { storeFaultOf } from './faults'
import { clearLeftovers } from './leftovers'
import { openDb } from './open'
import { makeRepositories } from './repositories'

export const WORKSHOPS = ['demo', 'workshop'] as const
export type WorkshopName = (typeof WORKSHOPS)[number]

export function databasePath(name: WorkshopName): string {
  return join(dataFolder(), `${name}.db`)
}

/** The workshop’s file cannot be opened; the message says why, and what a person can do. */
export class WorkshopBroken extends Error {}

interface Open {
  readonly name: WorkshopName
  readonly db: Db
}

/** Held on globalThis: pages, actions and route handlers are bundled apart but share one process. */
const holder = globalThis as typeof globalThis & { foldAnvilOpen?: Open; foldAnvilName?: WorkshopName }

function startingWorkshop(): WorkshopName {
  return process.env.FOLD_ANVIL_OPEN === 'demo' ? 'demo' : 'workshop'
}

/** Opens a workshop by name; its folder is held first, so that no other process writes there. */
function open(name: WorkshopName): Open {
  mkdirSync(dataFolder(), { recursive: true })
  accessSync(dataFolder(), constants.W_OK)
  if (holdFolder()) clearLeftovers()
  const db = openDb(databasePath(name))
  const repositories = makeRepositories(db)
  if (name === 'demo' && repositories.markDemonstration()) replayLedger(repositories)
  return { name, db }
}

function broken(name: WorkshopName, error: unknown): WorkshopBroken {
  const fault = storeFaultOf(error)
  const why = fault?.message ?? (error instanceof Error ? error.message : String(error))
  return new WorkshopBroken(`${databasePath(name)} cannot be opened: ${why}`, { cause: error })
}

/** The database that is open now, opening the one the program was started with at first use. Throws WorkshopBroken where it cannot be. */
export function currentDb(): Db {
  if (!holder.foldAnvilOpen) {
    const name = currentWorkshop()
    try {
      holder.foldAnvilOpen = open(name)
    } catch (error) {
      throw broken(name, error)
    }
  }
  return holder.foldAnvilOpen.db
}

export function currentWorkshop(): WorkshopName {
  return holder.foldAnvilOpen?.name ?? holder.foldAnvilName ?? startingWorkshop()
}

/** Why the workshop that should be open cannot be, or undefined where it is open. */
export function whyBroken(): string | undefined {
  try {
    currentDb()
    return undefined
  } catch (error) {
    if (error instanceof WorkshopBroken) return error.message
    throw error
  }
}

/** Closes what is open and turns to a workshop. Where that one cannot be opened, it is the one that is named broken. */
export function switchWorkshop(name: WorkshopName): void {
  holder.foldAnvilOpen?.db.close()
  delete holder.foldAnvilOpen
  holder.foldAnvilName = name
}

/** Lets go of a workshop’s file while it is replaced; the next use opens it again. */
export function letGo(name: WorkshopName): void {
  if (holder.foldAnvilOpen?.name === name) switchWorkshop(name)
}

/** Whether a workshop has been made yet. */
export function exists(name: WorkshopName): boolean {
  return existsSync(databasePath(name))
}
