export { type CaliperModel, readCaliper } from './caliper'
export { readScale, type ScaleModel } from './scale'
export { readSupply, SUPPLY_FAULTS, type SupplyFault, type SupplyModel, type SupplyReading } from './supply'
