'use client'
import { useState } from 'react'
import type { BoughtTemper } from '@/core/metals'
import { type DesignStep, editsBetween, isUnedited, type PieceDesign, planPiece } from '@/core/route'
import type { ActionInput } from '@/server/actions/perform'
import { useAct } from '../acting/act-provider'
import { usePieceSaving } from '../acting/use-piece-saving'
import { useWorkshop } from '../shared/workshop-context'

export interface RoutedPiece {
  readonly id: number
  readonly quantity: number
  readonly spares: number
  readonly revision: number
  readonly design: PieceDesign & { readonly orderNote?: string | undefined }
}

/** A piece's route under the hands: its steps, what is kept of them, and the tray that starts from what is kept. */
export function useRoute(piece: RoutedPiece) {
  const { ringSystem, bench } = useWorkshop()
  const act = useAct()
  const plan = planPiece(piece.design, { ringSystem, ...bench })
  const [steps, setSteps] = useState<readonly DesignStep[]>(plan.ok ? plan.steps : [])
  const [bought, setBought] = useState<BoughtTemper>(piece.design.bought)
  const [note, setNote] = useState(piece.design.orderNote ?? '')
  const [problem, setProblem] = useState('')
  const saving = usePieceSaving(piece, () => {
    if (plan.ok) setSteps(plan.steps)
    setBought(piece.design.bought)
    setNote(piece.design.orderNote ?? '')
  })
  function keep(next: { steps?: readonly DesignStep[]; bought?: BoughtTemper; note?: string }) {
    if (next.steps) setSteps(next.steps)
    if (next.bought) setBought(next.bought)
    const unfit = new Set(plan.ok ? plan.misfits.map((misfit) => misfit.id) : [])
    const changed = piece.design.route?.changed.filter((change) => !unfit.has(change.id))
    const edits = plan.ok && next.steps ? editsBetween(plan.base, next.steps, changed) : piece.design.route
    const design = {
      ...piece.design,
      bought: next.bought ?? bought,
      route: edits && !isUnedited(edits) ? edits : undefined,
      orderNote: next.note ?? note,
    }
    setProblem('')
    saving.saveSoon(() => ({ pieceId: piece.id, design: design as ActionInput<'saveDesign'>['design'] }), 0)
  }
  /** Starts a tray from the route as it stands here; never from one that is still on its way. */
  async function startTray(onStarted: (trayId: number) => void) {
    setProblem('')
    if (!(await saving.stored())) return
    const asked = { pieceId: piece.id, size: piece.quantity + piece.spares }
    const started = await act('startTray', asked, { revision: saving.revision.current, quiet: true })
    if (started.ok) onStarted(started.trayId)
    else setProblem(started.message)
  }
  /** One change of the piece back, or forward again. */
  const move = async (way: 'undo' | 'redo') => setProblem(await saving.move(way))
  return { move, state: saving.state, plan, bench, steps, bought, note, setNote, problem: saving.refusal || problem, keep, startTray }
}
