import type { EtchAnswer, EtchBath, EtchChoices, EtchInput, EtchRun } from '../etching'
import type { Outline } from '../geometry/point'
import type { Mark, MarksInput } from '../marks'
import type { AlloyId } from '../metals/alloys'
import type { OperationId } from '../operations/catalogue'
import type { OwnFigures } from '../tables/figures'
import type { AskedStep } from './asked-step'
import { bentParts } from './bent-parts'
import { dappedParts } from './dapped-parts'
import type { PieceDesign } from './design'
import type { DesignStep } from './design-step'
import { ownHoles } from './own-holes'
import type { PiecePlan } from './plan-piece'
import { isOnPart } from './put-on-route'

/** A part with a sheet blank that can be marked, what is on it, and what it is formed into afterwards. */
export interface MarkedPart {
  readonly part: string
  readonly name: string
  readonly blank: string
  readonly outer: Outline
  readonly holes: readonly Outline[]
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly marks: readonly Mark[]
  readonly etch?: EtchChoices | undefined
  readonly after?: MarksInput['after']
  readonly figures: OwnFigures
  /** What its route does to it. */
  readonly steps: readonly Pick<DesignStep, 'op' | 'on' | 'params'>[]
}

/** What the route makes of a part’s blank once it is marked; undefined where it stays flat or is formed in a way that marks are not followed in. */
function afterOf(plan: PiecePlan, id: string): MarksInput['after'] {
  const domed = dappedParts(plan).find(({ part }) => part === id)
  if (domed && domed.stages.length > 0) return { kind: 'dome', punchesMm: domed.stages.map(({ punchMm }) => punchMm) }
  const bent = bentParts(plan).find(({ part, isClosed }) => part === id && isClosed)
  return bent ? { kind: 'bend', insideDiameterMm: 2 * bent.insideRadiusMm, outside: 'front' } : undefined
}

/** The parts of a piece whose blanks are sheet: each can be marked while it is flat. */
export function markedParts(design: PieceDesign, plan: PiecePlan): readonly MarkedPart[] {
  return plan.parts.flatMap(({ id, name, result, metal }) => {
    const blank = result?.blanks.find(({ stock }) => stock === 'sheet')
    if (!blank) return []
    const after = afterOf(plan, id)
    const own = design.parts.find((part) => part.id === id)
    return [
      {
        part: id,
        name,
        blank: blank.name,
        outer: blank.outline,
        holes: blank === result?.blanks[0] ? ownHoles(result) : blank.holes,
        alloy: blank.alloy,
        thicknessMm: blank.thicknessMm,
        marks: own?.marks ?? [],
        etch: own?.etch,
        figures: metal?.figures ?? {},
        steps: plan.steps.filter((step) => isOnPart(step, id)),
        ...(after ? { after } : {}),
      },
    ]
  })
}

const pairs = (ring: Outline): [number, number][] => ring.map(([x, y]) => [x, y])

/** What is asked of a marked part, with the tools and figures at hand. */
export function marksQuestion(
  { outer, holes, alloy, thicknessMm, marks, after }: MarkedPart,
  bench: Pick<MarksInput, 'owned' | 'figures'>,
): MarksInput {
  return { outer: pairs(outer), holes: holes.map(pairs), alloy, thicknessMm, marks: [...marks], after, ...bench }
}

/** What a mark is made by on the route. */
const MADE_BY: Readonly<Record<Mark['kind'], readonly [OperationId, ...OperationId[]]>> = {
  letters: ['letter', 'stamp'],
  repeat: ['stamp', 'letter'],
  stamp: ['stamp', 'letter'],
  hallmark: ['stamp', 'letter'],
  map: ['stamp', 'drill'],
  holes: ['drill', 'punch-hole'],
}

/** The steps that a part’s marks ask for: one of the ways of making each, that which the route has where it has one. */
export function markSteps({ marks, steps }: Pick<MarkedPart, 'marks' | 'steps'>): readonly AskedStep[] {
  const asked = marks.map((mark): AskedStep => {
    const ways = MADE_BY[mark.kind]
    const op = ways.find((way) => steps.some((step) => step.op === way)) ?? ways[0]
    return { op, params: mark.kind === 'holes' && op === 'drill' ? { diameterMm: mark.diameterMm } : {} }
  })
  return asked.filter(({ op }, i) => asked.findIndex((other) => other.op === op) === i)
}

/** The steps that a part’s etch asks for: its resist on and off, and the etch with its depth, its current and its minutes. */
export function etchSteps({ etch }: Pick<MarkedPart, 'etch'>, answer: EtchAnswer | undefined): readonly AskedStep[] {
  if (!etch || !answer || answer.minutes === 0) return []
  const round = (value: number, digits: number) => Number(value.toFixed(digits))
  const isTaped = etch.back === 'taped' && !etch.bothSides
  const plain = (op: OperationId): AskedStep => ({ op, params: {} })
  return [
    ...(etch.resist === 'toner-transfer' ? [plain('transfer-resist'), plain('rub-paper')] : []),
    plain('touch-up-resist'),
    ...(etch.edges === 'sealed' ? [plain('seal-edges')] : []),
    ...(isTaped ? [plain('tape-back')] : []),
    {
      op: 'etch',
      params: {
        solution: etch.bath,
        depthMm: round(answer.depthMm, 3),
        currentA: round(answer.currentA, 3),
        minutes: round(answer.minutes, 1),
      },
    },
    ...(isTaped ? [plain('untape')] : []),
    plain('strip-resist'),
  ]
}

/** An etch that was logged: the bath it was made in, and the metal. */
export interface LoggedRun extends EtchRun {
  readonly bath: EtchBath
  readonly alloy: AlloyId
}

/** What is asked of an etch of a part, with what was etched in such a bath before; undefined where none is chosen. */
export function etchQuestion(
  { outer, holes, alloy, thicknessMm, etch, figures }: MarkedPart,
  logged: readonly LoggedRun[],
): EtchInput | undefined {
  if (!etch) return undefined
  const runs = logged.flatMap(({ bath, alloy: of, ...run }) => (bath === etch.bath && of === alloy ? [run] : []))
  return { outer: pairs(outer), holes: holes.map(pairs), alloy, thicknessMm, ...etch, runs, figures: { ...figures } }
}
