import { inchToMm, mmToInch } from '../../units/convert'
import { defineTable, type RowSpec } from '../table'
import { METRIC_STOCK_MM, STEEL_WIRE_IN, US_1893_IN } from './gauge-data'
import { copperWeightMm, GAUGE_SCALES, type GaugeSystem, gaugeName, gaugesOf, gaugeToMm, nearestGauge } from './gauges'

const INCH = { key: 'inch', label: 'in', unit: 'in', digits: 4 } as const
const TYPED: Readonly<Record<GaugeSystem, readonly string[]>> = {
  'B&S': ['b&s', 'awg'],
  SWG: ['swg'],
  MSG: ['msg', 'steel'],
  galvanised: ['galvanised', 'galv'],
}

function gaugeRow(system: GaugeSystem, gauge: number): RowSpec {
  const name = gaugeName(gauge)
  const value = gaugeToMm(system, gauge) ?? 0
  return {
    id: name.replace('/', '-'),
    name: `${name} ga ${system}`,
    value,
    cells: { inch: mmToInch(value) },
    says: [name, `${name} ga`, `${name} gauge`, ...TYPED[system].flatMap((word) => [`${name} ${word}`, `${name} ga ${word}`])],
  }
}

function gaugeTable<const Id extends string>(id: Id, system: GaugeSystem, about: string) {
  const { title, source } = GAUGE_SCALES[system]
  return defineTable({
    id,
    title,
    shelf: 'gauges',
    about,
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source,
    confidence: 'high',
    ownership: 'fixed',
    rows: () => gaugesOf(system).map((gauge) => gaugeRow(system, gauge)),
  })
}

function printedTable(inches: readonly (readonly [number, number])[], suffix: string): RowSpec[] {
  return inches.map(([gauge, inch]) => ({
    id: String(gauge),
    name: `${gauge} ga ${suffix}`,
    value: inchToMm(inch),
    cells: { inch },
    says: [`${gauge}`, `${gauge} ga`, `${gauge} ${suffix}`],
  }))
}

const signed = (share: number) => `${share >= 0 ? '+' : '−'}${Math.abs(100 * share).toFixed(1)} %`

export const gaugeTables = [
  gaugeTable(
    'gauge-bs',
    'B&S',
    'Sheet and wire of silver, gold, copper, brass and bronze in America. Each number is 1.123 times the next; six numbers about halve it.',
  ),
  gaugeTable(
    'gauge-swg',
    'SWG',
    'Sheet and wire in Britain and the Commonwealth. A table, not a formula; the same number is thicker than B&S.',
  ),
  gaugeTable(
    'gauge-steel',
    'MSG',
    'Uncoated steel sheet. 18 gauge steel is 1.214 mm where 18 gauge brass is 1.024: never carry a number from one scale to another.',
  ),
  gaugeTable('gauge-galvanised', 'galvanised', 'Zinc-coated steel sheet: the steel gauge and the zinc. Do not heat it: zinc fume.'),
  defineTable({
    id: 'gauge-us-1893',
    title: 'US standard gauge, 1893',
    shelf: 'gauges',
    about: 'On some stainless lists. They vary: enter stainless sheet in millimetres.',
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source: 'us-1893-gauge',
    confidence: 'medium',
    ownership: 'preset',
    rows: () => printedTable(US_1893_IN, 'US 1893'),
  }),
  defineTable({
    id: 'gauge-steel-wire',
    title: 'US steel wire gauge',
    shelf: 'gauges',
    about: 'Plain steel wire, binding wire among it.',
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source: 'us-steel-wire',
    confidence: 'medium',
    ownership: 'preset',
    rows: () => printedTable(STEEL_WIRE_IN, 'steel wire'),
  }),
  defineTable({
    id: 'copper-weight',
    title: 'Copper sheet by weight',
    shelf: 'gauges',
    about: 'Roofing copper is sold by ounces to the square foot.',
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source: 'astm-b370',
    confidence: 'high',
    ownership: 'fixed',
    rows: () =>
      [10, 12, 16, 20, 24, 32, 48].map((ounces) => ({
        id: String(ounces),
        name: `${ounces} oz copper`,
        value: copperWeightMm(ounces),
        cells: { inch: mmToInch(copperWeightMm(ounces)) },
        says: [`${ounces} oz`, `${ounces} oz copper`],
      })),
  }),
  defineTable({
    id: 'metric-stock',
    title: 'Metric sheet and wire',
    shelf: 'gauges',
    about: 'Thicknesses commonly stocked, and the gauge nearest to each. Rolled sheet differs by some hundredths: measure it.',
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH, { key: 'bs', label: 'nearest B&S' }, { key: 'swg', label: 'nearest SWG' }],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () =>
      METRIC_STOCK_MM.map((mm) => {
        const near = (system: GaugeSystem) => {
          const { gauge, differenceMm } = nearestGauge(system, mm)
          return `${gaugeName(gauge)} (${signed(differenceMm / mm)})`
        }
        return { id: `m${mm}`, name: `${mm} mm`, value: mm, cells: { inch: mmToInch(mm), bs: near('B&S'), swg: near('SWG') } }
      }),
  }),
] as const
