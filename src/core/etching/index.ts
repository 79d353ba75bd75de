export { artworkSvg } from './artwork-svg'
export { BATHS } from './baths'
export { type EtchAnswer, etchPlan } from './plan'
export { type EtchBath, type EtchChoices, type EtchInput, etchChoices, etchInput, type Resist } from './schema'
