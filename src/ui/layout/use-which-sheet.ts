'use client'
import { useEffect, useRef, useState } from 'react'
import { netAreaMm2 } from '@/core/geometry'
import { isSameMetal, type LayoutInput, type Placement } from '@/core/layout'
import { packInWorkers } from '@/workers/pack-client'
import type { SheetChoice } from './use-layout'

/** What one sheet takes of a job. */
export interface SheetTry {
  readonly choice: SheetChoice
  /** What was laid; undefined where the search failed. */
  readonly placements: readonly Placement[] | undefined
  /** Blanks of its metal and thickness. */
  readonly wanted: number
}

/** Each sheet is searched so long. */
const SECONDS_A_SHEET = 2

const areaOf = ({ sheet }: SheetChoice) => netAreaMm2(sheet.outer, sheet.holes)

/** Tries sheets one after another, the smallest first, and tells of each as it is done; a second asking, or leaving, ends the first. */
export function useWhichSheet() {
  const [tries, setTries] = useState<readonly SheetTry[]>([])
  const [at, setAt] = useState<string>()
  const abort = useRef<AbortController>(undefined)
  useEffect(() => () => abort.current?.abort(), [])

  const look = async (instance: LayoutInput, sheets: readonly SheetChoice[]) => {
    abort.current?.abort()
    const stop = new AbortController()
    abort.current = stop
    setTries([])
    for (const choice of [...sheets].sort((a, b) => areaOf(a) - areaOf(b))) {
      setAt(choice.label)
      let best: readonly Placement[] | undefined = []
      const one: LayoutInput = { ...instance, seconds: SECONDS_A_SHEET, sheets: [choice.sheet] }
      await packInWorkers(one, stop.signal, (next) => {
        best = next
      }).catch(() => {
        best = undefined
      })
      if (stop.signal.aborted) break
      const wanted = instance.items.filter((item) => isSameMetal(item, choice.sheet)).reduce((sum, { qty }) => sum + qty, 0)
      const placements = best
      setTries((before) => [...before, { choice, placements, wanted }])
    }
    if (abort.current === stop) setAt(undefined)
  }
  return { tries, at, look, stop: () => abort.current?.abort() }
}
