import { INK, makeKit, PT_PER_MM, printable, wrap } from './pdf-kit'

export interface BathLabel {
  readonly name: string
  readonly contents: string
  readonly madeOn: string
  readonly caution: string
}

const WIDE_MM = 90
const TALL_MM = 55
const EDGE_MM = 5

/** A label for a bottle, at full size: what is in it, since when, and what to take care of. */
export async function bathLabelPdf({ name, contents, madeOn, caution }: BathLabel): Promise<Uint8Array> {
  const kit = await makeKit(`Label, ${name}`)
  const page = kit.pdf.addPage([WIDE_MM * PT_PER_MM, TALL_MM * PT_PER_MM])
  const room = (WIDE_MM - 2 * EDGE_MM) * PT_PER_MM
  let y = (TALL_MM - EDGE_MM) * PT_PER_MM
  const put = (text: string, size: number, isBold = false) => {
    for (const line of wrap(printable(text), isBold ? kit.bold : kit.text, size, room)) {
      y -= size * 1.25
      page.drawText(line, { x: EDGE_MM * PT_PER_MM, y, size, font: isBold ? kit.bold : kit.text, color: INK })
    }
  }
  page.drawRectangle({
    x: 4,
    y: 4,
    width: WIDE_MM * PT_PER_MM - 8,
    height: TALL_MM * PT_PER_MM - 8,
    borderColor: INK,
    borderWidth: 1.2,
  })
  put(name, 15, true)
  put(contents, 11, true)
  put(`Made up ${madeOn}`, 9)
  y -= 3
  put(caution, 8)
  return kit.pdf.save()
}
