import { fileOfArtwork } from '@/server/http/artwork-file'

/** The artwork of a part’s etch at full size, mirrored where it is laid on face down. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return fileOfArtwork(request, Number((await params).id))
}
