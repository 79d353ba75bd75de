import { type Remote, wrap } from 'comlink'
import type { DrawnAnswer, DrawnQuestion, DrawnRefused } from '@/core/drawn'
import type { OutlineInput, Refused } from '@/core/picture'
import type { OutlineApi, OutlineInPicture } from './outline.worker'

/** Asks a worker of its own; aborted or dead, it rejects. */
async function inWorker<T>(signal: AbortSignal | undefined, ask: (remote: Remote<OutlineApi>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./outline.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await new Promise((resolve, reject) => {
      worker.onerror = (event) => reject(new Error(event.message))
      signal?.addEventListener('abort', () => reject(new DOMException('stopped', 'AbortError')), { once: true })
      ask(wrap<OutlineApi>(worker)).then(resolve, reject)
    })
  } finally {
    worker.terminate()
  }
}

/** Measures an outline in a worker of its own; aborted or dead, it rejects. */
export const outlineInWorker = (file: Blob, input: OutlineInput, signal: AbortSignal): Promise<OutlineInPicture | Refused> =>
  inWorker<OutlineInPicture | Refused>(signal, (remote) => remote.measure(file, input))

/** Reads a drawing in a worker of its own, however much it draws; aborted or dead, it rejects. */
export const drawingInWorker = (file: Blob, question: DrawnQuestion, signal?: AbortSignal): Promise<DrawnAnswer | DrawnRefused> =>
  inWorker<DrawnAnswer | DrawnRefused>(signal, (remote) => remote.read(file, question))
