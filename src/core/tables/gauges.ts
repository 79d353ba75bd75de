import type { SourceId } from '../sources/sources'
import { inchToMm } from '../units/convert'
import { MSG_IN, SWG_IN } from './gauge-data'

export const GAUGE_SYSTEMS = ['B&S', 'SWG', 'MSG'] as const
export type GaugeSystem = (typeof GAUGE_SYSTEMS)[number]

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
}

/**
 * Thickness in mm of a gauge index (0 is 0, 2/0 is −1, 3/0 is −2), or undefined off the end of the scale.
 * B&S is a formula and takes half gauges; SWG and MSG are tables of whole gauges. `gaugeToMm('B&S', 22)` is 0.644.
 */
export function gaugeToMm(system: GaugeSystem, gauge: number): number | undefined {
  const scale = GAUGE_SCALES[system]
  if (gauge < scale.lowest || gauge > scale.highest) return undefined
  if (system === 'B&S') return 0.127 * 92 ** ((36 - gauge) / 39)
  const row = (system === 'SWG' ? SWG_IN : MSG_IN).find(([index]) => index === gauge)
  return row && inchToMm(row[1])
}

/** Nearest whole gauge of a thickness in mm, with the signed difference (gauge minus given). */
export function nearestGauge(system: GaugeSystem, thicknessMm: number): { gauge: number; nominalMm: number; differenceMm: number } {
  const scale = GAUGE_SCALES[system]
  let best = { gauge: scale.lowest, nominalMm: 0, differenceMm: Number.POSITIVE_INFINITY }
  for (let gauge = scale.lowest; gauge <= scale.highest; gauge++) {
    const nominalMm = gaugeToMm(system, gauge)
    if (nominalMm === undefined) continue
    if (Math.abs(nominalMm - thicknessMm) < Math.abs(best.differenceMm)) best = { gauge, nominalMm, differenceMm: nominalMm - thicknessMm }
  }
  return best
}

/** A gauge index as written: −3 is "4/0". */
export function gaugeName(gauge: number): string {
  return gauge < 0 ? `${1 - gauge}/0` : String(gauge)
}
