export {
  advise,
  COMMANDS,
  calc,
  convert,
  type DoorAnswer,
  type DoorError,
  layout,
  listAdvisers,
  listForms,
  listTables,
  readLayout,
  table,
  temper,
} from './commands'
export { depthFault } from './depth'
export { openApiDocument } from './openapi'
