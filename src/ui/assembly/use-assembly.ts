'use client'
import { useMemo, useState } from 'react'
import { type PieceDesign, planPiece } from '@/core/piece'
import type { ActionInput } from '@/server/actions/perform'
import { usePieceSaving } from '../acting/use-piece-saving'
import { useWorkshop } from '../shared/workshop-context'

export interface AssembledPiece {
  readonly id: number
  readonly name: string
  readonly quantity: number
  readonly spares: number
  readonly revision: number
  readonly canUndo: boolean
  readonly redoId: number | null
  readonly design: PieceDesign
}

/** A piece of several parts under the hands: its design as it stands here, its plan, and its saving as revisions. */
export function useAssembly(piece: AssembledPiece) {
  const { ringSystem, orderSchools, bench } = useWorkshop()
  const [design, setDesign] = useState<PieceDesign>(piece.design)
  const plan = useMemo(() => planPiece(design, { ringSystem, schools: orderSchools, ...bench }), [design, ringSystem, orderSchools, bench])
  const saving = usePieceSaving(piece, () => setDesign(piece.design))
  return {
    design,
    plan,
    state: saving.state,
    revision: saving.revision,
    refusal: saving.refusal,
    move: saving.move,
    keep: (next: PieceDesign) => {
      setDesign(next)
      saving.saveSoon(() => ({ pieceId: piece.id, design: next as ActionInput<'saveDesign'>['design'] }), 0)
    },
  }
}
export type AssemblyHand = ReturnType<typeof useAssembly>
