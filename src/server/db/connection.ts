import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { dataFolder } from '../data-folder'
import { migrate, readMigrations } from './migrate'

export type Db = Database.Database
export const WORKSHOPS = ['demo', 'workshop'] as const
export type WorkshopName = (typeof WORKSHOPS)[number]

export function databasePath(name: WorkshopName): string {
  return join(dataFolder(), `${name}.db`)
}

/** Opens a database file, ready for use: WAL, every commit on disk before it is acknowledged, foreign keys, migrated. */
export function openDb(path: string): Db {
  const db = new Database(path)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  db.pragma('busy_timeout = 5000')
  migrate(db, path, readMigrations(join(process.cwd(), 'src/server/db/migrations')))
  return db
}

interface Open {
  name: WorkshopName
  db: Db
}

/** Held on globalThis: pages, actions and route handlers are bundled apart but share one process. */
const holder = globalThis as typeof globalThis & { foldAnvilOpen?: Open }

function startingWorkshop(): WorkshopName {
  return process.env.FOLD_ANVIL_OPEN === 'demo' ? 'demo' : 'workshop'
}

function open(name: WorkshopName): Open {
  mkdirSync(dataFolder(), { recursive: true })
  return { name, db: openDb(databasePath(name)) }
}

/** The database that is open now, opening the one the program was started with at first use. */
export function currentDb(): Db {
  holder.foldAnvilOpen ??= open(startingWorkshop())
  return holder.foldAnvilOpen.db
}

export function currentWorkshop(): WorkshopName {
  return holder.foldAnvilOpen?.name ?? startingWorkshop()
}

/** Closes what is open and opens the other workshop. */
export function switchWorkshop(name: WorkshopName): void {
  const opened = open(name)
  holder.foldAnvilOpen?.db.close()
  holder.foldAnvilOpen = opened
}

/** Closes the open database so that its file can be replaced; the next use opens it again. */
export function closeCurrent(): WorkshopName {
  const name = currentWorkshop()
  holder.foldAnvilOpen?.db.close()
  delete holder.foldAnvilOpen
  return name
}
