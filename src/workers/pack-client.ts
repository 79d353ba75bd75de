import { proxy, type Remote, wrap } from 'comlink'
import { isBetter, type LayoutInput, type Placement, sharedFor } from '@/core/layout'
import type { Beside, PackApi } from './pack.worker'

/** Searches that run beside one another, each from a seed of its own; no more than there are cores. */
const MOST_WORKERS = 2

/** One search in a worker of its own; a worker that dies rejects instead of hanging. */
function searchIn(
  worker: Worker,
  input: LayoutInput,
  tell: (placements: readonly Placement[]) => void,
  beside: Beside | undefined,
): Promise<void> {
  const remote: Remote<PackApi> = wrap<PackApi>(worker)
  return new Promise((resolve, reject) => {
    worker.onerror = (event) => reject(new Error(event.message))
    remote.pack(input, proxy(tell), beside).then(({ placements }) => {
      tell(placements)
      resolve()
    }, reject)
  })
}

/**
 * Packs in workers, on two cores where there are two, and tells of each way that is better than all before. Aborted, it ends at once, and what was
 * told last stands; it fails only where every search does.
 */
export async function packInWorkers(
  input: LayoutInput,
  signal: AbortSignal,
  tell: (placements: readonly Placement[]) => void,
): Promise<void> {
  const count = Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1))
  const workers = Array.from({ length: count }, () => new Worker(new URL('./pack.worker.ts', import.meta.url), { type: 'module' }))
  let best: readonly Placement[] | undefined
  const hear = (placements: readonly Placement[]) => {
    if (signal.aborted || (best && !isBetter(input, placements, best))) return
    best = placements
    tell(placements)
  }
  const stopped = new Promise<void>((resolve) => signal.addEventListener('abort', () => resolve(), { once: true }))
  try {
    // only over a connection that cannot be listened to does a browser share memory; without it each searches for itself
    const memory = globalThis.crossOriginIsolated && input.iterations === null ? sharedFor(input, count) : undefined
    const searches = workers.map((worker, own) => searchIn(worker, { ...input, seed: input.seed + own }, hear, memory && { memory, own }))
    const all = Promise.allSettled(searches).then((ends) => {
      const [failed] = ends.flatMap((end) => (end.status === 'rejected' ? [end.reason] : []))
      if (failed && ends.every(({ status }) => status === 'rejected')) throw failed
    })
    await Promise.race([all, stopped])
  } finally {
    for (const worker of workers) worker.terminate()
  }
}

/** The best that a search comes to in the seconds it has. */
export async function bestPacked(input: LayoutInput, signal: AbortSignal): Promise<readonly Placement[]> {
  let best: readonly Placement[] = []
  await packInWorkers(input, signal, (next) => {
    best = next
  })
  return best
}
