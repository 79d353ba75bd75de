export { COMMANDS, calc, convert, type DoorAnswer, type DoorError, layout, listForms, temper } from './commands'
export { openApiDocument } from './openapi'
