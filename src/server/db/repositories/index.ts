import type { Db } from '../connection'
import { makeBenchRepository } from './bench'
import { makeDrawerRepository } from './drawer'
import { makeJobRepository } from './jobs'
import { makeLayoutRepository } from './layouts'
import { makeSettingsRepository } from './settings'
import { makeToolRepository } from './tools'

export type { BenchEvent, Reading, Tray } from './bench'
export { type Design, designSchema, type FrozenPlan } from './design'
export type { NewStock, Stock } from './drawer'
export { JOB_STATUSES, type Job, type JobStatus, type Piece } from './jobs'
export type { StoredLayout } from './layouts'
export { type Settings, settingsSchema } from './settings'
export { TOOL_REASONS, type WallTool } from './tools'

const MADE = new WeakMap<Db, Repositories>()
export type Repositories = ReturnType<typeof make>

function make(db: Db) {
  return {
    settings: makeSettingsRepository(db),
    jobs: makeJobRepository(db),
    drawer: makeDrawerRepository(db),
    layouts: makeLayoutRepository(db),
    tools: makeToolRepository(db),
    bench: makeBenchRepository(db),
    transaction: <T>(work: () => T): T => db.transaction(work)(),
  }
}

/** All repositories of a database, their statements prepared once. */
export function makeRepositories(db: Db): Repositories {
  const made = MADE.get(db) ?? make(db)
  MADE.set(db, made)
  return made
}
