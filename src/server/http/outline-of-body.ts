import { runTask } from '../long/run-task'
import { problem, respond } from './answer'

/** Types of what is drawn; all else is taken for a picture. */
const DRAWN = /svg|dxf|^text\//

/** Options beside the body: numbers of the address as numbers, the card’s own lines together, and so the two points. */
function optionsOf(asked: URLSearchParams): Record<string, unknown> {
  const { card, cardLineXMm, cardLineYMm, points, ...rest } = Object.fromEntries(asked)
  const lines = { ...(cardLineXMm ? { lineXMm: Number(cardLineXMm) } : {}), ...(cardLineYMm ? { lineYMm: Number(cardLineYMm) } : {}) }
  const isMeasured = Object.keys(lines).length > 0
  const [fromX, fromY, toX, toY] = (points ?? '').split(',').map(Number)
  const pointed =
    points === undefined
      ? {}
      : {
          points: [
            [fromX, fromY],
            [toX, toY],
          ],
        }
  return { ...rest, ...pointed, ...(card || isMeasured ? { card: isMeasured ? { field: card ?? 'white', ...lines } : card } : {}) }
}

/** A picture is worked out within so many seconds, in a thread of its own. */
const SECONDS = 60

/** The outline of what lies on the measuring card of the photograph that is the body, or of the SVG or DXF that it is. */
export async function outlineOfBody(request: Request, bytes: Uint8Array): Promise<Response> {
  if (bytes.byteLength === 0) return problem(400, 'no-picture', 'the body is empty; send the photograph or the drawing itself as the body')
  const isDrawing = DRAWN.test(request.headers.get('content-type') ?? '')
  const options = optionsOf(new URL(request.url).searchParams)
  return respond(await runTask('outline', { bytes, isDrawing, options }, { seconds: SECONDS, signal: request.signal }))
}
