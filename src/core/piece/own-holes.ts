import type { FormResult } from '../forms/contract'
import { boundsOf, type Outline } from '../geometry/point'

/** A drawing shows the blank itself where its box is the blank’s within what is left for the file, mm. */
const FILE_MM = 1

/** The holes of a part’s first blank: those it is cut with, else those that are made in it once it is cut, as it is drawn. */
export function ownHoles({ blanks, drawing }: Pick<FormResult, 'blanks' | 'drawing'>): readonly Outline[] {
  const [blank] = blanks
  if (blank?.stock !== 'sheet' || blank.holes.length > 0) return blank?.holes ?? []
  const own = boundsOf(blank.outline)
  const drawn = drawing.views.find(({ id }) => id === 'blank')?.shapes ?? []
  for (const shape of drawn) {
    if (shape.kind !== 'region' || shape.layer !== 'metal') continue
    const box = boundsOf(shape.outer)
    const isBlank = (['minX', 'maxX', 'minY', 'maxY'] as const).every((side) => Math.abs(box[side] - own[side]) <= FILE_MM)
    if (isBlank) return shape.holes
  }
  return []
}
