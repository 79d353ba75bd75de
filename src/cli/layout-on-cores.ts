import { availableParallelism } from 'node:os'
import { parentPort, Worker, workerData } from 'node:worker_threads'
import { type DoorAnswer, readLayout } from '@/core/commands'
import { answerLayout, isBetter, type LayoutAnswer, type LayoutInput } from '@/core/layout'

/** Under so many seconds one search alone is done before a second has begun. */
const WORTH_S = 3

function search(input: LayoutInput): LayoutAnswer {
  const began = performance.now()
  return answerLayout(input, () => (performance.now() - began) / 1000)
}

/** What the second thread does: the search it was handed. */
export function searchInThread(): void {
  parentPort?.postMessage(search(workerData as LayoutInput))
}

/** Lays blanks on two cores, each from a seed of its own, and gives the better of the two. */
export async function layoutOnCores(raw: unknown, file: URL): Promise<DoorAnswer> {
  const read = readLayout(raw)
  if (!read.ok) return read.answer
  const { input } = read
  if (availableParallelism() < 2 || input.seconds < WORTH_S) return { ok: true, body: search(input) }
  const worker = new Worker(file, { workerData: { ...input, seed: input.seed + 1 } satisfies LayoutInput })
  const other = new Promise<LayoutAnswer>((resolve, reject) => {
    worker.once('message', resolve)
    worker.once('error', reject)
  })
  const own = search(input)
  // a thread that found no memory leaves the search of this one
  const second = await other.catch(() => own)
  return { ok: true, body: isBetter(input, second.placements, own.placements) ? second : own }
}
