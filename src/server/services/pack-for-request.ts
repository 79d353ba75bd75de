import { type DoorAnswer, readLayout } from '@/core/commands'
import type { LayoutInput } from '@/core/layout'
import { runTask } from '../long/run-task'

/** What one request may ask of the machine; the command line has no such ceiling. */
const MOST = { seconds: 30, pieces: 2000, vertices: 40_000 }
/** Seconds beyond those asked for after which the thread is ended: what is left over, lengths and remnants, takes a while too. */
const GRACE_S = 60

function overCeiling({ seconds, items, sheets, container }: LayoutInput): { path: string; message: string } | undefined {
  const pieces = items.reduce((sum, item) => sum + item.qty, 0)
  const outlines = [
    ...items.flatMap((item) => [item.outer ?? [], ...item.holes]),
    ...[...(sheets ?? []), ...(container ? [container] : [])].flatMap((sheet) => [
      sheet.outer,
      ...sheet.holes,
      ...(sheet.taken ?? []).flatMap((region) => [region.outer, ...region.holes]),
    ]),
  ]
  const vertices = outlines.reduce((sum, outline) => sum + outline.length, 0)
  if (seconds > MOST.seconds) return { path: 'seconds', message: `${seconds} s was asked for; the limit here is ${MOST.seconds} s` }
  if (pieces > MOST.pieces) return { path: 'items', message: `${pieces} pieces were given; the limit here is ${MOST.pieces}` }
  if (vertices > MOST.vertices) return { path: 'items', message: `${vertices} points were given; the limit here is ${MOST.vertices}` }
  return undefined
}

/** Nests blanks for a request: in a thread, within ceilings, ended when the one who asked has left. */
export async function packForRequest(raw: unknown, signal: AbortSignal): Promise<DoorAnswer> {
  const read = readLayout(raw)
  if (!read.ok) return read.answer
  const over = overCeiling(read.input)
  if (over) return { ok: false, body: { error: { code: 'bad-input', message: `Layout: ${over.path}: ${over.message}`, issues: [over] } } }
  return { ok: true, body: await runTask('pack', read.input, { seconds: read.input.seconds + GRACE_S, signal }) }
}
