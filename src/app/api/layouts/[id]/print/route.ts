import { notFound } from '@/server/http/answer'
import { printedOf } from '@/server/http/asked-print'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { runTask } from '@/server/long/run-task'
import { underWay } from '@/server/long/under-way'
import { printOf } from '@/server/services/print-layout'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const asked = new URL(request.url).searchParams
  return ofWorkshop(request, async () => {
    const print = printOf(workshop(), Number(id), printedOf(request))
    if (!print) return notFound('this layout is not there')
    const pdf = await underWay(asked.get('work') ?? undefined, ({ step, share, signal }) => {
      step('The pages are being drawn')
      return runTask('layoutPdf', print, { seconds: 60, signal: AbortSignal.any([request.signal, signal]), onShare: share })
    })
    return pdfFile(pdf, `layout-${Number(id)}`)
  })
}
