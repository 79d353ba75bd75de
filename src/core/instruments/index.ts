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
export { tellsWithinG, type WeightCheck, weightCheckSchema, weightFault, weightSays } from './check-weight'
export { counted, HEAT_BEGUN, type HeatGoal, type HeatRun, heatSays, heatSureness, heatTold, nextHeat } from './heat-run'
export { bandWords } from './in-band'
export { readInstrumentLine } from './line'
export { readScale, type ScaleModel } from './scale'
export { readSupply, SUPPLY_FAULTS, type SupplyFault, type SupplyModel, type SupplyReading } from './supply'
export { readTemperatureLine } from './temperature-line'
export { PRACTICE_BEGINS_C, readThermometer, THERMOMETER_FAULTS, type ThermometerFault, type ThermometerModel, warmed } from './thermometer'
export { makeWedge } from './wedge'
export { zeroDrift } from './zero-drift'
