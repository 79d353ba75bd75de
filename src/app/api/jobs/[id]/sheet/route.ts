import { jobSheetPdf } from '@/server/export/job-sheet-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { jobQuote } from '@/server/services/job-quote'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const quoted = jobQuote(repositories, Number(id))
    if (!quoted) return notFound('this job is not there')
    const options = planOptions(repositories)
    const pieces = repositories.jobs.pieces(quoted.job.id).map((piece) => ({
      piece,
      plan: planDesign(piece.design, options),
      handsMin: quoted.quote.pieces.find((one) => one.id === piece.id)?.handsMin ?? 0,
    }))
    const bytes = await jobSheetPdf({ job: quoted.job, pieces, paper: repositories.settings.read().paper })
    return pdfFile(bytes, `job-${quoted.job.id}`)
  })
}
