export { ALL_GRITS, GRIT_SCALES, GRITS, type Grit, type GritScale, gritsNamed, nearestGrit } from './abrasives/grits'
export { type Drill, letterDrillMm, numberDrillMm, STANDARD_DRILLS } from './drills/drills'
export { FIT_IDS, type FitId } from './drills/fit-ids'
export { clearanceOf, FITS, fitWords } from './drills/fits'
export { FIGURES, type Figure, figureOf, massWith, type OwnFigures } from './figures'
export {
  ASKED_SYSTEMS,
  copperWeightMm,
  GAUGE_SCALES,
  GAUGE_SYSTEMS,
  type GaugeSystem,
  gaugeName,
  gaugesOf,
  gaugeToMm,
  mmToBsGauge,
  nearestGauge,
} from './gauges/gauges'
export { BASE_METALS, FLUXES, type HeatRange, isFluxRight } from './heat/fillers'
export { LEARNABLE, type Learned, learned, type Trials, withLearned } from './learned'
export { limitFromRecord, type WorkedTo } from './limit-record'
export {
  fahrenheitDifferenceC,
  fahrenheitToC,
  GRAMS_PER,
  type MassUnit,
  toGrams,
} from './metals/metal-data'
export { alloyWith } from './own-metal'
export { findTable, TABLES, type TableId } from './registry'
export {
  RING_SCALES,
  RING_SYSTEMS,
  type RingSystem,
  ringInsideMm,
  ringNeighbours,
  ringSizeName,
  ringSizeOf,
  ukSizeName,
  usCircumferenceInsideMm,
} from './rings/rings'
export { edgeDistanceMm, headStickOutMm, holeFillMm, RIVET_SCHOOLS } from './rivets/rivets'
export { BLADES, type Blade, findBlade, kerfOfMm, pilotMm, teethInMetal, teethLimits } from './saws/blades'
export { STONE_RISKS, type StoneRisk, stoneRisk } from './stones/stone-risk'
export { bezelStripMm, ellipsePerimeterMm, OVAL_CABOCHONS } from './stones/stones'
export { type Cell, type Column, type Ownership, type Row, SHELVES, type Shelf, type Table } from './table'
export { DAPPING_CUPS_MM, DAPPING_PUNCHES_MM, largestPunchMm } from './tools/dapping'
export { stampedLineMm, TOOL_FACES, type ToolFace } from './tools/tool-data'
export { bangleInsideMm, bangleSizeName } from './worn/bangles'
