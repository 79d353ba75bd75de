import { notFound } from 'next/navigation'
import { ownAllowance } from '@/core/logbook'
import { recordGroups } from '@/server/services/own-record'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { RecordStation } from '@/ui/record/record-station'

export default async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const trays = repositories.bench.trays().filter((tray) => tray.pieceId === piece.id)
  const plan = planDesign(piece.design, planOptions(repositories))
  const group = plan.ok
    ? recordGroups(repositories).find(
        (item) => item.form === plan.result.form && item.alloy === plan.temper.alloy && item.method === plan.result.method,
      )
    : undefined
  const own = group && plan.ok ? ownAllowance(group.rows, plan.temper.thicknessMm, group.blankPerMm) : null
  const ours = new Set(trays.map((tray) => tray.id))
  const events = trays.flatMap((tray) => repositories.bench.events(tray.id).filter((event) => event.kind !== 'done'))
  return (
    <RecordStation
      pieceId={piece.id}
      rows={group?.rows.filter((row) => ours.has(row.trayId)) ?? []}
      own={own}
      events={events}
      trayIds={[...ours]}
      trayDefault={piece.quantity + piece.spares}
    />
  )
}
