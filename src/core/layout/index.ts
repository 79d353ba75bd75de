export { findIllegal, ILLEGAL_WORDS, type Illegality } from './legal'
export { type LayoutControl, type LayoutSolution, type Placement, packLayout, placedRegion, type Remnant, remnantsOf } from './pack'
export { type LayoutInput, type LayoutItem, type LayoutSheet, layoutInput, type Taken } from './schema'
