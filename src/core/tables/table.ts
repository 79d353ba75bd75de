import type { Confidence, SourceId } from '../sources/sources'
import type { Unit } from '../units/unit'

/** Who may change a value: nobody (a definition or a standard), a copy of it, or it gives way to what the smith measured. */
export type Ownership = 'fixed' | 'preset' | 'own'

export type Cell = number | string

export interface Column {
  readonly key: string
  readonly label: string
  readonly unit?: Unit
  /** Digits after the point when shown. */
  readonly digits?: number
  /** Sentences: a card for the wall leaves them out. */
  readonly isLong?: boolean
}

/** One line of a table. `value` is its principal number in the table's unit; `says` are the other ways to type it. */
export interface Row {
  readonly id: string
  readonly name: string
  readonly value?: number
  readonly cells: Readonly<Record<string, Cell>>
  readonly says: readonly string[]
  readonly source: SourceId
  readonly confidence: Confidence
  readonly ownership: Ownership
  readonly note?: string
}

export const SHELVES = {
  gauges: 'Gauges',
  drills: 'Drills and holes',
  rings: 'Rings',
  worn: 'Bangles, cuffs, chains',
  saws: 'Saw blades',
  abrasives: 'Abrasives',
  heat: 'Solder and heat',
  baths: 'Pickle and patina',
  tools: 'Tools',
  metals: 'Metals and weight',
  stones: 'Stones and settings',
  rivets: 'Rivets',
} as const
export type Shelf = keyof typeof SHELVES

export interface Table {
  readonly id: string
  readonly title: string
  readonly shelf: Shelf
  /** One or two sentences: what it is for, and the trap in it. */
  readonly about: string
  /** Unit of each row's `value`; absent where a row has no principal number. */
  readonly unit?: Unit
  readonly valueLabel: string
  readonly valueDigits: number
  readonly columns: readonly Column[]
  readonly rows: readonly Row[]
  readonly source: SourceId
  readonly confidence: Confidence
  readonly ownership: Ownership
  /** Whether its rows are figures that one's own can be put beside. */
  readonly takesOwn?: true
}

export interface RowSpec {
  readonly id: string
  readonly name: string
  readonly value?: number | undefined
  readonly cells?: Readonly<Record<string, Cell | undefined>>
  readonly says?: readonly string[]
  readonly source?: SourceId
  readonly confidence?: Confidence
  readonly ownership?: Ownership
  readonly note?: string | undefined
}

export interface TableSpec<Id extends string> extends Omit<Table, 'id' | 'rows' | 'valueDigits' | 'valueLabel' | 'columns'> {
  readonly id: Id
  readonly valueLabel?: string
  readonly valueDigits?: number
  readonly columns?: readonly Column[]
  /** Made when the table is first opened: most calls open one or none. */
  readonly rows: () => readonly RowSpec[]
}

function knownCells(cells: RowSpec['cells']): Record<string, Cell> {
  return Object.fromEntries(Object.entries(cells ?? {}).filter((cell): cell is [string, Cell] => cell[1] !== undefined))
}

function rowOf(row: RowSpec, table: Pick<Table, 'source' | 'confidence' | 'ownership'>): Row {
  return {
    id: row.id,
    name: row.name,
    cells: knownCells(row.cells),
    says: row.says ?? [],
    source: row.source ?? table.source,
    confidence: row.confidence ?? table.confidence,
    ownership: row.ownership ?? table.ownership,
    ...(row.value === undefined ? {} : { value: row.value }),
    ...(row.note ? { note: row.note } : {}),
  }
}

/** A table ready for the registry: every row carries its own source, confidence and ownership, the table's where it names none. */
export function defineTable<const Id extends string>({ rows, ...spec }: TableSpec<Id>): Table & { readonly id: Id } {
  let made: readonly Row[] | undefined
  return {
    valueLabel: '',
    valueDigits: 3,
    columns: [],
    ...spec,
    get rows() {
      made ??= rows().map((row) => rowOf(row, spec))
      return made
    },
  }
}
