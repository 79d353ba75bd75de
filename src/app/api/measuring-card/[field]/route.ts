import { measuringCardPdf } from '@/server/export/measuring-card-pdf'
import { guarded, notFound } from '@/server/http/answer'
import { pdfFile } from '@/server/http/pdf-file'
import { workshop } from '@/server/workshop'

export async function GET(_: Request, { params }: { params: Promise<{ field: string }> }) {
  const { field } = await params
  return guarded(async () => {
    if (field !== 'white' && field !== 'green') return notFound(`there is no card "${field}"; there are white and green`)
    const bytes = await measuringCardPdf({ field, paper: workshop().settings.read().paper })
    return pdfFile(bytes)
  })
}
