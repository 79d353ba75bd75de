export { findIllegal, type Illegality } from './legal'
export { type LayoutControl, type LayoutSolution, packLayout, type Placement, placedOutline, type Remnant, remnantsOf } from './pack'
export { layoutInput, type LayoutInput, type LayoutItem, type LayoutSheet } from './schema'
