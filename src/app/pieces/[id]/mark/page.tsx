import Typography from '@mui/material/Typography'
import { notFound } from 'next/navigation'
import { markedParts } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { MarkStation } from '@/ui/marking/mark-station'

export default async function MarkPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const parts = markedParts(piece.design, planDesign(piece.design, planOptions(repositories)))
  if (parts.length === 0)
    return <Typography sx={{ p: 3 }}>No part of this piece is cut from sheet yet: its sizes come first, at the station Size.</Typography>
  const { revision, canUndo, redoId, design } = piece
  return <MarkStation key={piece.id} piece={{ id: piece.id, revision, canUndo, redoId, design, parts, runs: repositories.baths.runs() }} />
}
