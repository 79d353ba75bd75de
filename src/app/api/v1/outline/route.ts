import { withBytes } from '@/server/http/answer'
import { outlineOfBody } from '@/server/http/outline-of-body'

/** The outline that a photograph shows on the measuring card, or that a drawing draws: the file is the body. */
export async function POST(request: Request) {
  return withBytes(request, (bytes) => outlineOfBody(request, bytes))
}
