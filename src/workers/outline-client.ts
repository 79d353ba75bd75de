import { type Remote, wrap } from 'comlink'
import type { OutlineAnswer, OutlineInput, Refused } from '@/core/picture'
import type { OutlineApi } from './outline.worker'

/** Measures an outline in a worker of its own; aborted or dead, it rejects. */
export async function outlineInWorker(file: Blob, input: OutlineInput, signal: AbortSignal): Promise<OutlineAnswer | Refused> {
  const worker = new Worker(new URL('./outline.worker.ts', import.meta.url), { type: 'module' })
  const remote: Remote<OutlineApi> = wrap<OutlineApi>(worker)
  try {
    return await new Promise((resolve, reject) => {
      worker.onerror = (event) => reject(new Error(event.message))
      signal.addEventListener('abort', () => reject(new DOMException('stopped', 'AbortError')), { once: true })
      remote.measure(file, input).then(resolve, reject)
    })
  } finally {
    worker.terminate()
  }
}
