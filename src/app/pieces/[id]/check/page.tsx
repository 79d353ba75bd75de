import { notFound } from 'next/navigation'
import { askedOutlines } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { FormCheckView } from '@/ui/record/form-check-view'

interface CheckPageProps {
  readonly params: Promise<{ id: string }>
}

export default async function CheckPage({ params }: CheckPageProps) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  return <FormCheckView pieceId={piece.id} outlines={askedOutlines(planDesign(piece.design, planOptions(repositories)))} />
}
