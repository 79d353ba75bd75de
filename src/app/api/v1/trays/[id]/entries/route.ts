import { guarded, notFound } from '@/server/http/answer'
import { stepsOf } from '@/server/services/ledger'
import { workshop } from '@/server/workshop'

/** What stands of a tray: its name, the workshop's, its steps in order, and every entry that was not taken back. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return guarded(() => {
    const { trays, entries, workshopRow } = workshop()
    const tray = trays.one(Number(id))
    if (!tray) return notFound(`there is no tray ${id}`)
    return Response.json({
      workshop: workshopRow().uid,
      tray: tray.uid,
      part: tray.plan.parts[0].part,
      parts: tray.plan.parts.map(({ part }) => part),
      size: tray.size,
      steps: stepsOf({ entries }, tray).map(({ id, op, on, together, target }) => ({
        id,
        op,
        on,
        together,
        ...(target ? { target } : {}),
      })),
      entries: entries.standing(tray.id),
    })
  })
}
