import { artworkSvg, etchPlan } from '@/core/etching'
import { etchQuestion } from '@/core/piece'
import { notFound } from './answer'
import { markedPartOf } from './marked-part'
import { ofWorkshop } from './of-workshop'

/** The artwork of a part’s etch as SVG at full size, mirrored where its resist is laid on face down. */
export function fileOfArtwork(request: Request, pieceId: number): Promise<Response> {
  return ofWorkshop(request, async () => {
    const found = markedPartOf(request, pieceId)
    const asked = found && etchQuestion(found.part, [])
    if (!found || !asked) return notFound('nothing of this piece is etched')
    const { covered, isMirrored } = etchPlan(asked)
    const title = `${found.piece.name}, artwork${isMirrored ? ', mirrored' : ''}`
    return new Response(artworkSvg(title, found.part, covered, isMirrored), {
      headers: { 'content-type': 'image/svg+xml', 'content-disposition': `attachment; filename="artwork-${pieceId}.svg"` },
    })
  })
}
