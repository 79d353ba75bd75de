import type { EtchChoices, EtchInput } from '../etching'
import type { Outline } from '../geometry/point'
import type { Mark, MarksInput } from '../marks'
import type { AlloyId } from '../metals/alloys'
import type { OwnFigures } from '../tables/figures'
import { bentParts } from './bent-parts'
import { dappedParts } from './dapped-parts'
import type { PieceDesign } from './design'
import type { PiecePlan } from './plan-piece'

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
  /** Operations that its route does to it. */
  readonly ops: readonly string[]
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
        holes: blank.holes,
        alloy: blank.alloy,
        thicknessMm: blank.thicknessMm,
        marks: own?.marks ?? [],
        etch: own?.etch,
        figures: metal?.figures ?? {},
        ops: plan.steps.filter(({ on }) => on.some(({ thing }) => thing === id || thing === 'piece')).map(({ op }) => op),
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
const MADE_BY: Readonly<Record<Mark['kind'], readonly [string, ...string[]]>> = {
  letters: ['letter', 'stamp'],
  repeat: ['stamp', 'letter'],
  stamp: ['stamp', 'letter'],
  hallmark: ['stamp', 'letter'],
  map: ['stamp', 'drill'],
  holes: ['drill', 'punch-hole'],
}

/** Operations that a part’s marks and etch ask for, and its route does not have. */
export function missingSteps({ marks, etch, ops }: Pick<MarkedPart, 'marks' | 'etch' | 'ops'>): readonly string[] {
  const asked = [...marks.map(({ kind }) => MADE_BY[kind]), ...(etch ? [['etch'] as const] : [])]
  return [...new Set(asked.filter((ways) => !ways.some((op) => ops.includes(op))).map(([op]) => op))]
}

/** What is asked of an etch of a part; undefined where none is chosen. */
export function etchQuestion({ outer, holes, alloy, thicknessMm, etch, figures }: MarkedPart): EtchInput | undefined {
  if (!etch) return undefined
  return { outer: pairs(outer), holes: holes.map(pairs), alloy, thicknessMm, ...etch, runs: [], figures: { ...figures } }
}

/** What is done to a part’s blank while it is flat. */
interface Work {
  readonly marks: readonly Mark[]
  readonly etch: EtchChoices | undefined
}

/** The design with something else done to the blank of a part. */
export function withWork(design: PieceDesign, id: string, change: Partial<Work>): PieceDesign {
  return {
    ...design,
    parts: design.parts.map((part) => {
      if (part.id !== id) return part
      const { marks: oldMarks, etch: oldEtch, ...plain } = part
      const { marks, etch } = { marks: oldMarks ?? [], etch: oldEtch, ...change }
      return { ...plain, ...(marks.length > 0 ? { marks } : {}), ...(etch ? { etch } : {}) }
    }),
  }
}
