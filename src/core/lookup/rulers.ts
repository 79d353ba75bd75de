import type { Confidence } from '../sources/sources'
import { findTable, type TableId } from '../tables/registry'
import type { Row, Table } from '../tables/table'

/** Scales that mean something side by side: drawn on one ruler so that the eye sees the gap between them. */
export interface Ruler {
  readonly id: RulerId
  readonly title: string
  readonly unit: 'mm' | 'µm' | '°C'
  /** What the ruler's own axis measures. */
  readonly axis: string
  readonly spacing: 'linear' | 'ratio'
  /** How far it is looked at to each side at first, as a share of the value. */
  readonly span: number
  readonly tables: readonly TableId[]
}

export const RULER_IDS = ['thickness', 'ring', 'grit', 'heat'] as const
export type RulerId = (typeof RULER_IDS)[number]

export const RULERS: Readonly<Record<RulerId, Ruler>> = {
  thickness: {
    id: 'thickness',
    title: 'Gauges and drills',
    unit: 'mm',
    axis: 'thickness or diameter, mm',
    spacing: 'linear',
    span: 0.3,
    tables: ['gauge-bs', 'gauge-swg', 'gauge-steel', 'drill-number', 'drill-fraction', 'drill-metric', 'drill-letter'],
  },
  ring: {
    id: 'ring',
    title: 'Ring scales',
    unit: 'mm',
    axis: 'inside diameter, mm',
    spacing: 'linear',
    span: 0.1,
    tables: ['ring-us', 'ring-uk', 'ring-iso', 'ring-japan', 'ring-continental'],
  },
  grit: {
    id: 'grit',
    title: 'Grits by micron',
    unit: 'µm',
    axis: 'median grain, µm',
    spacing: 'ratio',
    span: 0.3,
    tables: ['abrasive-fepa-p', 'abrasive-cami', 'abrasive-jis', 'abrasive-fepa-f', 'abrasive-film', 'polish'],
  },
  heat: {
    id: 'heat',
    title: 'Solder, metal, glow',
    unit: '°C',
    axis: 'temperature, °C',
    spacing: 'linear',
    span: 0.14,
    tables: ['solder-percent', 'solder-british', 'solder-gold', 'melting', 'glow', 'temper-colour'],
  },
}

export interface ScaleMark {
  readonly row: Row
  readonly value: number
}

export interface Scale {
  readonly table: Table
  readonly marks: readonly ScaleMark[]
}

const SCALES = new Map<RulerId, readonly Scale[]>()

/** The scales of a ruler with their marks in rising order; sorted once, since a key in the look-up asks for them. */
export function scalesOf(ruler: Ruler): readonly Scale[] {
  const known = SCALES.get(ruler.id) ?? sortScales(ruler)
  SCALES.set(ruler.id, known)
  return known
}

function sortScales(ruler: Ruler): Scale[] {
  return ruler.tables.flatMap((id) => {
    const table = findTable(id)
    if (!table) return []
    const marks = table.rows.flatMap((row): ScaleMark[] => (row.value === undefined ? [] : [{ row, value: row.value }]))
    return [{ table, marks: marks.sort((a, b) => a.value - b.value) }]
  })
}

/** The ruler a table is drawn on, if any. */
export function rulerOfTable(tableId: string): Ruler | undefined {
  return Object.values(RULERS).find((ruler) => (ruler.tables as readonly string[]).includes(tableId))
}

export interface Neighbour {
  readonly tableId: string
  readonly rowId: string
  readonly name: string
  readonly value: number
  /** Neighbour less the value asked for, in the ruler's unit. */
  readonly difference: number
  readonly confidence: Confidence
}

export interface Neighbours {
  readonly table: Table
  readonly below: Neighbour | null
  /** A mark within a thousandth of the value itself. */
  readonly same: Neighbour | null
  readonly above: Neighbour | null
}

const SAME_SHARE = 1e-3

/** On each scale of a ruler the marks next below and above a value, with the signed difference. */
export function neighboursOn(ruler: Ruler, value: number): Neighbours[] {
  return scalesOf(ruler).map(({ table, marks }) => {
    const toNeighbour = ({ row, value: at }: ScaleMark): Neighbour => ({
      tableId: table.id,
      rowId: row.id,
      name: row.name,
      value: at,
      difference: at - value,
      confidence: row.confidence,
    })
    const isSame = (mark: ScaleMark) => Math.abs(mark.value - value) <= SAME_SHARE * value
    const below = marks.findLast((mark) => mark.value < value && !isSame(mark))
    const above = marks.find((mark) => mark.value > value && !isSame(mark))
    const same = marks.find(isSame)
    return {
      table,
      below: below ? toNeighbour(below) : null,
      same: same ? toNeighbour(same) : null,
      above: above ? toNeighbour(above) : null,
    }
  })
}
