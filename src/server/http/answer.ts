import { randomUUID } from 'node:crypto'
import type { DoorAnswer } from '@/core/commands'

function problem(status: number, code: string, message: string): Response {
  return Response.json({ error: { code, message, issues: [] } }, { status })
}

/** 200 for an answer, 422 for bad input. */
export function respond(answer: DoorAnswer): Response {
  return Response.json(answer.body, { status: answer.ok ? 200 : 422 })
}

/** A clock that starts now, in seconds. */
export function makeClock(): () => number {
  const began = performance.now()
  return () => (performance.now() - began) / 1000
}

/** Whether a browser sent this from a page that is not ours. */
function isForeign(request: Request): boolean {
  const origin = request.headers.get('origin')
  return origin !== null && (URL.canParse(origin) ? new URL(origin).host : '') !== request.headers.get('host')
}

/** Runs a door on the request's JSON: 400 where it is not JSON, 500 with an id where the fault is ours. */
export async function withJson(request: Request, work: (raw: unknown) => DoorAnswer | Promise<DoorAnswer>): Promise<Response> {
  if (isForeign(request)) return problem(403, 'foreign-origin', 'this came from another site; open Fold Anvil itself')
  let raw: unknown
  try {
    raw = await request.json()
  } catch {
    return problem(400, 'not-json', 'the body is not JSON; send an object such as {"thicknessMm": "22 ga"}')
  }
  return guarded(async () => respond(await work(raw)))
}

/** Turns our own faults into a 500 with an id that also stands in the log; no stack trace reaches a person. */
export async function guarded(work: () => Response | Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    const id = randomUUID().slice(0, 8)
    console.error(`fault ${id}`, error)
    return problem(500, 'our-fault', `Something went wrong on our side. It is logged as ${id}; nothing you entered was changed.`)
  }
}

export function notFound(what: string): Response {
  return problem(404, 'not-found', what)
}
