'use client'
import { netAreaMm2 } from '@/core/geometry'
import { isSameMetal, type LayoutInput, type Placement } from '@/core/layout'
import { bestPacked } from '@/workers/pack-client'
import type { SheetChoice } from './layout-setup'
import { useOneByOne } from './use-one-by-one'

/** What one sheet takes of a job. */
export interface SheetTry {
  readonly choice: SheetChoice
  /** What was laid. */
  readonly placements: readonly Placement[]
  /** Blanks of its metal and thickness. */
  readonly wanted: number
}

/** Each sheet is searched so long. */
const SECONDS_A_SHEET = 2

const areaOf = ({ sheet }: SheetChoice) => netAreaMm2(sheet.outer, sheet.holes)

/** Tries sheets one after another, the smallest first, and tells of each as it is done. */
export function useWhichSheet(instance: LayoutInput) {
  const { done, failed, at, lookAt, stop } = useOneByOne<SheetChoice, SheetTry>(
    ({ label }) => label,
    async (choice, signal) => {
      const placements = await bestPacked({ ...instance, seconds: SECONDS_A_SHEET, sheets: [choice.sheet] }, signal)
      const wanted = instance.items.filter((item) => isSameMetal(item, choice.sheet)).reduce((sum, { qty }) => sum + qty, 0)
      return { choice, placements, wanted }
    },
  )
  return {
    tries: done,
    failed,
    at,
    look: (sheets: readonly SheetChoice[]) => lookAt([...sheets].sort((a, b) => areaOf(a) - areaOf(b))),
    stop,
  }
}
