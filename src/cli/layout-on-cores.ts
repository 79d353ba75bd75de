import { availableParallelism } from 'node:os'
import { parentPort, Worker, workerData } from 'node:worker_threads'
import { type DoorAnswer, readLayout } from '@/core/commands'
import { answerLayout, Exchange, isBetter, type LayoutAnswer, type LayoutInput, sharedFor } from '@/core/layout'

/** Under so many seconds one search alone is done before a second has begun. */
const WORTH_S = 3

/** What a thread is handed: the instance with a seed of its own, and the memory in which the searches tell each other what they come to. */
interface Handed {
  readonly input: LayoutInput
  readonly memory: SharedArrayBuffer | undefined
}

function search({ input, memory }: Handed, own: number): LayoutAnswer {
  const began = performance.now()
  return answerLayout(input, () => (performance.now() - began) / 1000, memory && new Exchange(input, memory, own))
}

/** What the second thread does: the search it was handed. */
export function searchInThread(): void {
  parentPort?.postMessage(search(workerData as Handed, 1))
}

/** Lays blanks on two cores, each from a seed of its own, and gives the better of the two. */
export async function layoutOnCores(raw: unknown, file: URL): Promise<DoorAnswer> {
  const read = readLayout(raw)
  if (!read.ok) return read.answer
  const { input } = read
  if (availableParallelism() < 2 || input.seconds < WORTH_S) return { ok: true, body: search({ input, memory: undefined }, 0) }
  // where attempts are counted, the same is to come of them each time: what another has come to by then is not
  const memory = input.iterations === null ? sharedFor(input, 2) : undefined
  const worker = new Worker(file, { workerData: { input: { ...input, seed: input.seed + 1 }, memory } satisfies Handed })
  const other = new Promise<LayoutAnswer>((resolve, reject) => {
    worker.once('message', resolve)
    worker.once('error', reject)
  })
  const own = search({ input, memory }, 0)
  // a thread that found no memory leaves the search of this one
  const second = await other.catch(() => own)
  return { ok: true, body: isBetter(input, second.placements, own.placements) ? second : own }
}
