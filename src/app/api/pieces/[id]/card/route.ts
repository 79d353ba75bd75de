import { cardPdf } from '@/server/export/card-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const { jobs, settings } = repositories
    const piece = jobs.piece(Number(id))
    const plan = piece && planDesign(piece.design, planOptions(repositories))
    if (!piece || !plan?.ok) return notFound('this piece is not there, or its size is not complete')
    const bytes = await cardPdf({
      pieceName: piece.name,
      jobTitle: piece.jobTitle,
      quantity: piece.quantity,
      spares: piece.spares,
      plan,
      paper: settings.read().paper,
    })
    return pdfFile(bytes, `card-${Number(id)}`)
  })
}
