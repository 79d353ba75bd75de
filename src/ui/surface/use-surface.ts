'use client'
import { useMemo, useState } from 'react'
import { firstSurface, type SurfacedPart, surfaceQuestion, surfaceSteps, textureOf, thicknessFrom } from '@/core/piece'
import { type SurfaceChoices, surfacePlan } from '@/core/surface'
import type { OwnSwatch } from '@/server/db/repositories'
import { usePartWork, type WorkedPiece } from '../acting/use-part-work'
import { useWorkshop } from '../shared/workshop-context'

export interface SurfacedPiece extends WorkedPiece {
  readonly parts: readonly SurfacedPart[]
  /** The smith's own swatch book. */
  readonly swatches: readonly OwnSwatch[]
}

/** The surface of a part under the hands: its faces, its colour, and what they come to. */
export function useSurface(piece: SurfacedPiece) {
  const { bench } = useWorkshop()
  const [partId, setPartId] = useState(piece.parts[0]?.part ?? '')
  const [chosen, setChosen] = useState(0)
  const { design, keepWork, resize, toRoute, ...saving } = usePartWork(piece)
  const stored = piece.parts.find(({ part }) => part === partId) ?? (piece.parts[0] as SurfacedPart)
  const own = design.parts.find(({ id }) => id === stored.part)?.surface
  const part = useMemo((): SurfacedPart => ({ ...stored, choices: own }), [stored, own])
  const answered = useMemo(() => {
    const asked = surfaceQuestion(part, { owned: bench.tools, figures: bench.figures })
    return asked && surfacePlan(asked)
  }, [part, bench])
  const answer = answered?.ok ? answered.answer : undefined
  const asked = useMemo(() => (answer ? surfaceSteps(part, answer) : []), [part, answer])
  const texture = useMemo(() => textureOf(part, part.choices?.texture), [part])
  const change = (surface: SurfaceChoices | undefined) => keepWork(part.part, { surface })
  return {
    ...saving,
    part,
    answer,
    /** Why there is no answer, by field. */
    issues: answered && !answered.ok ? answered.issues : [],
    asked,
    /** How its sheet is textured, where it is. */
    texture,
    chosen,
    choose: setChosen,
    show: (id: string) => {
      setPartId(id)
      setChosen(0)
    },
    begin: () => change(firstSurface(part)),
    change,
    toRoute: () => toRoute(part.part, asked, 'setting'),
    /** Makes the part of sheet so thick, which ends as thick as its texture leaves it. */
    ofSheet: (sheetMm: number) => {
      const chosen = part.choices?.texture
      if (chosen) resize(part.part, { thicknessMm: thicknessFrom(sheetMm, chosen) })
    },
    textureToRoute: () => texture && toRoute(part.part, texture.steps, texture.before),
  }
}
export type SurfaceHand = ReturnType<typeof useSurface>
