import { formatMoney } from '@/core/units'
import type { JobQuote } from '../services/job-quote'
import { pageWriter } from './page-writer'
import { FAINT, makeKit, type Paper } from './pdf-kit'

export interface QuotePrint {
  readonly quoted: JobQuote
  readonly workshop: string
  readonly day: string
  readonly currency: string
  readonly paper: Paper
}

const LEFT_MM = 22
const VALID_DAYS = 30
/** Where the columns of figures end, mm before the right edge. */
const ENDS = { count: 62, each: 30 } as const
const HEAD = { size: 9, isBold: true } as const

/** What goes to the customer: pieces, how many, what they cost; nothing of how that was worked out. */
export async function quotePdf({ quoted, workshop, day, currency, paper }: QuotePrint): Promise<Uint8Array> {
  const { job, quote, agreed, balance } = quoted
  const kit = await makeKit(`Quote, ${job.title}`)
  const { wideMm, put, putRight, say, rule, down, room } = pageWriter(kit, paper, LEFT_MM)
  put(workshop, 0, { size: 11 })
  down(34)
  put('Quote', 0, { size: 22, isBold: true })
  down(20)
  say(`${job.title}${job.customer ? `, for ${job.customer}` : ''}`, 0, { size: 12 })
  put(`${day}; valid for ${VALID_DAYS} days, at the metal’s price of that day`, 0, { color: FAINT })
  down(34)
  put('Piece', 0, HEAD)
  putRight('How many', wideMm - ENDS.count, HEAD)
  putRight('Each', wideMm - ENDS.each, HEAD)
  putRight('Price', wideMm, HEAD)
  rule()
  down(18)
  for (const piece of quote.pieces) {
    room(18)
    put(piece.name)
    putRight(String(piece.quantity), wideMm - ENDS.count)
    putRight(formatMoney(piece.priceEach, currency), wideMm - ENDS.each)
    putRight(formatMoney(piece.price, currency), wideMm)
    rule()
    down(18)
  }
  room(90)
  down(6)
  for (const [label, money, isBold] of [
    [job.agreed === null ? 'In all' : 'Agreed', agreed, true],
    ['Deposit paid', job.deposit ?? 0, false],
    ['Balance when handed over', balance, true],
  ] as const) {
    put(label, 0, { isBold })
    putRight(formatMoney(money, currency), wideMm, { isBold })
    down(16)
  }
  down(12)
  if (job.sizes) say(`Your sizes: ${job.sizes}`)
  if (job.dueOn) say(`Planned for ${job.dueOn}.`)
  return kit.pdf.save()
}
