import type { PDFPage } from 'pdf-lib'
import { JOINT_TESTS } from '@/core/joints'
import { SOLDERS } from '@/core/metals'
import type { HeatCard, TorchBook } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { FAINT, INK, type Kit, makeKit, PAPERS, type Paper, PT_PER_MM, printable, SAW, wrap } from './pdf-kit'

export interface TorchPrint {
  readonly pieceName: string
  readonly jobTitle: string
  readonly book: TorchBook
  readonly paper: Paper
}

const LEFT = 16 * PT_PER_MM

/** Writes line under line down a page. */
function pen(kit: Kit, page: PDFPage, from: number, wide: number) {
  let y = from
  return {
    say: (text: string, size = 13, bold = false, colour = INK) => {
      const font = bold ? kit.bold : kit.text
      for (const line of wrap(printable(text), font, size, wide)) {
        page.drawText(line, { x: LEFT, y, size, font, color: colour })
        y -= size * 1.35
      }
    },
    space: (by = 8) => {
      y -= by
    },
  }
}

/** How much solder one joint takes, as it is laid. */
function amountWords({ joints, names }: HeatCard): string[] {
  return joints.map(({ joint, solder, flowC, amount }) => {
    const name = names.get(joint) ?? joint
    if (!solder) return `${name}: no solder, fused`
    const flows = `${SOLDERS[solder].title}, flows at ${flowC} °C`
    if (!amount) return `${name}: ${flows}`
    return `${name}: ${flows}; ${amount.pallionCount} of 1 x 1 x 0.25, one every ${formatPlain(amount.spacingMm, 1)} mm, or ${formatPlain(amount.wireLengthMm, 1)} mm of 0.5 wire`
  })
}

function secondsWords({ plan }: HeatCard): string {
  if (plan.seconds === null) return 'How long it takes is not known yet, or this torch does not get it there.'
  const from = plan.secondsFrom === null ? '' : `${Math.round(plan.secondsFrom)} to `
  const to = plan.secondsTo === null ? 'longer' : Math.round(plan.secondsTo)
  return `About ${Math.round(plan.seconds)} s under the torch (${from}${to} s): an estimate.`
}

function drawCard(kit: Kit, page: PDFPage, print: TorchPrint, card: HeatCard, index: number): void {
  const paper = PAPERS[print.paper]
  const write = pen(kit, page, (paper.height - 22) * PT_PER_MM, (paper.width - 32) * PT_PER_MM)
  write.say(`Heat ${index + 1} of ${print.book.heats.length}: ${card.what}`, 22, true)
  write.say(`${print.pieceName}, ${print.jobTitle}; step ${card.step + 1} of the route`, 10, false, FAINT)
  write.space()
  for (const line of amountWords(card)) write.say(line, 14, true)
  write.space()
  write.say(card.plan.say, 14)
  for (const warning of card.plan.warnings) write.say(warning, 13, true, SAW)
  write.say(secondsWords(card), 12)
  write.space()
  write.say('What to look for', 15, true)
  for (const { atC, see, act } of card.cues) write.say(`about ${atC} °C: ${see}. ${act}`, 13)
  write.space()
  write.say(card.coolDown, 13)
  write.space()
  write.say('Then, before anything else goes on', 15, true)
  for (const { test, fails } of JOINT_TESTS) write.say(`${test} ${fails}`, 12)
  write.space()
  write.say(`${card.caution} Ventilate: flux and zinc fume.`, 10, false, FAINT)
}

/** One page for each heat, to stand beside the torch: what goes on, with how much of what, where the flame goes and what to look for. */
export async function torchCardsPdf(print: TorchPrint): Promise<Uint8Array> {
  const kit = await makeKit(`${print.pieceName}, torch cards`)
  const { width, height } = PAPERS[print.paper]
  print.book.heats.forEach((card, i) => {
    drawCard(kit, kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM]), print, card, i)
  })
  return kit.pdf.save()
}
