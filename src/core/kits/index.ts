export { FORM_ROUTES } from './form-routes'
export { assemblyOf, type Kit } from './kit'
export { schoolsIn } from './notation'
export { findKit, KITS } from './registry'
