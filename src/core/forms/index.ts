export type {
  Answer,
  BlankSpec,
  Check,
  CheckLevel,
  FormResult,
  FormRun,
  Outcome,
  Quantity,
  SchoolChoice,
  SchoolOption,
  Target,
} from './contract'
export type { FormField } from './fields'
export { type MethodChoice, methodChoices, startingMethods } from './methods'
export { FORM_IDS, FORMS, type FormId, familyOf, findForm } from './registry'
export { solidsOf } from './solids-of'
