import { type Remote, wrap } from 'comlink'
import type { LayoutInput, LayoutSolution } from '@/core/layout'
import type { PackApi } from './pack.worker'

/** Packs in a worker; aborting ends the worker at once, and a worker that dies rejects instead of hanging. */
export function packInWorker(input: LayoutInput, signal: AbortSignal): Promise<LayoutSolution> {
  const worker = new Worker(new URL('./pack.worker.ts', import.meta.url), { type: 'module' })
  const remote: Remote<PackApi> = wrap<PackApi>(worker)
  return new Promise<LayoutSolution>((resolve, reject) => {
    const end = (settle: () => void) => {
      worker.terminate()
      settle()
    }
    signal.addEventListener('abort', () => end(() => reject(new Error('stopped'))), { once: true })
    worker.onerror = (event) => end(() => reject(new Error(event.message)))
    remote.pack(input).then(
      (solution) => end(() => resolve(solution)),
      (error: unknown) => end(() => reject(error)),
    )
  })
}
