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
  table,
  temper,
} from './commands'
export { openApiDocument } from './openapi'
