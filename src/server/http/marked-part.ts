import { type MarkedPart, markedParts } from '@/core/piece'
import type { Piece } from '../db/repositories'
import { planDesign, planOptions } from '../services/piece-plan'
import { workshop } from '../workshop'

/** The part of a piece that an address asks for, else the first that is cut from sheet. */
export function markedPartOf(request: Request, pieceId: number): { readonly piece: Piece; readonly part: MarkedPart } | undefined {
  const repositories = workshop()
  const piece = repositories.jobs.piece(pieceId)
  if (!piece) return undefined
  const parts = markedParts(piece.design, planDesign(piece.design, planOptions(repositories)))
  const asked = new URL(request.url).searchParams.get('part')
  const part = parts.find(({ part: id }) => id === asked) ?? parts[0]
  return part && { piece, part }
}
