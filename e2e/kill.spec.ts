import { type ChildProcess, spawn } from 'node:child_process'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'

const PORT = 4323
const BASE = `http://127.0.0.1:${PORT}`
const env = { ...process.env, FOLD_ANVIL_OPEN: 'demo', FOLD_ANVIL_DATA: join(process.env.E2E_DATA ?? '', 'killed') }

async function start(): Promise<ChildProcess> {
  const server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '--hostname', '127.0.0.1', '--port', String(PORT)], {
    env,
    stdio: 'ignore',
    detached: true,
  })
  for (let n = 0; n < 150; n++) {
    try {
      if ((await fetch(`${BASE}/api/v1/trays/2/readings`)).ok) return server
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
  throw new Error('the server did not start')
}

/** kill -9 for the server and all it started. */
function kill(server: ChildProcess): void {
  if (server.pid) process.kill(-server.pid, 'SIGKILL')
}

test('killed in the middle of logging, every acknowledged reading is there after a new start', async () => {
  await new Promise((resolve) => spawn('node', ['dist/seed.mjs'], { env, stdio: 'ignore' }).on('exit', resolve))
  let server = await start()
  const acknowledged: string[] = []
  let running = true
  const senders = [0, 1, 2].map(async (sender) => {
    for (let n = 0; running; n++) {
      const token = `kill-${sender}-${n}-token`
      try {
        const response = await fetch(`${BASE}/api/v1/trays/2/readings`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            token,
            workpiece: 1 + (n % 26),
            stepId: 'finish-8',
            dimension: 'heightMm',
            value: 7 + n / 1000,
            instrument: 'typed',
          }),
        })
        if (response.ok) acknowledged.push(token)
      } catch {
        return
      }
    }
  })
  while (acknowledged.length < 120) await new Promise((resolve) => setTimeout(resolve, 5))
  kill(server)
  running = false
  await Promise.all(senders)
  server = await start()
  const kept = new Set(
    ((await (await fetch(`${BASE}/api/v1/trays/2/readings`)).json()) as { token: string }[]).map((reading) => reading.token),
  )
  kill(server)
  expect(acknowledged.length).toBeGreaterThanOrEqual(120)
  expect(acknowledged.filter((token) => !kept.has(token))).toEqual([])
})
