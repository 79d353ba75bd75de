import { torchCardsPdf } from '@/server/export/torch-cards-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { planDesign, planOptions, torchBookOf } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const piece = repositories.jobs.piece(Number(id))
    if (!piece) return notFound('this piece is not there')
    const { paper } = repositories.settings.read()
    const options = planOptions(repositories)
    const book = torchBookOf(repositories, planDesign(piece.design, options), options)
    if (book.heats.length === 0) return notFound('this piece has no joint that is made by heat')
    const bytes = await torchCardsPdf({ pieceName: piece.name, jobTitle: piece.jobTitle, book, paper })
    return pdfFile(bytes, `torch-${Number(id)}`)
  })
}
