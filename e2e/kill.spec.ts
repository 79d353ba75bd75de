import { entryOf, folderOf, kill, seed, send, start, trayFacts } from './start'
import { expect, test } from './test'

const PORT = 4323

test('killed in the middle of logging, every acknowledged entry is there after a new start', async () => {
  const folder = folderOf('killed')
  await seed(folder)
  let server = await start(folder, PORT)
  const facts = await trayFacts(server.base, 2)
  const acknowledged: string[] = []
  let running = true
  const senders = [0, 1, 2].map(async (sender) => {
    for (let n = 0; running; n++) {
      const entry = entryOf(facts, 1 + ((n + sender) % facts.size), { kind: 'note', text: `note ${n}` })
      const status = await send(server.base, entry)
      if (status === 200) acknowledged.push(entry.token)
      if (status === 0) return
    }
  })
  while (acknowledged.length < 120) await new Promise((resolve) => setTimeout(resolve, 5))
  await kill(server)
  running = false
  await Promise.all(senders)
  server = await start(folder, PORT)
  const kept = new Set((await trayFacts(server.base, 2)).entries.map((entry) => entry.token))
  await kill(server)
  expect(acknowledged.length).toBeGreaterThanOrEqual(120)
  expect(acknowledged.filter((token) => !kept.has(token))).toEqual([])
})
