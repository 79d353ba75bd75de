import { isSameMetal, type LayoutItem, type LayoutSheet, type Placement } from '@/core/layout'

export interface SheetChoice {
  readonly id: number
  readonly label: string
  readonly alloy: string
  readonly thicknessMm: number
  readonly sheet: LayoutSheet
  /** What other jobs have lying there. */
  readonly reserved: readonly { readonly jobId: number; readonly jobTitle: string; readonly count: number }[]
}

/** A job's layout that is not cut yet. */
export interface DraftLayout {
  readonly id: number
  readonly revision: number
  readonly sheetId: number
  readonly placements: readonly Placement[]
}

export interface LayoutSetup {
  readonly jobId: number
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly sheets: readonly SheetChoice[]
  readonly draft: DraftLayout | null
  readonly kerfMm: number
  /** What blanks must have between them: the kerf, or more for other ways to cut them than the saw. */
  readonly gapMm: number
  readonly marginMm: number
}

type Differs = 'nothing' | 'thickness' | 'metal'
const ORDER: readonly Differs[] = ['nothing', 'thickness', 'metal']

/** What is different about a sheet: nothing where a blank is of its metal and, within rolling tolerance, its thickness. */
export function whatDiffers(sheet: SheetChoice, items: LayoutSetup['items']): Differs {
  if (!items.some(({ item }) => item.alloy === sheet.alloy)) return 'metal'
  return items.some(({ item }) => isSameMetal(item, sheet.sheet)) ? 'nothing' : 'thickness'
}

/** The sheets, those that match first. */
export function inOrder(sheets: readonly SheetChoice[], items: LayoutSetup['items']): readonly SheetChoice[] {
  return [...sheets].sort((a, b) => ORDER.indexOf(whatDiffers(a, items)) - ORDER.indexOf(whatDiffers(b, items)))
}
