import { benchCardOf } from '@/core/lookup'
import { benchCardPdf } from '@/server/export/bench-card-pdf'
import { guarded, notFound } from '@/server/http/answer'
import { pdfFile } from '@/server/http/pdf-file'
import { workshop } from '@/server/workshop'

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return guarded(async () => {
    const card = benchCardOf(id)
    if (!card) return notFound(`there is no table "${id}"`)
    const bytes = await benchCardPdf({ ...card, paper: workshop().settings.read().paper })
    return pdfFile(bytes)
  })
}
