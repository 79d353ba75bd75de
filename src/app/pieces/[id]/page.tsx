import { notFound } from 'next/navigation'
import { growthsFor } from '@/server/services/own-record'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { SizeStation } from '@/ui/forms/size-station'

export default async function SizePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const plan = planDesign(piece.design, planOptions(repositories))
  const growths = plan.ok ? growthsFor(repositories, plan.result.form, plan.temper.alloy) : {}
  return <SizeStation key={piece.id} piece={piece} growths={growths} cardHref={`/api/pieces/${piece.id}/card`} />
}
