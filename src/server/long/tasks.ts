import { answerLayout, findIllegal, type LayoutAnswer, type LayoutInput, type Placement, type Remnant, remnantsOf } from '@/core/layout'
import { type LineChoices, placedBlanks, sawPlan } from '@/core/sawing'
import { planDay, type ScheduleAnswer, type ScheduleInput } from '@/core/schedule'
import type { OwnFigures } from '@/core/tables'
import type { OwnTool } from '@/core/toolwall'
import type { LayoutPrint } from '../export/layout-pdf'

/** Tells the one who waits how far a task is, 0 to 1. */
export type Tell = (share: number) => void

function pack(input: LayoutInput): LayoutAnswer {
  const began = performance.now()
  return answerLayout(input, () => (performance.now() - began) / 1000)
}

function day(input: ScheduleInput): ScheduleAnswer {
  const began = performance.now()
  return planDay(input, () => (performance.now() - began) / 1000)
}

interface OutlineTask {
  readonly bytes: Uint8Array
  readonly isDrawing: boolean
  readonly options: unknown
}

interface CutTask {
  readonly instance: LayoutInput
  readonly placements: readonly Placement[]
  readonly lines: LineChoices
  /** Of the saw. Blanks may have to lie further apart, for other ways to cut them. */
  readonly kerfMm: number
  readonly tools: readonly OwnTool[]
  readonly figures: OwnFigures
}

/** What a cut would leave of the first sheet, how much metal it saws through, and what stands against it. */
function afterCut({ instance, placements, lines, kerfMm, tools, figures }: CutTask) {
  const illegal = findIllegal(instance, placements)
  const [sheet] = instance.sheets ?? []
  if (illegal.length > 0 || !sheet) return { illegal, remnants: [] as Remnant[], sawnMm2: 0 }
  const blanks = placedBlanks(instance, placements, (id) => id)
  const { thicknessMm } = sheet
  const { sawnMm } = sawPlan({ sheet, thicknessMm, kerfMm, blanks, lines, tools, figures })
  return { illegal, remnants: remnantsOf(sheet, blanks, instance.kerfMm), sawnMm2: sawnMm * thicknessMm }
}

/** What may take long, and so runs in a thread of its own; each is handed its input and a way to tell how far it is. Inputs and answers are plain data; what one task alone needs is loaded by it. */
export const TASKS = {
  pack,
  day,
  afterCut,
  outline: async ({ bytes, isDrawing, options }: OutlineTask) =>
    (await import('../../files/outline-of-bytes')).outlineOfBytes(bytes, isDrawing, options),
  layoutPdf: async (print: LayoutPrint, tell: Tell) => (await import('../export/layout-pdf')).layoutPdf(print, tell),
  zipOut: async ({ path, to }: { readonly path: string; readonly to: string }, tell: Tell) =>
    (await import('../db/portable-zip')).zipOut(path, to, tell),
  zipIn: async ({ zip, copy }: { readonly zip: string; readonly copy: string }, tell: Tell) =>
    (await import('../db/portable-zip')).zipIn(zip, copy, tell),
  checkBackup: async (path: string, tell: Tell) => (await import('../db/check-backup')).checkBackup(path, tell),
}

export type TaskName = keyof typeof TASKS
export type TaskInput<N extends TaskName> = Parameters<(typeof TASKS)[N]>[0]
export type TaskOutput<N extends TaskName> = Awaited<ReturnType<(typeof TASKS)[N]>>
