import { planOf } from '../drawing/solid/slice'
import { finishedMesh } from '../drawing/solid/stand'
import type { FormResult } from '../forms/contract'
import type { Region } from '../geometry/clip'
import { netAreaMm2 } from '../geometry/outline'
import type { PiecePlan } from './plan-piece'

/** An outline that a photograph of a part can be laid on. */
export interface AskedOutline {
  readonly part: string
  readonly name: string
  readonly as: 'blank' | 'finished'
  readonly region: Region
}

/** The finished part seen from above: its form in three dimensions, or of flat work the drawing, without what the blank has for the file. */
function finishedOf(result: FormResult): Region | undefined {
  if (result.solids) return planOf(finishedMesh(result.solids)).sort((a, b) => netAreaMm2(b.outer) - netAreaMm2(a.outer))[0]
  const drawn = result.drawing.views.find(({ id }) => id === 'blank')?.shapes
  return drawn?.find((shape) => shape.kind === 'region' && shape.layer === 'metal') as Region | undefined
}

/** The outlines that the parts of a piece should have: the finished part seen from above, and each blank cut from sheet. */
export function askedOutlines({ parts }: PiecePlan): AskedOutline[] {
  return parts.flatMap(({ id, name, result }): AskedOutline[] => {
    if (!result) return []
    const own = { part: id, name }
    const [blank] = result.blanks
    const blanks: AskedOutline[] =
      blank && blank.stock === 'sheet' ? [{ ...own, as: 'blank', region: { outer: blank.outline, holes: blank.holes } }] : []
    const finished = finishedOf(result)
    return [...(finished ? [{ ...own, as: 'finished' as const, region: { outer: finished.outer, holes: finished.holes } }] : []), ...blanks]
  })
}
