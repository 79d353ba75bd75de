import type { PDFPage } from 'pdf-lib'
import { type DrawingShape, type DrawingView, viewBounds } from '@/core/drawing'
import type { FormResult } from '@/core/forms'
import { countWords } from '@/core/logbook'
import { ALLOYS, type AlloyId } from '@/core/metals'
import type { DesignStep } from '@/core/route'
import { wordsOf } from '@/core/route'
import { formatPlain, formatValue } from '@/core/units'
import { FAINT, INK, type Kit, makeKit, PAPERS, type Paper, PT_PER_MM, pathOf, printable, SAW, wrap } from './pdf-kit'

export interface CardPrint {
  readonly pieceName: string
  readonly jobTitle: string
  readonly quantity: number
  readonly spares: number
  readonly alloy: AlloyId
  readonly result: FormResult
  readonly steps: readonly DesignStep[]
  readonly paper: Paper
}

const LEFT = 14 * PT_PER_MM
const COLUMN = 88 * PT_PER_MM

function circlePath(cx: number, cy: number, r: number): string {
  return `M${cx - r} ${-cy}A${r} ${r} 0 1 0 ${cx + r} ${-cy}A${r} ${r} 0 1 0 ${cx - r} ${-cy}Z`
}

function shapePath(shape: DrawingShape): string {
  if (shape.kind === 'region') return [shape.outer, ...shape.holes].map(pathOf).join('')
  if (shape.kind === 'circle') return circlePath(shape.centre[0], shape.centre[1], shape.radiusMm)
  const closed = pathOf(shape.points)
  return shape.kind === 'cut' && shape.closed ? closed : closed.slice(0, -1)
}

function drawView(kit: Kit, page: PDFPage, view: DrawingView, box: { x: number; y: number; width: number; height: number }): void {
  const bounds = viewBounds(view)
  const scale = Math.min(box.width / (bounds.maxX - bounds.minX || 1), (box.height - 30) / (bounds.maxY - bounds.minY || 1))
  const origin = {
    x: box.x + box.width / 2 - ((bounds.minX + bounds.maxX) / 2) * scale,
    y: box.y + box.height / 2 - ((bounds.minY + bounds.maxY) / 2) * scale,
  }
  for (const shape of view.shapes) {
    const colour = shape.layer === 'saw' ? SAW : shape.layer === 'metal' ? INK : FAINT
    page.drawSvgPath(shapePath(shape), {
      ...origin,
      scale,
      borderColor: colour,
      borderWidth: (shape.layer === 'metal' ? 0.8 : 0.5) / scale,
    })
  }
  const words = view.dimensions.map((dimension) => dimension.text).join('   ')
  drawLines(page, wrap(`${view.title}: ${words}`, kit.mono, 8, box.width), { x: box.x, y: box.y }, { size: 8, font: kit.mono })
}

function drawLines(
  page: PDFPage,
  lines: readonly string[],
  at: { x: number; y: number },
  style: { size: number; font: Kit['text'] },
): number {
  let y = at.y
  for (const line of lines) {
    page.drawText(line, { x: at.x, y, size: style.size, font: style.font, color: INK })
    y -= style.size * 1.35
  }
  return y
}

function drawWorking(kit: Kit, page: PDFPage, result: FormResult, at: { x: number; y: number }): void {
  let y = drawLines(page, ['The working'], at, { size: 11, font: kit.bold }) - 2
  for (const step of result.working) {
    y = drawLines(page, [printable(`${step.label}: ${formatValue(step.value, step.unit)}`)], { x: at.x, y }, { size: 9, font: kit.text })
    if (step.substituted)
      y = drawLines(page, wrap(step.substituted, kit.mono, 7.5, COLUMN), { x: at.x, y }, { size: 7.5, font: kit.mono }) - 2
  }
}

