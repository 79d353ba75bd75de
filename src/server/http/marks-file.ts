import { GUIDE_WORDS, mirrored } from '@/core/drawing'
import { markPlan, marksGuide } from '@/core/marks'
import { markedParts, marksQuestion } from '@/core/piece'
import { planDesign, planOptions } from '../services/piece-plan'
import { workshop } from '../workshop'
import { notFound } from './answer'
import { ofWorkshop } from './of-workshop'
import { isPatternKind, patternFile } from './pattern-file'

/** The guide of a part’s marks at full size: one face of its blank, as SVG, DXF or PDF. */
export function fileOfMarks(request: Request, pieceId: number, kind: string): Promise<Response> {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const asked = new URL(request.url).searchParams
    const piece = repositories.jobs.piece(pieceId)
    if (!piece || !isPatternKind(kind)) return notFound('this piece is not there')
    const options = planOptions(repositories)
    const parts = markedParts(piece.design, planDesign(piece.design, options))
    const part = parts.find(({ part: id }) => id === asked.get('part')) ?? parts[0]
    if (!part) return notFound('nothing of this piece is cut from sheet')
    const face = asked.get('face') === 'back' ? 'back' : 'front'
    const { marks } = markPlan(marksQuestion(part, { owned: [...options.tools], figures: part.figures }))
    const guide = marksGuide(part, marks, face)
    const isMirrored = asked.get('mirror') === '1'
    const title = `${piece.name}, marks${face === 'back' ? ' of the back' : ''}${isMirrored ? ', mirrored' : ''}`
    return patternFile(
      isMirrored ? mirrored(guide) : guide,
      { title, file: `marks-${pieceId}`, say: GUIDE_WORDS },
      kind,
      repositories,
      request.signal,
    )
  })
}
