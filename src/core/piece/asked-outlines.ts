import { planOf } from '../drawing/solid/slice'
import { finishedMesh } from '../drawing/solid/stand'
import { solidsOf } from '../forms/solids-of'
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

/** The outlines that the parts of a piece should have: each blank cut from sheet, and the finished part seen from above. */
export function askedOutlines({ parts }: PiecePlan): AskedOutline[] {
  return parts.flatMap(({ id, name, result }): AskedOutline[] => {
    if (!result) return []
    const own = { part: id, name }
    const [blank] = result.blanks
    const blanks: AskedOutline[] =
      blank && blank.stock === 'sheet' ? [{ ...own, as: 'blank', region: { outer: blank.outline, holes: blank.holes } }] : []
    const [above] = planOf(finishedMesh(solidsOf(result))).sort((a, b) => netAreaMm2(b.outer) - netAreaMm2(a.outer))
    return [...blanks, ...(result.solids && above ? [{ ...own, as: 'finished' as const, region: above }] : [])]
  })
}
