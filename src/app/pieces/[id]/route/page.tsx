import { notFound } from 'next/navigation'
import { workshop } from '@/server/workshop'
import { RouteStation } from '@/ui/route/route-station'

export default async function RoutePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const piece = workshop().jobs.piece(Number(id))
  if (!piece) notFound()
  return <RouteStation key={piece.id} piece={piece} />
}
