'use client'
import { useMemo, useState } from 'react'
import { type EtchChoices, etchPlan } from '@/core/etching'
import { checkedMarks, layMarks, type Mark, type PlacedMark } from '@/core/marks'
import { etchQuestion, etchSteps, type LoggedRun, type MarkedPart, markSteps, marksQuestion } from '@/core/piece'
import { usePartWork, type WorkedPiece } from '../acting/use-part-work'
import { usePainted } from '../shared/use-painted'
import { useWorkshop } from '../shared/workshop-context'

export interface MarkedPiece extends WorkedPiece {
  readonly parts: readonly MarkedPart[]
  /** What was etched in the workshop’s baths. */
  readonly runs: readonly LoggedRun[]
}

const NO_BLOWS: readonly PlacedMark[] = []

/** The marks of a piece under the hands: where each blow goes, drawn as it is changed, and kept as revisions of the piece. */
export function useMarks(piece: MarkedPiece) {
  const { bench } = useWorkshop()
  const [partId, setPartId] = useState(piece.parts[0]?.part ?? '')
  const [chosen, setChosen] = useState(0)
  const { design, keepWork, toRoute, ...saving } = usePartWork(piece)
  const stored = piece.parts.find(({ part }) => part === partId) ?? (piece.parts[0] as MarkedPart)
  const own = design.parts.find(({ id }) => id === stored.part)
  const part = useMemo((): MarkedPart => ({ ...stored, marks: own?.marks ?? [], etch: own?.etch }), [stored, own?.marks, own?.etch])
  const laid = useMemo(
    () => (part.marks.length > 0 ? layMarks(marksQuestion(part, { owned: [...bench.tools], figures: part.figures })) : undefined),
    [part, bench.tools],
  )
  // the blows are drawn under the hand; what stands against them is worked out and written beside it after that
  const drawn = usePainted(laid)
  const answer = useMemo(() => drawn && checkedMarks(drawn), [drawn])
  const etched = useMemo(() => {
    const asked = etchQuestion(part, piece.runs)
    return asked && etchPlan(asked)
  }, [part, piece.runs])
  const keep = (marks: readonly Mark[]) => keepWork(part.part, { marks })
  const asked = useMemo(() => [...markSteps(part), ...etchSteps(part, etched)], [part, etched])
  return {
    ...saving,
    part,
    /** Every blow as it goes on the blank. */
    blows: laid?.marks ?? NO_BLOWS,
    /** What is said of them. */
    answer,
    etched,
    /** What its marks and its etch ask for on the route. */
    asked,
    toRoute: () => toRoute(part.part, asked, 'forming'),
    changeEtch: (etch: EtchChoices | undefined) => keepWork(part.part, { etch }),
    chosen: Math.min(chosen, Math.max(0, part.marks.length - 1)),
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
  }
}
export type BlankHand = ReturnType<typeof useMarks>
