'use client'
import { useMemo, useState } from 'react'
import { type EtchChoices, etchPlan } from '@/core/etching'
import { type Mark, markPlan } from '@/core/marks'
import { etchQuestion, type MarkedPart, marksQuestion, type PieceDesign, withWork } from '@/core/piece'
import type { ActionInput } from '@/server/actions/perform'
import { usePieceSaving } from '../acting/use-piece-saving'
import { useWorkshop } from '../shared/workshop-context'

export interface MarkedPiece {
  readonly id: number
  readonly revision: number
  readonly canUndo: boolean
  readonly redoId: number | null
  readonly design: PieceDesign
  readonly parts: readonly MarkedPart[]
}

/** A change under the hands is written so soon after the last. */
const SAVE_MS = 500

/** The marks of a piece under the hands: where each blow goes, drawn as it is changed, and kept as revisions of the piece. */
export function useMarks(piece: MarkedPiece) {
  const { bench } = useWorkshop()
  const [design, setDesign] = useState(piece.design)
  const [partId, setPartId] = useState(piece.parts[0]?.part ?? '')
  const [chosen, setChosen] = useState(0)
  const saving = usePieceSaving(piece, () => setDesign(piece.design))
  const stored = piece.parts.find(({ part }) => part === partId) ?? (piece.parts[0] as MarkedPart)
  const own = design.parts.find(({ id }) => id === stored.part)
  const part = useMemo((): MarkedPart => ({ ...stored, marks: own?.marks ?? [], etch: own?.etch }), [stored, own?.marks, own?.etch])
  const answer = useMemo(
    () => (part.marks.length > 0 ? markPlan(marksQuestion(part, { owned: [...bench.tools], figures: part.figures })) : undefined),
    [part, bench.tools],
  )
  const etched = useMemo(() => {
    const asked = etchQuestion(part)
    return asked && etchPlan(asked)
  }, [part])
  const keepWork = (change: Parameters<typeof withWork>[2]) => {
    const next = withWork(design, part.part, change)
    setDesign(next)
    saving.saveSoon(() => ({ pieceId: piece.id, design: next as ActionInput<'saveDesign'>['design'] }), SAVE_MS)
  }
  const keep = (marks: readonly Mark[]) => keepWork({ marks })
  return {
    part,
    answer,
    etched,
    changeEtch: (etch: EtchChoices | undefined) => keepWork({ etch }),
    chosen: Math.min(chosen, Math.max(0, part.marks.length - 1)),
    state: saving.state,
    refusal: saving.refusal,
    stored: saving.stored,
    show: (id: string) => {
      setPartId(id)
      setChosen(0)
    },
    choose: setChosen,
    change: (at: number, mark: Mark) => keep(part.marks.map((one, i) => (i === at ? mark : one))),
    add: (mark: Mark) => {
      keep([...part.marks, mark])
      setChosen(part.marks.length)
    },
    remove: (at: number) => {
      keep(part.marks.filter((_, i) => i !== at))
      setChosen(Math.max(0, at - 1))
    },
    /** One change back or forward again; gives what stood in its way. */
    move: saving.move,
  }
}
export type BlankHand = ReturnType<typeof useMarks>
