export {
  advise,
  COMMANDS,
  calc,
  convert,
  layout,
  listAdvisers,
  listForms,
  listTables,
  readLayout,
  readSchedule,
  table,
  temper,
} from './commands'
export { depthFault } from './depth'
export type { DoorAnswer, DoorError } from './door-answer'
export { openApiDocument } from './openapi'
export { outlineOfDrawing, outlineOfPicture, readDrawnInput, readOutlineInput } from './outline'
