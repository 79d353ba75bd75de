import { daySheetPdf } from '@/server/export/day-sheet-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { dayLines } from '@/server/services/day-plan'
import { workshop } from '@/server/workshop'

/** The first day of the plan on which there is work, on paper. */
export async function GET(request: Request) {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const { paper } = repositories.settings.read()
    const lines = await dayLines(repositories, new Date(), request.signal)
    const dayOf = (iso: string) => new Date(iso).toDateString()
    const [first] = lines
    if (!first) return notFound('no tray is at the bench: there is no day to print')
    const day = new Date(first.task.from)
    const date = `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`
    const ofDay = lines.filter(({ task }) => dayOf(task.from) === dayOf(first.task.from))
    const bytes = await daySheetPdf({ title: `The day at the bench, ${date}`, lines: ofDay, paper })
    return new Response(Buffer.from(bytes), {
      headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="bench-day-${date}.pdf"` },
    })
  })
}
