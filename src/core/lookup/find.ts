import { parseSize, type SizeContext, type SizeReading } from '../sizes'
import { normaliseText } from '../sizes/numbers'
import { TABLES } from '../tables/registry'
import type { Row, Table } from '../tables/table'
import { type Conversion, convertAmount } from './conversions'
import { rulerOfTable } from './rulers'

/** A line of a table that answers what was typed. */
export interface Finding {
  readonly table: Table
  readonly row: Row
  /** `named`: it is called that. `near`: its size is next to it. `about`: the words speak of it. */
  readonly how: 'named' | 'near' | 'about'
  /** Of a near one: its value less what was typed, in the table's unit. */
  readonly difference?: number
}

export interface Found {
  readonly text: string
  /** What the text is as a size, where it is one. */
  readonly reading: SizeReading
  readonly findings: readonly Finding[]
  /** A weight or a temperature in g or °C; more than one where it could be either ounce. */
  readonly conversions: readonly Conversion[]
  /** Asked back where the text is called for on more than one scale. */
  readonly question: string | null
}

function keyOf(text: string): string {
  return normaliseText(text).toLowerCase().replace(/\s+/g, ' ')
}

interface Indexed {
  readonly table: Table
  readonly row: Row
}

interface Searchable extends Indexed {
  readonly words: string
}

interface Index {
  readonly byName: ReadonlyMap<string, readonly Indexed[]>
  readonly all: readonly Searchable[]
}

let built: Index | undefined

/** Every name and other way of saying it, made at the first question: from then on a look-up is one Map read. */
function index(): Index {
  if (built) return built
  const byName = new Map<string, Indexed[]>()
  const all: Searchable[] = []
  for (const table of TABLES) {
    for (const row of table.rows) {
      all.push({ table, row, words: ` ${keyOf([row.name, ...row.says, table.title].join(' '))} ` })
      for (const key of new Set([row.name, ...row.says].map(keyOf))) {
        const known = byName.get(key)
        if (known) known.push({ table, row })
        else byName.set(key, [{ table, row }])
      }
    }
  }
  built = { byName, all }
  return built
}

/** Families in which a bare size is worth looking up, each with how far off, as a share, still counts as near. */
const NEAR_SHARE: Readonly<Record<string, number>> = {
  'gauge-bs': 0.06,
  'gauge-swg': 0.06,
  'gauge-steel': 0.06,
  'drill-number': 0.03,
  'drill-fraction': 0.03,
  'drill-metric': 0.03,
  'drill-letter': 0.02,
  'ring-us': 0.006,
  'ring-uk': 0.006,
  'ring-iso': 0.006,
  'bangle-size': 0.02,
  'saw-blade': 0.08,
}

function nearRows(mm: number): Finding[] {
  return TABLES.flatMap((table) => {
    const reach = NEAR_SHARE[table.id]
    if (reach === undefined) return []
    const rows: readonly Row[] = table.rows
    const near = rows.flatMap((row): Finding[] =>
      row.value !== undefined && Math.abs(row.value - mm) <= reach * mm ? [{ table, row, how: 'near', difference: row.value - mm }] : [],
    )
    return near.sort((a, b) => Math.abs(a.difference ?? 0) - Math.abs(b.difference ?? 0)).slice(0, 2)
  })
}

const MOST_ABOUT = 24

/** Rows whose words begin with every word typed; a number must stand there whole. */
function aboutRows(key: string): Finding[] {
  const words = key.split(' ')
  if (/^[\d./#"-]+$/.test(key)) return []
  return index()
    .all.filter((item) => words.every((word) => item.words.includes(/^\d/.test(word) ? ` ${word} ` : ` ${word}`)))
    .slice(0, MOST_ABOUT)
    .map(({ table, row }) => ({ table, row, how: 'about' as const }))
}

function withoutRepeats(findings: readonly Finding[]): Finding[] {
  const seen = new Set<string>()
  return findings.filter(({ table, row }) => {
    const key = `${table.id}/${row.id}`
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}

/** Scales on which one number means different things: naming it alone is a question. */
function questionFor(text: string, named: readonly Finding[]): string | null {
  const scales = new Map(named.filter(({ table }) => rulerOfTable(table.id)).map(({ table, row }) => [table.id, row.name]))
  if (scales.size < 2) return null
  return `Which ${text}? It stands on ${scales.size} scales: ${[...scales.values()].join(', ')}.`
}

/** "18 ct" is a weight of stones and a gold: nobody can tell which. */
function caratQuestion(text: string, conversions: readonly Conversion[], named: readonly Finding[]): string | null {
  const gold = named.find(({ table }) => table.id === 'fineness')
  const [weight] = conversions
  return gold && weight ? `Which ${text}? ${weight.text}, or ${gold.row.name}, marked ${gold.row.cells.mark}.` : null
}

/** The blades whose teeth are nearest to so many in the centimetre. */
function teethRows(conversions: readonly Conversion[]): Finding[] {
  const teeth = conversions.find(({ unit }) => unit === '/cm')?.value
  const blades = TABLES.find((table) => table.id === 'saw-blade')
  if (teeth === undefined || !blades) return []
  const rows: readonly Row[] = blades.rows
  const off = (row: Row) => Math.abs(Math.log(Number(row.cells.teeth) / teeth))
  return [...rows]
    .sort((a, b) => off(a) - off(b))
    .slice(0, 2)
    .map((row) => ({ table: blades, row, how: 'near' as const, difference: Number(row.cells.teeth) - teeth }))
}

/**
 * Finds what a smith typed in every table: by name ("18", "#60", "N", "P600", "easy"), by size ("1.02", "1/16 in") with the signed
 * difference, and by words ("sterling density"). An off-scale or unreadable text gives no findings and the reading says why.
 */
export function findInTables(raw: string, context: SizeContext = {}): Found {
  const text = normaliseText(raw)
  const key = keyOf(raw)
  const reading = parseSize(text, context)
  if (key === '') return { text, reading, findings: [], conversions: [], question: null }
  const named = (index().byName.get(key) ?? []).map(({ table, row }): Finding => ({ table, row, how: 'named' }))
  const near = 'mm' in reading ? nearRows(reading.mm) : []
  const conversions = convertAmount(text)
  const ounce = conversions.length > 1 ? `Which ounce? ${conversions.map((item) => item.text).join(', or ')}.` : null
  const carat = caratQuestion(text, conversions, named)
  return {
    text,
    reading,
    conversions,
    findings: withoutRepeats([...named, ...near, ...teethRows(conversions), ...aboutRows(key)]),
    question: ounce ?? carat ?? questionFor(text, named),
  }
}
