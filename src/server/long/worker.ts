import { parentPort, workerData } from 'node:worker_threads'
import { TASKS, type TaskName } from './tasks'

/** One task, then the thread ends. */
async function main(): Promise<void> {
  const { name, input } = workerData as { readonly name: TaskName; readonly input: never }
  parentPort?.postMessage({ output: await TASKS[name](input, (share) => parentPort?.postMessage({ share })) })
}

void main()
