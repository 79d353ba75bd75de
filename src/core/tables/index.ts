export { bangleInsideMm, bangleSizeName } from './bangles'
export { letterDrillMm, numberDrillMm } from './drills'
export { GAUGE_SCALES, GAUGE_SYSTEMS, type GaugeSystem, gaugeName, gaugeToMm, nearestGauge } from './gauges'
export { RING_SCALES, RING_SYSTEMS, type RingSystem, ringInsideMm, ringSizeName, ringSizeOf, ukSizeName } from './rings'
