'use client'
import { useMemo, useState } from 'react'
import {
  changeParams,
  type DesignPart,
  type PieceDesign,
  type PiecePlan,
  planPiece,
  type WantedRoute,
  wantedOf,
  withRoute,
} from '@/core/piece'
import type { ActionInput } from '@/server/actions/perform'
import { useAct } from '../acting/act-provider'
import { usePieceSaving } from '../acting/use-piece-saving'
import { useWorkshop } from '../shared/workshop-context'

export interface RoutedPiece {
  readonly id: number
  readonly quantity: number
  readonly spares: number
  readonly revision: number
  readonly design: PieceDesign
}

/** A piece's route under the hands: the design as it stands here, its plan, and the tray that starts from what is kept. */
export function useRoute(piece: RoutedPiece) {
  const { ringSystem, orderSchools, bench } = useWorkshop()
  const act = useAct()
  const [design, setDesign] = useState<PieceDesign>(piece.design)
  const [problem, setProblem] = useState('')
  const options = useMemo(() => ({ ringSystem, schools: orderSchools, ...bench }), [ringSystem, orderSchools, bench])
  const plan: PiecePlan = useMemo(() => planPiece(design, options), [design, options])
  const saving = usePieceSaving(piece, () => setDesign(piece.design))
  function keepDesign(next: PieceDesign) {
    setDesign(next)
    setProblem('')
    saving.saveSoon(() => ({ pieceId: piece.id, design: next as ActionInput<'saveDesign'>['design'] }), 0)
  }
  const wanted = useMemo(() => wantedOf(plan, design), [plan, design])
  const keep = (next: WantedRoute) => keepDesign(withRoute(design, plan, next))
  return {
    plan,
    wanted,
    keep,
    setParams: (id: string, params: Readonly<Record<string, unknown>>) => keep(changeParams(plan, wanted, id, params)),
    setPart: (id: string, change: Partial<DesignPart>) =>
      keepDesign({ ...design, parts: design.parts.map((part) => (part.id === id ? { ...part, ...change } : part)) }),
    state: saving.state,
    problem: saving.refusal || problem,
    /** One change of the piece back, or forward again. */
    move: async (way: 'undo' | 'redo') => setProblem(await saving.move(way)),
    /** Starts a tray from the route as it stands here; never from one that is still on its way. */
    startTray: async (onStarted: (trayId: number) => void) => {
      setProblem('')
      if (!(await saving.stored())) return
      const asked = { pieceId: piece.id, size: piece.quantity + piece.spares }
      const started = await act('startTray', asked, { revision: saving.revision.current, quiet: true })
      if (started.ok) onStarted(started.trayId)
      else setProblem(started.message)
    },
  }
}
export type RouteHand = ReturnType<typeof useRoute>
