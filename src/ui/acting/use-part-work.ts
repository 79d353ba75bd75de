'use client'
import { useState } from 'react'
import { type AskedStep, type Before, changePart, ownStepId, type PieceDesign, planPiece, putOnRoute, withWork } from '@/core/piece'
import type { ActionInput } from '@/server/actions/perform'
import { useWorkshop } from '../shared/workshop-context'
import { usePieceSaving } from './use-piece-saving'

/** A piece whose parts are worked on beside their forms. */
export interface WorkedPiece {
  readonly id: number
  readonly revision: number
  readonly canUndo: boolean
  readonly redoId: number | null
  readonly design: PieceDesign
}

/** A change under the hands is written so soon after the last. */
const SAVE_MS = 500

/** A step of the smith's own gets a name that never comes again on any route. */
export function newStepId(op: string): string {
  const [number = 0] = crypto.getRandomValues(new Uint32Array(1))
  return ownStepId(op, number.toString(36))
}

/** What is done to the parts of a piece, under the hands: drawn as it is changed, kept as revisions of the piece, and put on its route when asked. */
export function usePartWork(piece: WorkedPiece) {
  const { ringSystem, orderSchools, bench } = useWorkshop()
  const [design, setDesign] = useState(piece.design)
  const saving = usePieceSaving(piece, () => setDesign(piece.design))
  const keep = (next: PieceDesign, inMs: number) => {
    setDesign(next)
    saving.saveSoon(() => ({ pieceId: piece.id, design: next as ActionInput<'saveDesign'>['design'] }), inMs)
  }
  return {
    design,
    state: saving.state,
    refusal: saving.refusal,
    stored: saving.stored,
    /** One change back or forward again; gives what stood in its way. */
    move: saving.move,
    keepWork: (part: string, change: Parameters<typeof withWork>[2]) => keep(withWork(design, part, change), SAVE_MS),
    /** Changes sizes of a part. */
    resize: (part: string, sizes: Readonly<Record<string, unknown>>) => {
      const input = design.parts.find(({ id }) => id === part)?.input
      keep(changePart(design, part, { input: { ...input, ...sizes } }), 0)
    },
    /** Puts what was planned for a part on the route of the piece: steps that are there take its figures, the others are put in. */
    toRoute: (part: string, asked: readonly AskedStep[], before: Before) => {
      const plan = planPiece(design, { ringSystem, schools: orderSchools, ...bench })
      keep(putOnRoute(design, plan, part, asked, { before, idFor: newStepId }), 0)
    },
  }
}
