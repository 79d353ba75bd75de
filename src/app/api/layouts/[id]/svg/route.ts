import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { printOf, svgOf } from '@/server/services/print-layout'
import { workshop } from '@/server/workshop'

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return ofWorkshop(request, () => {
    const print = printOf(workshop(), Number(id))
    if (!print) return notFound('this layout is not there')
    return new Response(svgOf(print), {
      headers: { 'content-type': 'image/svg+xml', 'content-disposition': `attachment; filename="layout-${Number(id)}.svg"` },
    })
  })
}
