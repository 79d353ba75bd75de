import { join } from 'node:path'
import Database from 'better-sqlite3'
import { entryOf, folderOf, kill, piecesAt, type Started, seed, send, start, type TrayFacts, trayFacts } from './start'
import { expect, test } from './test'

const PORT = 4323
const TRAY = 2
/** How often the whole program is killed; more often by `SERVER_KILLS=30`. */
const KILLS = Number(process.env.SERVER_KILLS ?? 2)

type Entry = ReturnType<typeof entryOf>

/** What is still to be done on a tray, in order; made once, so that what was not answered is sent again as it was. */
function workLeft(facts: TrayFacts): { readonly step: number; readonly entry: Entry }[] {
  const done = new Set(facts.entries.flatMap(({ kind, stepId, workpiece }) => (kind === 'done' ? [`${stepId} ${workpiece}`] : [])))
  return facts.steps.flatMap(({ id, together }, step) =>
    piecesAt(facts, together).flatMap((piece) =>
      done.has(`${id} ${piece}`) ? [] : [{ step, entry: entryOf(facts, piece, { kind: 'done', step: id }) }],
    ),
  )
}

/** Two hands write notes and one works, until so much is acknowledged and the program is killed in the middle of it. */
async function workAndKill(server: Started, facts: TrayFacts, left: ReturnType<typeof workLeft>, most: number): Promise<string[]> {
  const acknowledged: string[] = []
  let running = true
  const noting = [0, 1].map(async (hand) => {
    for (let n = 0; running; n++) {
      const entry = entryOf(facts, 1 + ((n + hand) % facts.size), { kind: 'note', text: `note ${n}` })
      if ((await send(server.base, entry)) === 200) acknowledged.push(entry.token)
    }
  })
  const working = (async () => {
    while (running && left.length > 0) {
      const [next] = left
      if (!next || (await send(server.base, next.entry)) !== 200) return
      acknowledged.push(next.entry.token)
      left.shift()
    }
  })()
  while (acknowledged.length < most) await new Promise((resolve) => setTimeout(resolve, 5))
  await kill(server)
  running = false
  await Promise.all([...noting, working])
  return acknowledged
}

function isWhole(folder: string): string {
  const db = new Database(join(folder, 'demo.db'))
  const answer = db.pragma('integrity_check', { simple: true })
  db.close()
  return String(answer)
}

test(`killed ${KILLS} times in the middle of logging, every acknowledged entry is there once, and the bench goes on at its step`, async ({
  page,
}) => {
  test.setTimeout(180_000 + 60_000 * KILLS)
  const folder = folderOf('killed')
  await seed(folder)
  let server = await start(folder, PORT)
  const facts = await trayFacts(server.base, TRAY)
  const left = workLeft(facts)
  const acknowledged = new Set<string>()
  for (let n = 0; n < KILLS; n++) {
    for (const token of await workAndKill(server, facts, left, 10 + Math.random() * 50)) acknowledged.add(token)
    expect(isWhole(folder)).toBe('ok')
    server = await start(folder, PORT)
    const kept = (await trayFacts(server.base, TRAY)).entries.map(({ token }) => token)
    expect([...acknowledged].filter((token) => !kept.includes(token))).toEqual([])
    expect(new Set(kept).size).toBe(kept.length)
    // what was on its way when it was killed may have been kept unacknowledged
    while (left[0] && kept.includes(left[0].entry.token)) left.shift()
    await page.goto(`${server.base}/bench/${TRAY}`)
    const next = left[0]
    if (next) await expect(page.getByText(`step ${next.step + 1} of ${facts.steps.length}`)).toBeVisible()
    else await expect(page.getByRole('heading', { name: 'The tray is finished' })).toBeVisible()
  }
  await kill(server)
})
