import Typography from '@mui/material/Typography'
import { notFound } from 'next/navigation'
import { surfacedParts } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { FinishStation } from '@/ui/surface/finish-station'

export default async function FinishPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const plan = planDesign(piece.design, planOptions(repositories))
  const parts = surfacedParts(piece.design, plan)
  if (parts.length === 0)
    return <Typography sx={{ p: 3 }}>No part of this piece is worked out yet: its sizes come first, at the station Size.</Typography>
  const { revision, canUndo, redoId, design } = piece
  return (
    <FinishStation
      key={piece.id}
      piece={{ id: piece.id, revision, canUndo, redoId, design, parts, swatches: repositories.swatches.all() }}
    />
  )
}
