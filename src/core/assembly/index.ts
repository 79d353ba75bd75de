export { ORDER_SCHOOLS } from './schools'
