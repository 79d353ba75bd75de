import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { currentDb, switchWorkshop } from '@/server/db/connection'
import { makeRepositories } from '@/server/db/repositories'
import { letFolderGo } from '@/server/folder-lock'
import { TaskEnded } from '@/server/long/run-task'
import { callOff, howFar, type UnderWay, underWay } from '@/server/long/under-way'
import { lookAtBackup, makeBackup, restoreBackup } from '@/server/services/backups'
import { tempFolder } from '../support/temp-db'

const before = { data: process.env.FOLD_ANVIL_DATA, open: process.env.FOLD_ANVIL_OPEN }
let folder = ''

beforeEach(() => {
  folder = tempFolder()
  process.env.FOLD_ANVIL_DATA = folder
  process.env.FOLD_ANVIL_OPEN = 'workshop'
  switchWorkshop('workshop')
  const { jobs } = makeRepositories(currentDb())
  const note = 'A long note. '.repeat(150)
  for (let n = 0; n < 1500; n++) jobs.addJob({ title: `Job ${n}`, customer: '', dueOn: null, status: 'asked', note })
})
afterEach(() => {
  switchWorkshop('workshop')
  letFolderGo()
  process.env.FOLD_ANVIL_DATA = before.data ?? ''
  process.env.FOLD_ANVIL_OPEN = before.open ?? ''
})

const left = () => [...readdirSync(folder), ...readdirSync(join(folder, 'backups'))].filter((name) => /partial|incoming/.test(name))
const reasonOf = async (work: Promise<unknown>) =>
  work.then(
    () => 'done',
    (error: unknown) => (error instanceof TaskEnded ? error.reason : String(error)),
  )

/** Asks over and over while the work runs, as a page does. */
async function watch<T>(name: string, running: Promise<T>): Promise<{ readonly done: T; readonly told: readonly UnderWay[] }> {
  const told: UnderWay[] = []
  let over = false
  const done = running.finally(() => {
    over = true
  })
  while (!over) {
    const far = howFar(name)
    if (far) told.push(far)
    await new Promise((resolve) => setImmediate(resolve))
  }
  return { done: await done, told }
}

describe('long work', () => {
  it('is known by its name while it runs, and by none before and after', async () => {
    expect(howFar('ring')).toBeUndefined()
    const seen = await underWay('ring', async ({ step, share }) => {
      step('The ring is being turned')
      share(0.25)
      return howFar('ring')
    })
    expect(seen).toMatchObject({ step: 'The ring is being turned', share: 0.25 })
    expect(howFar('ring')).toBeUndefined()
    expect(callOff('ring')).toBe(false)
  })
  it('says how long the rest takes when it goes on as it has', async () => {
    const seen = await underWay('slow', async ({ step, share }) => {
      step('Slowly')
      await new Promise((resolve) => setTimeout(resolve, 500))
      share(0.2)
      return howFar('slow')
    })
    expect(seen?.secondsLeft).toBeGreaterThan(1.9)
    expect(seen?.secondsLeft).toBeLessThan(2.6)
  })
  it('is forgotten when it fails', async () => {
    await expect(underWay('bad', () => Promise.reject(new Error('no')))).rejects.toThrow('no')
    expect(howFar('bad')).toBeUndefined()
  })
})

describe('a backup under way', () => {
  it('tells how far it is, onwards only, and ends whole', async () => {
    const { told } = await watch('copy', underWay('copy', makeBackup))
    const shares = told.flatMap(({ share }) => (share === null ? [] : [share]))
    expect(new Set(shares).size).toBeGreaterThan(2)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
  })
  it('can be called off: nothing is left of it', async () => {
    const running = reasonOf(underWay('copy', makeBackup))
    expect(callOff('copy')).toBe(true)
    expect(await running).toBe('called-off')
    expect(readdirSync(join(folder, 'backups'))).toEqual([])
  })
  it('a restoring can be called off while it looks and while it keeps: the workshop stays as it was', async () => {
    const file = await makeBackup()
    const look = await lookAtBackup(file)
    const shownLastAt = look.ok ? (look.present?.lastAt ?? null) : null
    for (const when of ['The backup is being checked', 'What is there now is being saved as a backup']) {
      const running = reasonOf(underWay('back', (work) => restoreBackup(file, shownLastAt, work)))
      while (howFar('back') && howFar('back')?.step !== when) await new Promise((resolve) => setImmediate(resolve))
      callOff('back')
      expect(await running, when).toBe('called-off')
      expect(left(), when).toEqual([])
      expect(makeRepositories(currentDb()).jobs.jobs({ page: 1, size: 1 })).toHaveLength(1)
    }
    expect(readdirSync(join(folder, 'backups'))).toEqual([file])
    expect(existsSync(join(folder, 'workshop.db.previous'))).toBe(false)
    const { done, told } = await watch(
      'back',
      underWay('back', (work) => restoreBackup(file, shownLastAt, work)),
    )
    expect(done).toMatchObject({ ok: true })
    expect(new Set(told.map(({ step }) => step)).size).toBeGreaterThanOrEqual(2)
    expect(told.filter(({ step }) => step.startsWith('The backup')).some(({ share }) => share !== null && share > 0)).toBe(true)
  })
})
