import { daySheetPdf } from '@/server/export/day-sheet-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { localDay } from '@/server/local-day'
import { dayLines } from '@/server/services/day-plan'
import { workshop } from '@/server/workshop'

/** The first day of the plan on which there is work, on paper. */
export async function GET(request: Request) {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const { paper } = repositories.settings.read()
    const lines = await dayLines(repositories, new Date(), request.signal)
    const dayOf = (iso: string) => localDay(new Date(iso))
    const [first] = lines
    if (!first) return notFound('no tray is at the bench: there is no day to print')
    const date = dayOf(first.task.from)
    const ofDay = lines.filter(({ task }) => dayOf(task.from) === date)
    const bytes = await daySheetPdf({ title: `The day at the bench, ${date}`, lines: ofDay, paper })
    return pdfFile(bytes, `bench-day-${date}`)
  })
}
