import { notFound } from 'next/navigation'
import { answerDap } from '@/core/forming'
import { bentParts, curledParts, dappedParts, dapQuestion, shellParts } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { FormStation } from '@/ui/forming/form-station'

export default async function FormPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const plan = planDesign(piece.design, planOptions(repositories))
  const domed = dappedParts(plan).map((part) => ({ kind: 'domed', part, answer: answerDap(dapQuestion(part)) }) as const)
  const bent = bentParts(plan).map((part) => ({ kind: 'bent', part }) as const)
  const curled = curledParts(plan).map((part) => ({ kind: 'curled', part }) as const)
  const shells = shellParts(plan).map((part) => ({ kind: 'shell', part }) as const)
  return <FormStation key={`${piece.id}-${piece.revision}`} pieceId={piece.id} parts={[...domed, ...shells, ...curled, ...bent]} />
}
