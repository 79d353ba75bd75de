import { archiveThing, deleteForGood, takeOutOfArchive } from './archive'
import { keepBath, noteBath } from './baths'
import { startTray } from './bench'
import { backUp, openWorkshop, restoreBackup, sendAwayDevice } from './data'
import { addStock, correctStock, duplicateStock, measureStock } from './drawer'
import { addPiece, duplicateJob, saveJob } from './jobs'
import { chooseCuts, cutLayout, putBackCut, saveLayout } from './layouts'
import type { ActionName } from './names'
import { addPicture, dropPicture } from './pictures'
import { describePiece, duplicatePiece, moveRevision, saveDesign } from './pieces'
import { answerRecord } from './record'
import { putInJar, sendJar, weighJar } from './scrap'
import { keepFigure, keepTrials, saveSettings, takePrices } from './settings'
import { dropSwatch, keepSwatch } from './swatches'
import { addLesson, dropLesson, keepPrediction } from './teaching'
import { countTemplate, dropTemplate, keepTemplate } from './templates'
import { addStartingSets, addTool, correctTool, countTool, markMandrel, measureStamp, measureTool } from './tools'

/** Every action that writes. There is no other way to change a workshop than these and the ledger's entries. */
export const ACTIONS = {
  addLesson,
  addPicture,
  addPiece,
  addStartingSets,
  addStock,
  addTool,
  answerRecord,
  archiveThing,
  backUp,
  chooseCuts,
  correctStock,
  correctTool,
  countTemplate,
  countTool,
  cutLayout,
  deleteForGood,
  describePiece,
  dropLesson,
  dropPicture,
  dropSwatch,
  dropTemplate,
  duplicateJob,
  duplicatePiece,
  duplicateStock,
  keepBath,
  keepFigure,
  keepPrediction,
  keepSwatch,
  keepTemplate,
  keepTrials,
  markMandrel,
  measureStamp,
  measureStock,
  measureTool,
  moveRevision,
  noteBath,
  openWorkshop,
  putBackCut,
  putInJar,
  restoreBackup,
  saveDesign,
  saveJob,
  saveLayout,
  saveSettings,
  sendAwayDevice,
  sendJar,
  startTray,
  takeOutOfArchive,
  takePrices,
  weighJar,
} satisfies Record<ActionName, object>
export type Actions = typeof ACTIONS
