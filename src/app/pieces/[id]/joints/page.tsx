import { notFound } from 'next/navigation'
import { planDesign, planOptions, torchBookOf } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { JointsStation } from '@/ui/joints/joints-station'

export default async function JointsPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const options = planOptions(repositories)
  const book = torchBookOf(repositories, planDesign(piece.design, options), options)
  return (
    <JointsStation
      key={piece.id}
      pieceId={piece.id}
      book={book}
      cardsHref={`/api/pieces/${piece.id}/torch-cards?of=${repositories.workshopRow().uid}`}
    />
  )
}
