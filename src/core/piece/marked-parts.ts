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
  readonly after?: MarksInput['after']
  readonly figures: OwnFigures
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
    return [
      {
        part: id,
        name,
        blank: blank.name,
        outer: blank.outline,
        holes: blank.holes,
        alloy: blank.alloy,
        thicknessMm: blank.thicknessMm,
        marks: design.parts.find((part) => part.id === id)?.marks ?? [],
        figures: metal?.figures ?? {},
        ...(after ? { after } : {}),
      },
    ]
  })
}

/** What is asked of a marked part, with the tools and figures at hand. */
export function marksQuestion(
  { outer, holes, alloy, thicknessMm, marks, after }: MarkedPart,
  bench: Pick<MarksInput, 'owned' | 'figures'>,
): MarksInput {
  return { outer: [...outer], holes: holes.map((hole) => [...hole]), alloy, thicknessMm, marks: [...marks], after, ...bench } as MarksInput
}

/** The design with other marks on a part. */
export function withMarks(design: PieceDesign, id: string, marks: readonly Mark[]): PieceDesign {
  return {
    ...design,
    parts: design.parts.map((part) => {
      if (part.id !== id) return part
      const { marks: _, ...plain } = part
      return marks.length > 0 ? { ...plain, marks } : plain
    }),
  }
}
