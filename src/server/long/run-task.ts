import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import type { TaskInput, TaskName, TaskOutput } from './tasks'

/** Why a task did not end well: it took too long, was called off, had no room, or too many wait. */
export class TaskEnded extends Error {
  readonly reason: 'too-long' | 'called-off' | 'too-much' | 'busy'
  constructor(reason: TaskEnded['reason'], message: string) {
    super(message)
    this.reason = reason
  }
}

interface TaskLimits {
  /** Seconds after which the thread is ended, whatever it is doing. */
  readonly seconds: number
  /** Calls it off: the one who asked has left. */
  readonly signal?: AbortSignal | undefined
  /** Hears how far the task is, 0 to 1. */
  readonly onShare?: (share: number) => void
}

type Said<N extends TaskName> = { readonly share: number } | { readonly output: TaskOutput<N> }

const AT_ONCE = 2
const MOST_WAITING = 8
const MEMORY_MB = 768

/** How many threads run, and who waits for one: shared by all bundles of one process. */
const queue = globalThis as typeof globalThis & { foldAnvilTasks?: { running: number; waiting: (() => void)[] } }

function slots() {
  queue.foldAnvilTasks ??= { running: 0, waiting: [] }
  return queue.foldAnvilTasks
}

async function takeSlot(): Promise<void> {
  const all = slots()
  if (all.running < AT_ONCE) {
    all.running++
    return
  }
  if (all.waiting.length >= MOST_WAITING) throw new TaskEnded('busy', 'Too many calculations are running. Try again in a moment.')
  await new Promise<void>((resolve) => all.waiting.push(resolve))
}

function giveSlot(): void {
  const all = slots()
  const next = all.waiting.shift()
  if (next) next()
  else all.running--
}

function inThread<N extends TaskName>(name: N, input: TaskInput<N>, { seconds, signal, onShare }: TaskLimits): Promise<TaskOutput<N>> {
  const file = join(/*turbopackIgnore: true*/ process.cwd(), 'dist', 'long-work.mjs')
  const worker = new Worker(file, { workerData: { name, input }, resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } })
  return new Promise((resolve, reject) => {
    const end = (settle: () => void) => {
      clearTimeout(timer)
      signal?.removeEventListener('abort', leave)
      void worker.terminate()
      settle()
    }
    const leave = () => end(() => reject(new TaskEnded('called-off', 'Called off.')))
    const timer = setTimeout(
      () =>
        end(() => reject(new TaskEnded('too-long', `This took longer than ${Math.round(seconds)} s and was ended. Ask for less at once.`))),
      seconds * 1000,
    )
    signal?.addEventListener('abort', leave, { once: true })
    worker.on('message', (said: Said<N>) => {
      if ('share' in said) onShare?.(said.share)
      else end(() => resolve(said.output))
    })
    worker.once('error', (error) =>
      end(() =>
        reject(
          'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY'
            ? new TaskEnded('too-much', 'This needs more memory than there is. Ask for less at once.')
            : error,
        ),
      ),
    )
    if (signal?.aborted) leave()
  })
}

/** Runs a task in a thread of its own, so that everybody else is answered meanwhile; two at a time, the others wait their turn. */
export async function runTask<N extends TaskName>(name: N, input: TaskInput<N>, limits: TaskLimits): Promise<TaskOutput<N>> {
  await takeSlot()
  try {
    return await inThread(name, input, limits)
  } finally {
    giveSlot()
  }
}
