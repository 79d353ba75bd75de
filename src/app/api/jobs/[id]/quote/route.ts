import { quotePdf } from '@/server/export/quote-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { localDay } from '@/server/local-day'
import { jobQuote } from '@/server/services/job-quote'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const quoted = jobQuote(repositories, Number(id))
    if (!quoted) return notFound('this job is not there')
    const { workshopName, currency, paper } = repositories.settings.read()
    const bytes = await quotePdf({ quoted, workshop: workshopName, day: localDay(), currency, paper })
    return pdfFile(bytes, `quote-${quoted.job.id}`)
  })
}