function drawSteps(kit: Kit, print: CardPrint, page: PDFPage, at: { x: number; y: number }): void {
  let y = drawLines(page, ['Steps'], at, { size: 11, font: kit.bold }) - 2
  const thicknessMm = print.result.blanks[0]?.thicknessMm ?? 1
  print.steps.forEach((step, i) => {
    const words = wordsOf(step, { alloy: print.alloy, thicknessMm })
    const target = step.target
      ? `  (${step.target.label.toLowerCase()} ${formatPlain(step.target.valueMm, 2)} ± ${formatPlain(step.target.plusMinusMm, 2)} mm)`
      : ''
    page.drawRectangle({ x: at.x, y: y - 1, width: 7, height: 7, borderColor: INK, borderWidth: 0.6 })
    y =
      drawLines(
        page,
        wrap(`${i + 1}  ${words.title}${target}`, kit.text, 9, COLUMN - 14),
        { x: at.x + 13, y },
        { size: 9, font: kit.text },
      ) - 2
  })
}

/** What stops the work stands at the answer, in a box, on paper as on screen; gives where it ends. */
function drawStops(kit: Kit, page: PDFPage, { checks }: FormResult, at: { x: number; y: number }, width: number): number {
  const stops = checks.filter((check) => check.level === 'stop')
  if (stops.length === 0) return at.y + 4
  const lines = stops.flatMap((check) => wrap(printable(`STOP. ${check.message}`), kit.bold, 10, width - 16))
  const height = lines.length * 13.5 + 10
  page.drawRectangle({ x: at.x, y: at.y - height + 14, width, height, borderColor: SAW, borderWidth: 1.5 })
  return drawLines(page, lines, { x: at.x + 8, y: at.y }, { size: 10, font: kit.bold }) - 12
}

/** What it is cut from: metal and thickness, each blank's own where they differ. */
function metalWords({ blanks }: FormResult): string {
  const alike = new Set(blanks.map((blank) => `${blank.alloy} ${blank.thicknessMm}`)).size === 1
  const words = blanks.map((blank) => {
    const metal = `${ALLOYS[blank.alloy].title} ${formatPlain(blank.thicknessMm, 3)} mm`
    return alike ? metal : `${blank.name} ${metal}`
  })
  return alike ? (words[0] ?? '') : words.join(', ')
}

/** The card to pin above the bench: drawing, cut size, working and steps, on one page. */
export async function cardPdf(print: CardPrint): Promise<Uint8Array> {
  const kit = await makeKit(`${print.pieceName}, piece card`)
  const paper = PAPERS[print.paper]
  const page = kit.pdf.addPage([paper.width * PT_PER_MM, paper.height * PT_PER_MM])
  const top = (paper.height - 18) * PT_PER_MM
  const { answer } = print.result
  page.drawText(printable(print.pieceName), { x: LEFT, y: top, size: 20, font: kit.bold, color: INK })
  const facts = `${print.jobTitle}  ·  ${countWords(print)}  ·  ${metalWords(print.result)}  ·  ${formatPlain(print.result.results.massG?.value ?? 0, 2)} g each`
  const wide = (paper.width - 28) * PT_PER_MM
  const factsEnd = drawLines(page, wrap(printable(facts), kit.text, 9, wide), { x: LEFT, y: top - 16 }, { size: 9, font: kit.text })
  page.drawText(printable(`${answer.name}: mark at ${formatPlain(answer.markAt, 2)} mm`), {
    x: LEFT,
    y: factsEnd - 14,
    size: 16,
    font: kit.mono,
    color: INK,
  })
  const stopsEnd = drawStops(kit, page, print.result, { x: LEFT, y: factsEnd - 32 }, wide)
  const height = 62 * PT_PER_MM
  print.result.drawing.views.slice(0, 2).forEach((view, i) => {
    drawView(kit, page, view, { x: LEFT + i * (COLUMN + 6 * PT_PER_MM), y: stopsEnd - height, width: COLUMN, height })
  })
  const under = stopsEnd - height - 26
  drawWorking(kit, page, print.result, { x: LEFT, y: under })
  drawSteps(kit, print, page, { x: LEFT + COLUMN + 6 * PT_PER_MM, y: under })
  page.drawText(
    printable(`Calculated by version ${print.result.coreVersion}. Heat and chemistry: follow the product's safety sheet and local rules.`),
    { x: LEFT, y: 10 * PT_PER_MM, size: 7, font: kit.text, color: FAINT },
  )
  return kit.pdf.save()
}
