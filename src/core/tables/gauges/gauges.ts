import type { SourceId } from '../../sources/sources'
import { inchToMm } from '../../units/convert'
import { GALVANISED_IN, MSG_IN, SWG_IN } from './gauge-data'

export const GAUGE_SYSTEMS = ['B&S', 'SWG', 'MSG', 'galvanised'] as const
export type GaugeSystem = (typeof GAUGE_SYSTEMS)[number]
/** The scales a bare gauge number may belong to; a coated sheet is only meant where it is named. */
export const ASKED_SYSTEMS = ['B&S', 'SWG', 'MSG'] as const satisfies readonly GaugeSystem[]

interface GaugeScale {
  readonly title: string
  readonly usedFor: string
  readonly lowest: number
  readonly highest: number
  readonly source: SourceId
}

export const GAUGE_SCALES: Readonly<Record<GaugeSystem, GaugeScale>> = {
  'B&S': { title: 'B&S (American wire gauge)', usedFor: 'non-ferrous sheet and wire', lowest: -3, highest: 40, source: 'astm-b258' },
  SWG: { title: 'SWG (standard wire gauge)', usedFor: 'wire and non-ferrous sheet, Britain', lowest: -6, highest: 50, source: 'bs-3737' },
  MSG: { title: 'MSG (steel sheet)', usedFor: 'uncoated steel sheet', lowest: 3, highest: 38, source: 'us-msg' },
  galvanised: { title: 'galvanised sheet', usedFor: 'zinc-coated steel sheet', lowest: 10, highest: 30, source: 'us-galvanised' },
}

const PRINTED: Readonly<Record<Exclude<GaugeSystem, 'B&S'>, readonly (readonly [number, number])[]>> = {
  SWG: SWG_IN,
  MSG: MSG_IN,
  galvanised: GALVANISED_IN,
}

/**
 * Thickness in mm of a gauge index (0 is 0, 2/0 is −1, 3/0 is −2), or undefined where the scale has none.
 * B&S is a formula and takes half gauges; the others are tables of whole gauges. `gaugeToMm('B&S', 22)` is 0.644.
 */
export function gaugeToMm(system: GaugeSystem, gauge: number): number | undefined {
  const scale = GAUGE_SCALES[system]
  if (gauge < scale.lowest || gauge > scale.highest) return undefined
  if (system === 'B&S') return 0.127 * 92 ** ((36 - gauge) / 39)
  const row = PRINTED[system].find(([index]) => index === gauge)
  return row && inchToMm(row[1])
}

/** B&S gauge as a real number: 36 − 39·ln(d/0.127)/ln 92. 1 mm is 18.2. */
export function mmToBsGauge(thicknessMm: number): number {
  return 36 - (39 * Math.log(thicknessMm / 0.127)) / Math.log(92)
}

/** The whole gauges a scale has, thick to thin. */
export function gaugesOf(system: GaugeSystem): number[] {
  const { lowest, highest } = GAUGE_SCALES[system]
  return Array.from({ length: highest - lowest + 1 }, (_, i) => lowest + i).filter((gauge) => gaugeToMm(system, gauge) !== undefined)
}

/** Nearest whole gauge of a thickness in mm, with the signed difference (gauge minus given). */
export function nearestGauge(system: GaugeSystem, thicknessMm: number): { gauge: number; nominalMm: number; differenceMm: number } {
  let best = { gauge: GAUGE_SCALES[system].lowest, nominalMm: 0, differenceMm: Number.POSITIVE_INFINITY }
  for (const gauge of gaugesOf(system)) {
    const nominalMm = gaugeToMm(system, gauge) ?? 0
    if (Math.abs(nominalMm - thicknessMm) < Math.abs(best.differenceMm)) best = { gauge, nominalMm, differenceMm: nominalMm - thicknessMm }
  }
  return best
}

/** A gauge index as written: −3 is "4/0". */
export function gaugeName(gauge: number): string {
  return gauge < 0 ? `${1 - gauge}/0` : String(gauge)
}

/** Weight of solid copper sheet, lb per cubic inch, as the roofing trade calculates it (ASTM B370). */
const COPPER_LB_PER_IN3 = 0.322

/** Thickness in mm of roofing copper sold by ounces to the square foot: oz/(16·144·0.322) in. 16 oz is 0.548 mm. */
export function copperWeightMm(ouncePerFt2: number): number {
  return inchToMm(ouncePerFt2 / (16 * 144 * COPPER_LB_PER_IN3))
}
