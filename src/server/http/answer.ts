import { randomUUID } from 'node:crypto'
import { type DoorAnswer, depthFault } from '@/core/commands'
import { WorkshopBroken } from '../db/connection'
import { storeFaultOf } from '../db/faults'
import { TaskEnded } from '../long/run-task'
import { mostBodyBytes, tooLargeWords } from '../serve/guard'

/** A refusal in words, in the shape every interface gives it. */
export function problem(status: number, code: string, message: string): Response {
  return Response.json({ error: { code, message, issues: [] } }, { status })
}

const STATUS: Readonly<Record<string, number>> = { 'not-found': 404, conflict: 409, 'not-done': 409, 'other-workshop': 409, busy: 429 }

/** 200 for an answer, 404 and 409 where the refusal says so, else 422 for bad input. */
export function respond(answer: DoorAnswer): Response {
  return Response.json(answer.body, { status: answer.ok ? 200 : (STATUS[answer.body.error.code] ?? 422) })
}

/** A clock that starts now, in seconds. */
export function makeClock(): () => number {
  const began = performance.now()
  return () => (performance.now() - began) / 1000
}

/** A NUL character, bare or escaped: the store would take a text to end there. */
const NUL = /\0|(?<!\\)(?:\\\\)*\\u0000/

const pathOf = (request: Request) => new URL(request.url).pathname

async function textOf(request: Request): Promise<string | undefined> {
  const declared = Number(request.headers.get('content-length') ?? '0')
  const most = mostBodyBytes(pathOf(request))
  if (declared > most) return undefined
  const text = await request.text()
  return text.length > most ? undefined : text
}

const tooLarge = (request: Request) => problem(413, 'too-large', tooLargeWords(pathOf(request)))

/** Runs a route on the request's bytes: 413 where there are too many of them. */
export async function withBytes(request: Request, work: (bytes: Uint8Array) => Response | Promise<Response>): Promise<Response> {
  const most = mostBodyBytes(pathOf(request))
  if (Number(request.headers.get('content-length') ?? '0') > most) return tooLarge(request)
  const bytes = new Uint8Array(await request.arrayBuffer())
  return bytes.byteLength > most ? tooLarge(request) : guarded(() => work(bytes))
}

/** Runs an interface on the request's JSON: 400 where it is not JSON, 413 where it is too large, 500 with an id where the fault is ours. */
export async function withJson(request: Request, work: (raw: unknown) => DoorAnswer | Promise<DoorAnswer>): Promise<Response> {
  const text = await textOf(request)
  if (text === undefined) return tooLarge(request)
  const deep = depthFault(text)
  if (deep) return problem(400, 'too-deep', deep)
  if (NUL.test(text)) return problem(400, 'no-text', 'the body contains a NUL character, which no text may contain')
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return problem(400, 'not-json', 'the body is not JSON; send an object such as {"thicknessMm": "22 ga"}')
  }
  return guarded(async () => respond(await work(raw)))
}

/** The disk's faults and work that was ended in words; our own as a 500 with an id that also stands in the log. No stack reaches a person. */
export async function guarded(work: () => Response | Promise<Response>): Promise<Response> {
  try {
    return await work()
  } catch (error) {
    if (error instanceof TaskEnded) return problem(error.reason === 'busy' ? 429 : 422, error.reason, error.message)
    const fault = storeFaultOf(error)
    if (fault) return problem(507, fault.code, fault.message)
    if (error instanceof WorkshopBroken) return problem(503, 'workshop-broken', error.message)
    const id = randomUUID().slice(0, 8)
    console.error(`fault ${id}`, error)
    return problem(500, 'our-fault', `Something went wrong on our side. It is logged as ${id}; nothing you entered was changed.`)
  }
}

export function notFound(what: string): Response {
  return problem(404, 'not-found', what)
}
