export { bathEntry, bathNote } from './bath'
export { jarEntry, jarMass } from './jar'
export { isOpenJob, JOB_STATUSES, type JobStatus, jobEntry, KIT_PREFIX, pieceEntry, pieceWords } from './job'
export { type Settings, settingsSchema } from './settings'
export {
  type EntryIssue,
  readStock,
  readStockThickness,
  SHEET_SHAPES,
  STOCK_KINDS,
  type StockEntry,
  type StockKind,
  stockEntry,
} from './stock'
export { swatchEntry } from './swatch'
export { readToolSize, toolEntry, toolLabel } from './tool'
