import { notFound } from 'next/navigation'
import { torchBook } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { JointsStation } from '@/ui/joints/joints-station'

export default async function JointsPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const options = planOptions(repositories)
  const { torchW, flux } = repositories.settings.read()
  const book = torchBook(planDesign(piece.design, options), { tools: options.tools, torchW, flux })
  return (
    <JointsStation
      key={piece.id}
      pieceId={piece.id}
      book={book}
      cardsHref={`/api/pieces/${piece.id}/torch-cards?of=${repositories.workshopRow().uid}`}
    />
  )
}
