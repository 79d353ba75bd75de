import type { PDFPage } from 'pdf-lib'
import { type DrawingShape, type DrawingView, viewBounds } from '@/core/drawing'
import type { FormResult } from '@/core/forms'
import { countWords } from '@/core/logbook'
import { ALLOYS } from '@/core/metals'
import { metalsOf, namedThings, namerOf, type PiecePlan, partOfStep, wordsOf } from '@/core/piece'
import { formatPlain, formatValue } from '@/core/units'
import { FAINT, INK, type Kit, makeKit, PAPERS, type Paper, PT_PER_MM, pathOf, printable, SAW, wrap } from './pdf-kit'

export interface CardPrint {
  readonly pieceName: string
  readonly jobTitle: string
  readonly quantity: number
  readonly spares: number
  readonly plan: PiecePlan
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

/** As many rows of steps as a column holds. */
const STEP_ROWS = 44

function drawSteps(kit: Kit, print: CardPrint, page: PDFPage, at: { x: number; y: number }): void {
  let y = drawLines(page, ['Steps'], at, { size: 11, font: kit.bold }) - 2
  const { plan } = print
  const metals = metalsOf(plan)
  const nameOn = namerOf(namedThings(plan))
  const size = plan.steps.length > STEP_ROWS / 2 ? 7 : 9
  plan.steps.forEach((step, i) => {
    const words = wordsOf(step, metals.get(partOfStep(plan, step.on) ?? ''))
    const target = step.target
      ? `  (${step.target.label.toLowerCase()} ${formatPlain(step.target.valueMm, 2)} ± ${formatPlain(step.target.plusMinusMm, 2)} mm)`
      : ''
    const done = nameOn(step.on)
    const reasons = step.overrides?.map(({ rule, reason }) => `  [${rule} all the same: ${reason}]`).join('') ?? ''
    page.drawRectangle({ x: at.x, y: y - 1, width: size - 2, height: size - 2, borderColor: INK, borderWidth: 0.6 })
    const lines = wrap(
      printable(`${i + 1}  ${words.title}${done === '' ? '' : ` · ${done}`}${target}${reasons}`),
      kit.text,
      size,
      COLUMN - 14,
    )
    y = drawLines(page, lines, { x: at.x + 13, y }, { size, font: kit.text }) - (size > 8 ? 2 : 0.5)
  })
}

/** What stops the work stands at the answer, in a box, on paper as on screen; gives where it ends. */
function drawStops(kit: Kit, page: PDFPage, checks: FormResult['checks'], at: { x: number; y: number }, width: number): number {
  const stops = checks.filter((check) => check.level === 'stop')
  if (stops.length === 0) return at.y + 4
  const lines = stops.flatMap((check) => wrap(printable(`STOP. ${check.message}`), kit.bold, 10, width - 16))
  const height = lines.length * 13.5 + 10
  page.drawRectangle({ x: at.x, y: at.y - height + 14, width, height, borderColor: SAW, borderWidth: 1.5 })
  return drawLines(page, lines, { x: at.x + 8, y: at.y }, { size: 10, font: kit.bold }) - 12
}

/** What it is cut from: metal and thickness, each blank's own where they differ. */
function metalWords(blanks: FormResult['blanks']): string {
  const alike = new Set(blanks.map((blank) => `${blank.alloy} ${blank.thicknessMm}`)).size === 1
  const words = blanks.map((blank) => {
    const metal = `${ALLOYS[blank.alloy].title} ${formatPlain(blank.thicknessMm, 3)} mm`
    return alike ? metal : `${blank.name} ${metal}`
  })
  return alike ? (words[0] ?? '') : words.join(', ')
}

/** The cut size of each part of a piece of several. */
function drawParts(kit: Kit, page: PDFPage, { parts }: PiecePlan, at: { x: number; y: number }): number {
  const lines = parts.flatMap(({ name, count, result }) =>
    result
      ? [
          printable(
            `${count > 1 ? `${count} x ` : ''}${name.toLowerCase()}: ${result.answer.name} ${formatPlain(result.answer.markAt, 2)} mm`,
          ),
        ]
      : [printable(`${name.toLowerCase()}: sizes still open`)],
  )
  return drawLines(page, lines, at, { size: 10, font: kit.mono })
}

/** The card to pin above the bench: drawing, cut sizes, working and steps, on one page. */
export async function cardPdf(print: CardPrint): Promise<Uint8Array> {
  const kit = await makeKit(`${print.pieceName}, piece card`)
  const paper = PAPERS[print.paper]
  const page = kit.pdf.addPage([paper.width * PT_PER_MM, paper.height * PT_PER_MM])
  const top = (paper.height - 18) * PT_PER_MM
  const results = print.plan.parts.flatMap(({ result, isCut }) => (result && isCut ? [result] : []))
  const [main] = results
  page.drawText(printable(print.pieceName), { x: LEFT, y: top, size: 20, font: kit.bold, color: INK })
  const massG = print.plan.parts.reduce(
    (sum, { result, count, isCut }) => sum + (isCut ? count : 0) * (result?.results.massG?.value ?? 0),
    0,
  )
  const metals = metalWords(print.plan.parts.flatMap(({ cuts }) => cuts))
  const facts = `${print.jobTitle}  ·  ${countWords(print)}  ·  ${metals}  ·  ${formatPlain(massG, 2)} g each`
  const wide = (paper.width - 28) * PT_PER_MM
  const factsEnd = drawLines(page, wrap(printable(facts), kit.text, 9, wide), { x: LEFT, y: top - 16 }, { size: 9, font: kit.text })
  const isOne = print.plan.parts.length === 1
  if (main && isOne)
    page.drawText(printable(`${main.answer.name}: mark at ${formatPlain(main.answer.markAt, 2)} mm`), {
      x: LEFT,
      y: factsEnd - 14,
      size: 16,
      font: kit.mono,
      color: INK,
    })
  const partsEnd = isOne ? factsEnd - 18 : drawParts(kit, page, print.plan, { x: LEFT, y: factsEnd - 8 })
  const checks = results.flatMap((result) => result.checks)
  const stopsEnd = drawStops(kit, page, checks, { x: LEFT, y: partsEnd - 14 }, wide)
  const height = (isOne ? 62 : 44) * PT_PER_MM
  const views = isOne ? (main?.drawing.views ?? []) : results.flatMap(({ drawing }) => drawing.views.slice(0, 1))
  views.slice(0, 2).forEach((view, i) => {
    drawView(kit, page, view, { x: LEFT + i * (COLUMN + 6 * PT_PER_MM), y: stopsEnd - height, width: COLUMN, height })
  })
  const under = stopsEnd - height - 26
  if (main) drawWorking(kit, page, main, { x: LEFT, y: under })
  drawSteps(kit, print, page, { x: LEFT + COLUMN + 6 * PT_PER_MM, y: under })
  const version = main ? `Calculated by version ${main.coreVersion}. ` : ''
  page.drawText(printable(`${version}Heat and chemistry: follow the product's safety sheet and local rules.`), {
    x: LEFT,
    y: 10 * PT_PER_MM,
    size: 7,
    font: kit.text,
    color: FAINT,
  })
  return kit.pdf.save()
}
