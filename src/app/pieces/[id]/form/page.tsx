import { notFound } from 'next/navigation'
import { answerDap } from '@/core/forming'
import { dappedParts, dapQuestion } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { FormStation } from '@/ui/forming/form-station'

export default async function FormPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const parts = dappedParts(planDesign(piece.design, planOptions(repositories)))
  return (
    <FormStation
      key={`${piece.id}-${piece.revision}`}
      pieceId={piece.id}
      parts={parts.map((part) => ({ part, answer: answerDap(dapQuestion(part)) }))}
    />
  )
}
