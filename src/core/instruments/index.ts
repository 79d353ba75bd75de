export { type CaliperModel, readCaliper } from './caliper'
export {
  CHECK_PIECE,
  checkFault,
  checkSays,
  checkWords,
  type InstrumentCheck,
  readCheck,
  STAND_IN_CALIPERS,
  tellsWithinMm,
} from './check-piece'
export { bandWords } from './in-band'
export { readInstrumentLine } from './line'
export { readScale, type ScaleModel } from './scale'
export { readSupply, SUPPLY_FAULTS, type SupplyFault, type SupplyModel, type SupplyReading } from './supply'
export { makeWedge } from './wedge'
export { zeroDriftMm } from './zero-drift'
