import { notFound } from 'next/navigation'
import { methodsOf } from '@/server/services/own-record'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { supplyFor } from '@/server/services/supply'
import { workshop } from '@/server/workshop'
import { AssemblyStation } from '@/ui/assembly/assembly-station'
import { PartBar } from '@/ui/assembly/part-bar'
import { SizeStation } from '@/ui/forms/size-station'

interface PiecePageProps {
  readonly params: Promise<{ id: string }>
  /** A part by its id, or `all` for the parts together. */
  readonly searchParams: Promise<{ part?: string | string[] }>
}

export default async function PiecePage({ params, searchParams }: PiecePageProps) {
  const { id } = await params
  const { part: asked } = await searchParams
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const { parts, others, joints } = piece.design
  const several = parts.length + others.length + joints.length > 1
  const wanted = parts.find((part) => part.id === asked) ?? (several || asked === 'all' ? undefined : parts[0])
  const plan = planDesign(piece.design, planOptions(repositories))
  const supply = supplyFor(repositories, plan, piece.quantity + piece.spares)
  const cardHref = `/api/pieces/${piece.id}/card?of=${repositories.workshopRow().uid}`
  if (!wanted) return <AssemblyStation key={piece.id} piece={piece} supply={supply} cardHref={cardHref} />
  const planned = plan.parts.find((part) => part.id === wanted.id)
  const { record } = repositories
  const methods = planned?.metal ? methodsOf(repositories, planned.form, planned.metal.alloy) : {}
  const losses = planned?.metal ? record.losses(planned.form, planned.metal.alloy) : { begun: 0, lost: 0 }
  return (
    <SizeStation
      key={`${piece.id}-${wanted.id}`}
      piece={piece}
      partId={wanted.id}
      parts={
        <PartBar
          pieceId={piece.id}
          parts={parts.map(({ id: partId, name }) => ({ id: partId, name: name || partId }))}
          shown={wanted.id}
          isOnly={!several}
        />
      }
      methods={methods}
      losses={losses}
      supply={supply}
      cardHref={cardHref}
    />
  )
}
