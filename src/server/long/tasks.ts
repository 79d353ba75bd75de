import {
  answerLayout,
  findIllegal,
  type LayoutAnswer,
  type LayoutInput,
  type Placement,
  placedRegion,
  type Remnant,
  remnantsOf,
} from '@/core/layout'
import type { LayoutPrint } from '../export/layout-pdf'

/** Tells the one who waits how far a task is, 0 to 1. */
export type Tell = (share: number) => void

function pack(input: LayoutInput): LayoutAnswer {
  const began = performance.now()
  return answerLayout(input, () => (performance.now() - began) / 1000)
}

/** What a cut would leave of the first sheet, and what stands against it. */
function afterCut({ instance, placements }: { readonly instance: LayoutInput; readonly placements: readonly Placement[] }) {
  const illegal = findIllegal(instance, placements)
  const [sheet] = instance.sheets ?? []
  const items = new Map(instance.items.map((item) => [item.id, item]))
  const blanks = placements.flatMap((place) => {
    const item = items.get(place.id)
    return item ? [placedRegion(item, place)] : []
  })
  const remnants: Remnant[] = illegal.length === 0 && sheet ? remnantsOf(sheet, blanks, instance.kerfMm) : []
  return { illegal, remnants }
}

/** What may take long, and so runs in a thread of its own; each is handed its input and a way to tell how far it is. Inputs and answers are plain data; what one task alone needs is loaded by it. */
export const TASKS = {
  pack,
  afterCut,
  layoutPdf: async (print: LayoutPrint, tell: Tell) => (await import('../export/layout-pdf')).layoutPdf(print, tell),
  checkBackup: async (path: string, tell: Tell) => (await import('../db/check-backup')).checkBackup(path, tell),
}

export type TaskName = keyof typeof TASKS
export type TaskInput<N extends TaskName> = Parameters<(typeof TASKS)[N]>[0]
export type TaskOutput<N extends TaskName> = Awaited<ReturnType<(typeof TASKS)[N]>>
