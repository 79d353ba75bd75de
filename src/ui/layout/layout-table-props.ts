import type { CutView } from './cut-already'
import type { LayoutSetup } from './layout-setup'
import type { GoneSheet } from './sheet-words'

/** A job's layout as its page is given it: its blanks, the sheets of the drawer, and what was cut. */
export interface LayoutTableProps extends LayoutSetup {
  readonly jobs: readonly { readonly id: number; readonly title: string }[]
  readonly items: readonly (LayoutSetup['items'][number] & { readonly pieceId: number })[]
  readonly cut: readonly CutView[]
  /** Where the draft's sheet is no longer whole: what happened, and what is left of it. */
  readonly gone: GoneSheet | null
  /** The smith's own blade for this metal, where the wall has one. */
  readonly ownBlade: string | null
}
