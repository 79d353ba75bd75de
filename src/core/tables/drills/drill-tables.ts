import { mmToInch } from '../../units/convert'
import { formatPlain } from '../../units/format'
import { FIGURES } from '../figures'
import { gaugeToMm } from '../gauges/gauges'
import { defineTable, type RowSpec } from '../table'
import { type Drill, type DrillSeries, STANDARD_DRILLS } from './drills'
import { FIT_IDS } from './fit-ids'
import { FITS } from './fits'

const INCH = { key: 'inch', label: 'in', unit: 'in', digits: 4 } as const

function typed({ series, name }: Drill): string[] {
  const bare = name.replace(/^#| in$| mm$/g, '')
  if (series === 'number') return [bare, `no ${bare}`, `no. ${bare}`, `drill ${bare}`]
  if (series === 'letter') return [name, `letter ${name}`]
  return series === 'fraction' ? [bare, `${bare}"`] : []
}

function drillRow(drill: Drill): RowSpec {
  return {
    id: drill.name.replace(/[#/ ]/g, (sign) => (sign === '#' ? 'n' : '-')),
    name: drill.series === 'letter' ? `drill ${drill.name}` : drill.name,
    value: drill.diameterMm,
    cells: { inch: mmToInch(drill.diameterMm) },
    says: typed(drill),
    ...(drill.series === 'number' && Number(drill.name.slice(1)) > 80
      ? { confidence: 'medium' as const, note: 'micro range, from memory' }
      : {}),
  }
}

function seriesTable<const Id extends string>(id: Id, series: DrillSeries, title: string, about: string) {
  const metric = series === 'metric'
  return defineTable({
    id,
    title,
    shelf: 'drills',
    about,
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source: metric ? 'bench-practice' : series === 'fraction' ? 'definition' : 'asme-b94-11m',
    confidence: metric ? 'medium' : 'high',
    ownership: metric ? 'preset' : 'fixed',
    rows: () => STANDARD_DRILLS.filter((drill) => drill.series === series).map(drillRow),
  })
}

/** Smallest number drill that leaves at least a clearance over a wire, as a cell: "#59 (+0.018)". */
function numberFor(wireMm: number, clearanceMm: number): string {
  const fits = STANDARD_DRILLS.filter((drill) => drill.series === 'number' && drill.diameterMm >= wireMm + clearanceMm - 1e-9)
  const best = fits.reduce<Drill | undefined>((least, drill) => (least && least.diameterMm <= drill.diameterMm ? least : drill), undefined)
  return best ? `${best.name} (+${(best.diameterMm - wireMm).toFixed(3)})` : ''
}

function nearestNumber(wireMm: number): string {
  const numbers = STANDARD_DRILLS.filter((drill) => drill.series === 'number')
  const best = numbers.reduce((near, drill) => (Math.abs(drill.diameterMm - wireMm) < Math.abs(near.diameterMm - wireMm) ? drill : near))
  const difference = best.diameterMm - wireMm
  return `${best.name} (${difference < 0 ? '−' : '+'}${Math.abs(difference).toFixed(3)})`
}

function wireRow(gauge: number): RowSpec {
  const value = gaugeToMm('B&S', gauge) ?? 0
  const under = nearestNumber(value).includes('−')
  return {
    id: String(gauge),
    name: `${gauge} ga wire`,
    value,
    cells: { snug: numberFor(value, 0), free: numberFor(value, 0.1), nearest: nearestNumber(value) },
    says: [`${gauge} ga wire`, `wire ${gauge} ga`],
    note: under ? 'The nearest number drill is smaller than the wire: tight, ream it or sand the wire; no clearance hole.' : undefined,
  }
}

function fitRow(id: (typeof FIT_IDS)[number]): RowSpec {
  const fit = FITS[id]
  const [least, most] = [FIGURES[`fit-${id}-least`], FIGURES[`fit-${id}-most`]]
  const show = (value: number) => (fit.share ? `${formatPlain(100 * value)} %` : `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(2)} mm`)
  return {
    id,
    name: fit.title,
    cells: { least: show(least?.preset ?? 0), most: show(most?.preset ?? 0), use: fit.use },
    says: [`${fit.title} fit`, id],
    confidence: least?.confidence ?? 'low',
  }
}

export const drillTables = [
  seriesTable(
    'drill-number',
    'number',
    'Number drills',
    'Inch sizes, exact: #1 is the largest. #54 is 0.0550 in and #55 is 0.0520: easily swapped.',
  ),
  seriesTable('drill-letter', 'letter', 'Letter drills', 'They go on upward from #1. E is a quarter inch.'),
  seriesTable('drill-fraction', 'fraction', 'Fractional drills', 'Every 64th of an inch to a half.'),
  seriesTable('drill-metric', 'metric', 'Metric drills', 'The usual steps. 1/16 in is 1.588, #52 is 1.613: neither is 1.6 mm.'),
  defineTable({
    id: 'wire-drill',
    title: 'Wire to drill',
    shelf: 'drills',
    about:
      'The smallest number drill that a wire goes into. Measured wire beats the gauge; holes in thin sheet come out 0.02 to 0.08 over.',
    unit: 'mm',
    valueLabel: 'wire, mm',
    columns: [
      { key: 'snug', label: 'snug: at least the wire' },
      { key: 'free', label: 'free: 0.10 over' },
      { key: 'nearest', label: 'nearest, and why not' },
    ],
    source: 'closed-form',
    confidence: 'high',
    ownership: 'preset',
    rows: () => [10, 12, 14, 16, 18, 20, 22, 24].map(wireRow),
  }),
  defineTable({
    id: 'hole-fit',
    title: 'Hole over pin',
    shelf: 'drills',
    about: 'How much wider the hole than the pin. Presets: put your own under Figures of the bench.',
    columns: [
      { key: 'least', label: 'from' },
      { key: 'most', label: 'to' },
      { key: 'use', label: 'for' },
    ],
    source: 'house-default',
    confidence: 'low',
    ownership: 'preset',
    rows: () => FIT_IDS.map(fitRow),
  }),
] as const
