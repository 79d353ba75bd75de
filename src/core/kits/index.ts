export { FORM_ROUTES } from './form-routes'
export { schoolsIn } from './notation'
export { KITS } from './registry'
