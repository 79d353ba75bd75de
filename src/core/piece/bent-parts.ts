import { answerBend, type BendAnswer, type Sprung, sprungStrip } from '../forming/bend-answer'
import { modulusOfSpring } from '../forming/springback'
import type { AlloyId } from '../metals/alloys'
import type { OwnFigures } from '../tables/figures'
import { alloyWith } from '../tables/own-metal'
import type { PiecePlan } from './plan-piece'
import { metalsOf, type PartWalk, routeTemper } from './route-temper'
import { partOfStep } from './words'

/** A part that is bent round, as its route has it when it comes to the former. */
export interface BentPart {
  readonly part: string
  readonly name: string
  readonly alloy: AlloyId
  readonly figures: OwnFigures
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
  /** Radius it is to have, inside, mm. */
  readonly insideRadiusMm: number
  /** Hardening strain when it comes to the former. */
  readonly strain: number
  /** Whether its ends meet: what it springs the joint holds. */
  readonly isClosed: boolean
}

/** A strip is as good as closed where its ends come so near a full turn. */
const FULL_TURN = 0.97

/** The metal of a part just before a step of the route. */
function strainBefore({ walk, at }: PartWalk, step: number): number {
  const last = at.findLastIndex((index) => index < step)
  return (walk.steps[last] ?? walk.start).strain
}

/** The first step that bends a part round a former of which the radius is known; below 0 where there is none. */
function bendStep({ parts, assembly, steps }: Pick<PiecePlan, 'parts' | 'assembly' | 'steps'>, part: string): number {
  return steps.findIndex(
    ({ op, on, params: { manner = 'round', insideRadiusMm } }) =>
      (op === 'bend' || op === 'bend-on-bender') &&
      manner === 'round' &&
      typeof insideRadiusMm === 'number' &&
      insideRadiusMm > 0 &&
      partOfStep({ parts, assembly }, on) === part,
  )
}

/** Whether anything of a piece is bent round a former. */
export const isBent = (plan: PiecePlan) => plan.parts.some(({ id, metal }) => metal && bendStep(plan, id) >= 0)

/** The parts of a piece that are bent round a former out of a strip or a wire. */
export function bentParts(plan: PiecePlan): BentPart[] {
  if (!isBent(plan)) return []
  const walks = routeTemper(plan.assembly, metalsOf(plan)).parts
  return plan.parts.flatMap(({ id, name, result, metal }): BentPart[] => {
    const step = bendStep(plan, id)
    const walk = walks.find(({ part }) => part === id)
    const lengthMm = result?.blanks[0]?.lengthMm ?? result?.results.lengthMm?.value
    if (step < 0 || !metal || !walk || !lengthMm) return []
    const { alloy, figures = {}, thicknessMm, widthMm = thicknessMm } = metal
    const insideRadiusMm = Number(plan.steps[step]?.params.insideRadiusMm)
    const isClosed = lengthMm / (2 * Math.PI * (insideRadiusMm + thicknessMm / 2)) > FULL_TURN
    const strain = strainBefore(walk, step)
    return [{ part: id, name, alloy, figures, thicknessMm, widthMm, lengthMm, insideRadiusMm, strain, isClosed }]
  })
}

/** A part as the strip that is bent, by the middle of its metal. */
const stripOf = ({ thicknessMm, widthMm }: BentPart, insideRadiusMm: number, strain: number) => ({
  radiusMm: insideRadiusMm + thicknessMm / 2,
  thicknessMm,
  widthMm,
  strain,
})

/** How a part behaves bent to an inside radius, from the temper it has there. */
export function bendOf(part: BentPart, insideRadiusMm: number, strain = part.strain): BendAnswer {
  return answerBend(alloyWith(part.alloy, part.figures), stripOf(part, insideRadiusMm, strain))
}

/** What alone a part springs to from an inside radius: for many of them, as on a chart. */
export function sprungOf(part: BentPart, insideRadiusMm: number, strain = part.strain): Sprung {
  return sprungStrip(alloyWith(part.alloy, part.figures), stripOf(part, insideRadiusMm, strain))
}

/** Inside diameters of a trial: the former it was bent on, and what it opened to. */
interface Trial {
  readonly formerMm: number
  readonly measuredMm: number
  readonly strain: number
}

/** Stiffness in GPa of a part's metal as it is worked with, or as a trial strip of it shows it; undefined where no stiffness near it does. */
export function stiffnessOf(part: BentPart): number
export function stiffnessOf(part: BentPart, trial: Trial): number | undefined
export function stiffnessOf({ alloy: id, figures, thicknessMm, widthMm }: BentPart, trial?: Trial): number | undefined {
  const alloy = alloyWith(id, figures)
  if (!trial) return alloy.elasticModulusGPa
  const middle = (insideMm: number) => (insideMm + thicknessMm) / 2
  const strip = { radiusMm: middle(trial.formerMm), thicknessMm, widthMm, strain: trial.strain }
  return modulusOfSpring(alloy, strip, middle(trial.measuredMm))
}
