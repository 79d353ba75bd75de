import * as z from 'zod'
import type { Db } from '../db'
import { writer } from '../write'
import { makeArchiveRepository } from './archive'
import { makeBathRepository } from './baths'
import { makeDrawerRepository } from './drawer'
import { makeEntryRepository } from './entries'
import { makeFindingRepository } from './finding'
import { makeJarRepository } from './jars'
import { makeJobRepository } from './jobs'
import { makeLayoutRepository } from './layouts'
import { makePictureRepository } from './pictures'
import { makeRecordRepository } from './record'
import { makeSettingsRepository } from './settings'
import { makeSwatchRepository } from './swatches'
import { makeTeachingRepository } from './teaching'
import { makeTemplateRepository } from './templates'
import { makeToolRepository } from './tools'
import { makeTrayRepository } from './trays'

export { ARCHIVE_KINDS, type ArchiveKind, type Hanging } from './archive'
export type { Bath } from './baths'
export { type Design, designSchema, type FrozenPart, type FrozenPlan, type FrozenStep } from './design'
export type { NewStock, Stock, StockNote } from './drawer'
export { ENTRY_KINDS, type Entry, type LossLine, type NewEntry } from './entries'
export type { Named } from './finding'
export type { Jar } from './jars'
export type { Job, JobLine, NewJob, Piece } from './jobs'
export type { Cut, StoredLayout } from './layouts'
export type { PictureLine } from './pictures'
export type { NewRecordRow, RecordGroup, RecordKind, RecordRow } from './record'
export type { OwnSwatch } from './swatches'
export type { Lesson, Prediction } from './teaching'
export type { Template } from './templates'
export { TOOL_REASONS, type ToolReason, type WallTool } from './tools'
export { itemUid, type Tray, type TrayLine } from './trays'

const MADE = new WeakMap<Db, Repositories>()
export type Repositories = ReturnType<typeof make>

const workshopRowSchema = z.object({ uid: z.string(), demonstration: z.number() })

function make(db: Db) {
  const workshopRow = db.prepare('SELECT uid, demonstration FROM workshop')
  const mark = writer(db, 'UPDATE workshop SET demonstration = 1 WHERE demonstration = 0')
  return {
    settings: makeSettingsRepository(db),
    jobs: makeJobRepository(db),
    drawer: makeDrawerRepository(db),
    jars: makeJarRepository(db),
    baths: makeBathRepository(db),
    swatches: makeSwatchRepository(db),
    templates: makeTemplateRepository(db),
    layouts: makeLayoutRepository(db),
    tools: makeToolRepository(db),
    trays: makeTrayRepository(db),
    entries: makeEntryRepository(db),
    archive: makeArchiveRepository(db),
    finding: makeFindingRepository(db),
    record: makeRecordRepository(db),
    pictures: makePictureRepository(db),
    teaching: makeTeachingRepository(db),
    /** The workshop's own name, which every write says it was made for; and whether it is the invented one. */
    workshopRow: () => {
      const { uid, demonstration } = workshopRowSchema.parse(workshopRow.get())
      return { uid, demonstration: demonstration === 1 }
    },
    /** Says of this workshop that it is the invented one, whose simulated instruments are its own. */
    markDemonstration: () => mark.run().changes > 0,
    transaction: <T>(work: () => T): T => db.transaction(work).immediate(),
  }
}

/** All repositories of a database, their statements prepared once. */
export function makeRepositories(db: Db): Repositories {
  const made = MADE.get(db) ?? make(db)
  MADE.set(db, made)
  return made
}
