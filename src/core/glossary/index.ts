export { findTerms, termIn } from './find-term'
export { TERMS, type Term } from './terms'
