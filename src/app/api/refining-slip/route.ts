import { refiningSlip } from '@/core/scrap'
import { refiningSlipPdf } from '@/server/export/refining-slip-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { localDay } from '@/server/local-day'
import { workshop } from '@/server/workshop'

/** The slip for the jars that are asked for, or for all that hold something. */
export async function GET(request: Request) {
  const asked = new URL(request.url).searchParams.get('jars')
  const ids = asked?.split(',').map(Number)
  return ofWorkshop(request, async () => {
    const { jars, settings } = workshop()
    const { figures, paper, workshopName, currency } = settings.read()
    const sent = jars.all().filter(({ id, massG }) => massG > 0 && (ids === undefined || ids.includes(id)))
    if (sent.length === 0) return notFound('none of these jars holds anything')
    const slip = refiningSlip(sent, figures)
    const pdf = await refiningSlipPdf({ workshop: workshopName, day: localDay(), slip, currency, paper })
    return pdfFile(pdf, 'refining-slip')
  })
}
