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
export { FORM_IDS, FORMS, type FormId, findForm } from './registry'
export { solidsOf } from './solids-of'
