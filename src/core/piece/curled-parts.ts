import { type CurledAnswer, curledBand, type Settling } from '../forming/anticlastic'
import type { AlloyId } from '../metals/alloys'
import type { OwnFigures } from '../tables/figures'
import { alloyWith } from '../tables/own-metal'
import type { PiecePlan } from './plan-piece'
import { partOfStep } from './words'

/** A closed band that is curled across until it is a tube, as its route has it. */
export interface CurledPart {
  readonly part: string
  readonly name: string
  readonly alloy: AlloyId
  readonly figures: OwnFigures
  readonly thicknessMm: number
  readonly stripMm: number
  /** Inside diameter of the band before it is curled. */
  readonly insideMm: number
}

const closes = ({ op, params }: PiecePlan['steps'][number]) =>
  op === 'close-tube' && typeof params.stripMm === 'number' && typeof params.insideMm === 'number'

/** Whether anything of a piece is curled to a tube. */
export const isCurled = ({ steps }: Pick<PiecePlan, 'steps'>) => steps.some(closes)

/** The parts of a piece that are curled to a tube out of a closed band. */
export function curledParts(plan: Pick<PiecePlan, 'parts' | 'assembly' | 'steps'>): CurledPart[] {
  return plan.parts.flatMap(({ id, name, metal }): CurledPart[] => {
    const step = plan.steps.find((one) => closes(one) && partOfStep(plan, one.on) === id)
    if (!step || !metal) return []
    const { alloy, figures = {}, thicknessMm } = metal
    return [{ part: id, name, alloy, figures, thicknessMm, stripMm: Number(step.params.stripMm), insideMm: Number(step.params.insideMm) }]
  })
}

/** The band so far curled that its edges have turned by an angle towards each other, however stretch and shrink share it. */
export function curlOf(part: CurledPart, turnRad: number, settling: Settling): CurledAnswer {
  const { thicknessMm, stripMm: widthMm, insideMm } = part
  const band = { ringRadiusMm: (insideMm + thicknessMm) / 2, widthMm, thicknessMm, turnRad }
  return curledBand(alloyWith(part.alloy, part.figures), band, settling)
}
