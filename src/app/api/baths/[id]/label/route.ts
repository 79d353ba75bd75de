import { BATHS } from '@/core/etching'
import { capitalised, formatPlain } from '@/core/units'
import { bathLabelPdf } from '@/server/export/bath-label-pdf'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { pdfFile } from '@/server/http/pdf-file'
import { workshop } from '@/server/workshop'

const CAUTION =
  'Poisonous, not to be drunk. Gloves and goggles. Away from food, children, bleach, sulphides and solvents. Disposal by local rules, never down the drain. Follow the product’s safety sheet.'

/** The label of a bath, to print at full size. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return ofWorkshop(request, async () => {
    const bath = workshop().baths.one(Number(id))
    if (!bath) return notFound('there is no such bath')
    const { title, note } = BATHS[bath.kind]
    const pdf = await bathLabelPdf({
      name: bath.name,
      contents: `${capitalised(title)}${bath.litres === null ? '' : `, ${formatPlain(bath.litres, 2)} L`}: etching bath`,
      madeOn: bath.createdAt.slice(0, 10),
      caution: `${CAUTION} ${note}`,
    })
    return pdfFile(pdf, 'bath-label')
  })
}
