import { formatMoney } from '@/core/units'
import type { JobQuote } from '../services/job-quote'
import { FAINT, INK, makeKit, PAPERS, type Paper, PT_PER_MM, printable, wrap } from './pdf-kit'

export interface QuotePrint {
  readonly quoted: JobQuote
  readonly workshop: string
  readonly day: string
  readonly currency: string
  readonly paper: Paper
}

const LEFT_MM = 22
const VALID_DAYS = 30

/** What goes to the customer: pieces, how many, what they cost; nothing of how that was worked out. */
export async function quotePdf({ quoted, workshop, day, currency, paper }: QuotePrint): Promise<Uint8Array> {
  const { job, quote } = quoted
  const kit = await makeKit(`Quote, ${job.title}`)
  const { width, height } = PAPERS[paper]
  const page = kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
  const wide = width - 2 * LEFT_MM
  let y = (height - 30) * PT_PER_MM
  const put = (text: string, atMm: number, size = 10, isBold = false, color = INK) =>
    page.drawText(printable(text), { x: (LEFT_MM + atMm) * PT_PER_MM, y, size, font: isBold ? kit.bold : kit.text, color })
  const right = (text: string, endMm: number, isBold = false) => {
    const font = isBold ? kit.bold : kit.text
    const x = (LEFT_MM + endMm) * PT_PER_MM - font.widthOfTextAtSize(printable(text), 10)
    page.drawText(printable(text), { x, y, size: 10, font, color: INK })
  }
  const line = () =>
    page.drawLine({
      start: { x: LEFT_MM * PT_PER_MM, y: y - 4 },
      end: { x: (LEFT_MM + wide) * PT_PER_MM, y: y - 4 },
      thickness: 0.5,
      color: FAINT,
    })
  put(workshop, 0, 11)
  y -= 34
  put('Quote', 0, 22, true)
  y -= 20
  put(`${job.title}${job.customer ? `, for ${job.customer}` : ''}`, 0, 12)
  y -= 15
  put(`${day}; valid for ${VALID_DAYS} days, at the metal’s price of that day`, 0, 9, false, FAINT)
  y -= 34
  put('Piece', 0, 9, true)
  right('How many', wide - 62, true)
  right('Each', wide - 30, true)
  right('Price', wide, true)
  line()
  y -= 18
  for (const piece of quote.pieces) {
    put(piece.name, 0)
    right(String(piece.quantity), wide - 62)
    right(formatMoney(piece.priceEach, currency), wide - 30)
    right(formatMoney(piece.price, currency), wide)
    line()
    y -= 18
  }
  y -= 6
  const agreed = job.agreed ?? quote.total
  for (const [label, money, isBold] of [
    [job.agreed === null ? 'In all' : 'Agreed', agreed, true],
    ['Deposit paid', job.deposit ?? 0, false],
    ['Balance when handed over', agreed - (job.deposit ?? 0), true],
  ] as const) {
    put(label, 0, 10, isBold)
    right(formatMoney(money, currency), wide, isBold)
    y -= 16
  }
  y -= 12
  for (const text of [job.sizes ? `Your sizes: ${job.sizes}` : '', job.dueOn ? `Planned for ${job.dueOn}.` : ''].filter(Boolean))
    for (const part of wrap(text, kit.text, 10, wide * PT_PER_MM)) {
      put(part, 0)
      y -= 14
    }
  return kit.pdf.save()
}
