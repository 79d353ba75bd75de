import type { AssemblyStep } from '../assembly/assembly'
import type { Blank, Target } from '../forms/contract'
import { boundsOf } from '../geometry/point'
import { findOperation } from '../operations/catalogue'
import type { PiecePlan, PlannedPart } from './plan-piece'
import type { PartWalk, RouteTemper } from './route-temper'
import { partOfStep } from './words'

/** A size of a part as it stands after a step of the route. */
export interface PartSize {
  readonly dimension: string
  readonly label: string
  readonly value: number
  readonly plusMinus: number
  readonly unit: 'mm' | 'g'
}

/** Sheet and wire as bought: several hundredths off (common practice, low). */
const STOCK_BAND_MM = 0.03
/** A blank sawn and filed to its line (common practice, low). */
const CUT_BAND_MM = 0.2
/** Less than this is no change of thickness. */
const SAME_MM = 5e-4

const mm = (dimension: string, label: string, value: number, plusMinus: number): PartSize => ({
  dimension,
  label,
  value,
  plusMinus,
  unit: 'mm',
})
const thickness = (value: number, plusMinus: number) => mm('thicknessMm', 'Thickness', value, plusMinus)

/** What a blank measures when it has been cut out: its length and width, or its diameter, and what it weighs. */
function cutSizes({ outline, circleRadiusMm, lengthMm, stock, thicknessMm, massG }: Blank): PartSize[] {
  const mass: PartSize = { dimension: 'massG', label: 'Weight', value: massG, plusMinus: (massG * STOCK_BAND_MM) / thicknessMm, unit: 'g' }
  if (circleRadiusMm !== undefined) return [mm('blankDiameterMm', 'Blank across', 2 * circleRadiusMm, CUT_BAND_MM), mass]
  const box = boundsOf(outline)
  const sides = [box.maxX - box.minX, box.maxY - box.minY]
  const length = mm('blankLengthMm', 'Blank long', lengthMm ?? Math.max(...sides), CUT_BAND_MM)
  return stock === 'sheet' ? [length, mm('blankWidthMm', 'Blank wide', Math.min(...sides), CUT_BAND_MM), mass] : [length, mass]
}

const fromTarget = ({ dimension, label, valueMm, plusMinusMm }: Target) => mm(dimension, label, valueMm, plusMinusMm)

/** Cuts that leave no blank of a size to measure: rings off a coil, parts off a strip. */
const LEAVE_NO_BLANK: ReadonlySet<string> = new Set(['part-coil', 'divide'])

/** Whether a step cuts a blank to its line, by what it does to the state of the metal; what is only roughed out has no size yet. */
function isCut({ op, params }: AssemblyStep): boolean {
  if (LEAVE_NO_BLANK.has(op) || params.what === 'rough') return false
  return (
    findOperation(op)?.does.some(({ fact, scope, to }) => fact === 'cut' && scope === 'things' && 'value' in to && to.value === true) ??
    false
  )
}

/** How thick a part is after each of so many steps, as the ledger of the metal has it. */
function thicknessesAfter({ walk, at }: PartWalk, count: number): number[] {
  let walked = 0
  return Array.from({ length: count }, (_, index) => {
    while ((at[walked] ?? Number.POSITIVE_INFINITY) <= index) walked++
    return (walk.steps[walked - 1] ?? walk.start).thicknessMm
  })
}

/** The steps of a route, and the part whose metal each works. */
interface Worked {
  readonly steps: PiecePlan['steps']
  readonly parts: readonly (string | undefined)[]
}

/** The sizes of one part as it is bought, and after every step of the route. */
function sizesOfPart({ id, result, cuts }: PlannedPart, { steps, parts }: Worked, metal: PartWalk | undefined) {
  const [blank] = result?.blanks ?? []
  let isWhole = true
  const start = cuts.slice(0, 1).map(({ thicknessMm }) => thickness(thicknessMm, STOCK_BAND_MM))
  let known: readonly PartSize[] = start
  const put = (sizes: readonly PartSize[]) => {
    known = [...known.filter(({ dimension }) => !sizes.some((size) => size.dimension === dimension)), ...sizes]
  }
  const thicknessMm = metal && thicknessesAfter(metal, steps.length)
  const after = steps.map((step, index) => {
    const isOwn = parts[index] === id
    if (isOwn && isWhole && blank && isCut(step)) {
      put(cutSizes(blank))
      isWhole = false
    }
    const [before] = known
    const now = before?.dimension === 'thicknessMm' ? thicknessMm?.[index] : undefined
    if (now !== undefined && before && Math.abs(now - before.value) > SAME_MM)
      known = known.map((size) => thinned(size, now / before.value))
    if (isOwn && step.target) put([fromTarget(step.target)])
    return known
  })
  return { start, after }
}

/** A size of metal that has become thinner: what it loses in thickness it gains in length, its width held (volume is kept). */
function thinned(size: PartSize, ratio: number): PartSize {
  if (size.dimension === 'thicknessMm') return thickness(size.value * ratio, size.plusMinus)
  return size.dimension === 'blankLengthMm' ? { ...size, value: size.value / ratio, plusMinus: size.plusMinus / ratio } : size
}

/** What is known of every part's sizes after each step of the route, the part that the step works named. */
export function sizesAlong(plan: Pick<PiecePlan, 'parts' | 'assembly' | 'steps'>, temper: RouteTemper) {
  const worked = { steps: plan.steps, parts: plan.steps.map(({ on }) => partOfStep(plan, on)) }
  const walkOf = (id: string) => temper.parts.find(({ part }) => part === id)
  const byPart = new Map(plan.parts.map((part) => [part.id, sizesOfPart(part, worked, walkOf(part.id))]))
  return worked.parts.map((part, index) => {
    const own = byPart.get(part ?? '')
    return { sizes: own?.after[index] ?? [], before: own?.after[index - 1] ?? own?.start ?? [] }
  })
}

/** The size a step changes, which can be measured there: what it is cut to, or how thick it has become; none where it changes none. */
export function predictedTarget({ sizes, before }: Pick<ReturnType<typeof sizesAlong>[number], 'sizes' | 'before'>): Target | undefined {
  const changed = sizes.find((size) => {
    const old = before.find(({ dimension }) => dimension === size.dimension)
    return size.unit === 'mm' && (!old || Math.abs(old.value - size.value) > SAME_MM)
  })
  return changed && { dimension: changed.dimension, label: changed.label, valueMm: changed.value, plusMinusMm: changed.plusMinus }
}
