import type { RefiningSlip } from '@/core/scrap'
import { formatMoney, formatPlain } from '@/core/units'
import { INK, makeKit, PAPERS, type Paper, PT_PER_MM, printable, wrap } from './pdf-kit'

export interface SlipPrint {
  readonly workshop: string
  readonly day: string
  readonly slip: RefiningSlip
  readonly currency: string
  readonly paper: Paper
}

const LEFT_MM = 18
const COLUMNS_MM = [0, 92, 116, 138, 160] as const
const HEADS = ['Metal', 'Mass, g', 'Fineness, ‰', 'Fine, g', 'To expect'] as const

/** The slip that goes to the refiner with the metal: mass, fineness and what to expect of each jar. */
export async function refiningSlipPdf({ workshop, day, slip, currency, paper }: SlipPrint): Promise<Uint8Array> {
  const kit = await makeKit(`Refining slip, ${day}`)
  const { width, height } = PAPERS[paper]
  const page = kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
  let y = (height - 24) * PT_PER_MM
  const put = (text: string, atMm: number, isBold = false, size = 9) =>
    page.drawText(printable(text), { x: (LEFT_MM + atMm) * PT_PER_MM, y, size, font: isBold ? kit.bold : kit.text, color: INK })
  put(`Scrap to be refined, ${day}`, 0, true, 15)
  y -= 16
  put(workshop, 0)
  y -= 26
  for (const [i, head] of HEADS.entries()) put(head, COLUMNS_MM[i] ?? 0, true)
  y -= 15
  for (const line of slip.lines) {
    const cells = [
      line.title,
      formatPlain(line.massG, 2),
      line.perMille === undefined ? '–' : String(line.perMille),
      line.fineG === undefined ? '–' : formatPlain(line.fineG, 2),
      formatMoney(line.value, currency),
    ]
    for (const [i, cell] of cells.entries()) put(cell, COLUMNS_MM[i] ?? 0)
    y -= 12
    if (line.note) {
      put(line.note, 3, false, 7.5)
      y -= 12
    }
    y -= 3
  }
  put('In all', 0, true)
  put(formatPlain(slip.massG, 2), COLUMNS_MM[1], true)
  put(formatMoney(slip.value, currency), COLUMNS_MM[4], true)
  y -= 28
  const words =
    'What to expect is calculated from the workshop’s own prices and what it is usually paid for scrap. The refiner’s weight and assay decide.'
  for (const text of wrap(words, kit.text, 8.5, (width - 2 * LEFT_MM) * PT_PER_MM)) {
    put(text, 0, false, 8.5)
    y -= 12
  }
  return kit.pdf.save()
}
