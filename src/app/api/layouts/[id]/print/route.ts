import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { runTask } from '@/server/long/run-task'
import { printOf } from '@/server/services/print-layout'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const paper = new URL(request.url).searchParams.get('paper')
  return ofWorkshop(request, async () => {
    const print = printOf(workshop(), Number(id), paper === 'A4' || paper === 'Letter' ? paper : undefined)
    if (!print) return notFound('this layout is not there')
    return new Response(Buffer.from(await runTask('layoutPdf', print, { seconds: 60, signal: request.signal })), {
      headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="layout-${Number(id)}.pdf"` },
    })
  })
}
