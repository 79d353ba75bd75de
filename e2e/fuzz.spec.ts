import { fuzz } from '../scripts/fuzz-inputs.mjs'
import { folderOf, kill, seed, start } from './start'
import { expect, test } from './test'

const SEED = 20270301
/** So many in CI; FUZZ=1000 sends more. */
const COUNT = Number(process.env.FUZZ ?? 200)
/** Longer than an answer ever takes, also while other tests run beside this one. */
const HANG_MS = 90_000

test(`${COUNT} bad inputs over every route, action and command: no fault, no hang, no number that is none`, async () => {
  test.setTimeout(300_000)
  await seed(folderOf('fuzz'))
  const server = await start(folderOf('fuzz'), 4326)
  const said = await fuzz({ base: server.base, count: COUNT, seed: SEED, hangMs: HANG_MS, alive: () => server.process.exitCode === null })
  await kill(server)
  expect(said.faults, `seed ${SEED}`).toEqual([])
  expect(said.refused).toBeGreaterThan(0.52 * COUNT)
  expect(said.answered).toBeGreaterThan(0.02 * COUNT)
})
