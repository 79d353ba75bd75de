import { GUIDE_WORDS, mirrored } from '@/core/drawing'
import { markPlan, marksGuide } from '@/core/marks'
import { marksQuestion } from '@/core/piece'
import { planOptions } from '../services/piece-plan'
import { workshop } from '../workshop'
import { notFound } from './answer'
import { markedPartOf } from './marked-part'
import { ofWorkshop } from './of-workshop'
import { isPatternKind, patternFile } from './pattern-file'

/** The guide of a part’s marks at full size: one face of its blank, as SVG, DXF or PDF. */
export function fileOfMarks(request: Request, pieceId: number, kind: string): Promise<Response> {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const asked = new URL(request.url).searchParams
    const found = markedPartOf(request, pieceId)
    if (!found || !isPatternKind(kind)) return notFound('nothing of this piece is cut from sheet')
    const { part, piece } = found
    const face = asked.get('face') === 'back' ? 'back' : 'front'
    const { marks } = markPlan(marksQuestion(part, { owned: [...planOptions(repositories).tools], figures: part.figures }))
    const guide = marksGuide(part, marks, face)
    const isMirrored = asked.get('mirror') === '1'
    const title = `${piece.name}, marks${face === 'back' ? ' of the back' : ''}${isMirrored ? ', mirrored' : ''}`
    const names = { title, file: `marks-${pieceId}`, say: GUIDE_WORDS }
    return patternFile(isMirrored ? mirrored(guide) : guide, names, kind, repositories, request.signal)
  })
}
