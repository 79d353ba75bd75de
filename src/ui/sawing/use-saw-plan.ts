'use client'
import { useEffect, useMemo, useState } from 'react'
import { useStore } from 'zustand'
import type { LayoutSheet } from '@/core/layout'
import { type BladesBroken, type LineChoice, type LineChoices, type PlacedBlank, sawPlan } from '@/core/sawing'
import type { OwnFigures } from '@/core/tables'
import type { OwnTool } from '@/core/toolwall'
import { createHistory } from '../acting/history-store'
import { useSaving } from '../acting/use-saving'
import { useWorkshop } from '../shared/workshop-context'

/** A layout whose saw plan is looked at. */
export interface SawnLayout {
  readonly id: number
  readonly revision: number
  /** Cut already: its lines stay as they were cut. */
  readonly isCut: boolean
  readonly sheet: LayoutSheet
  readonly label: string
  readonly kerfMm: number
  readonly blanks: readonly PlacedBlank[]
  readonly lines: LineChoices
  readonly tools: readonly OwnTool[]
  readonly figures: OwnFigures
  readonly bladesBroken: BladesBroken | undefined
}

/** A choice is written so soon. */
const SAVE_MS = 400

/** The keys of the cuts that are made, kept in this browser. */
function useMade(keepAs: string) {
  const [made, setMade] = useState<readonly string[]>([])
  useEffect(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(keepAs) ?? '[]')
      if (Array.isArray(kept)) setMade(kept.filter((key): key is string => typeof key === 'string'))
    } catch {
      // what cannot be read is begun anew
    }
  }, [keepAs])
  const keep = (next: readonly string[]) => {
    setMade(next)
    localStorage.setItem(keepAs, JSON.stringify(next))
  }
  return [made, keep] as const
}

/** The plan under the hands: what is chosen for its lines with undo, and how far the sawing is. */
export function useSawPlan(layout: SawnLayout) {
  const { uid } = useWorkshop()
  const [history] = useState(() => createHistory<{ readonly lines: LineChoices }>({ lines: layout.lines }))
  const { lines } = useStore(history)
  const canUndo = useStore(history.temporal, ({ pastStates }) => pastStates.length > 0)
  const saving = useSaving({
    name: 'chooseCuts',
    keepAs: `cuts-${uid}-${layout.id}`,
    revision: layout.revision,
    onNewer: () => {
      history.setState({ lines: layout.lines })
      history.temporal.getState().clear()
    },
  })
  const { sheet, kerfMm, blanks, tools, figures, bladesBroken } = layout
  const plan = useMemo(
    () => sawPlan({ sheet, thicknessMm: sheet.thicknessMm, kerfMm, blanks, lines, tools, figures, bladesBroken }),
    [sheet, kerfMm, blanks, lines, tools, figures, bladesBroken],
  )
  const [made, keepMade] = useMade(`sawn-${uid}-${layout.id}`)
  const save = () => saving.saveSoon(() => ({ id: layout.id, lines: history.getState().lines }), SAVE_MS)
  const left = plan.cuts.filter(({ key }) => !made.includes(key))
  const [shown, setShown] = useState<string>()
  const current = plan.cuts.find(({ key }) => key === shown) ?? left[0]
  return {
    plan,
    made,
    current,
    left: left.length,
    state: saving.state,
    refusal: saving.refusal,
    canUndo,
    undo: () => {
      history.temporal.getState().undo()
      save()
    },
    choose: (line: string, change: LineChoice) => {
      history.setState({ lines: { ...lines, [line]: { ...lines[line], ...change } } })
      save()
    },
    show: setShown,
    /** This cut is made, and the next comes up. */
    next: () => {
      if (current && !made.includes(current.key)) keepMade([...made, current.key])
      setShown(undefined)
    },
    back: () => {
      keepMade(made.slice(0, -1))
      setShown(undefined)
    },
    beginAnew: () => {
      keepMade([])
      setShown(undefined)
    },
  }
}
