/** A cell: words, a figure, or nothing. */
export type CellValue = string | number | null

/** A column of a table, as every table of the program describes one. */
export interface GridColumn {
  readonly key: string
  readonly title: string
  /** Figures stand at the right in the mono and are sorted as numbers; days are written in the browser's language. */
  readonly kind?: 'words' | 'figure' | 'day'
  /** Decimals of a figure. */
  readonly decimals?: number
  /** A figure with its sign, whichever it is. */
  readonly signed?: true
  /** Share of the room beside the other columns; 1 where nothing is said. */
  readonly wide?: number
}

/** A row: its cells by the columns' keys, where it leads, and whether it is the one that was looked for. */
export interface GridRow {
  readonly id: string | number
  readonly cells: Readonly<Record<string, CellValue>>
  readonly href?: string
}

export interface DataTableProps {
  readonly label: string
  readonly columns: readonly GridColumn[]
  readonly rows: readonly GridRow[]
  /** Shown in its place, and for what it is. */
  readonly shown?: string | number | undefined
  readonly onPick?: (id: string | number) => void
  /** What stands there where there are no rows. */
  readonly empty?: string
  /** Height in px; as high as its place where nothing is said. */
  readonly height?: number
}
