import { notFound } from 'next/navigation'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { supplyFor } from '@/server/services/supply'
import { workshop } from '@/server/workshop'
import { SizeStation } from '@/ui/forms/size-station'

export default async function SizePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const plan = planDesign(piece.design, planOptions(repositories))
  const methods = plan.ok ? repositories.record.methodsOf(plan.result.form, plan.temper.alloy) : {}
  const losses = plan.ok ? repositories.record.losses(plan.result.form, plan.temper.alloy) : { begun: 0, lost: 0 }
  const supply = plan.ok ? supplyFor(repositories, plan.result, piece.quantity + piece.spares, piece.design.bought) : []
  return (
    <SizeStation
      key={piece.id}
      piece={piece}
      methods={methods}
      losses={losses}
      supply={supply}
      cardHref={`/api/pieces/${piece.id}/card?of=${repositories.workshopRow().uid}`}
    />
  )
}
