import { copyFileSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { checkRoute } from '@/core/rules'
import { openDb } from '@/server/db/open'
import { makeRepositories } from '@/server/db/repositories'
import { upgradedDesign } from '@/server/db/upgrades/0008-assemblies'
import { planDesign, planOptions, walkFrozen } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { tempFolder } from '../support/temp-db'

/** What the version before, whose pieces were of one form, showed for its own demonstration, written down by that version. */
interface Before {
  readonly pieces: readonly {
    id: number
    name: string
    form: string
    answer: { value: number; markAt: number }
    blanks: [string, number, number][]
    outcomes: [string, number][]
    ops: string[]
    own: { removed: string[]; placed: { id: string; own?: object }[] } | null
  }[]
  readonly trays: readonly {
    id: number
    progress: object
    standing: object
    steps: string[]
    walk: [string, number, number][]
    entries: unknown[]
  }[]
  readonly groups: readonly { form: string; alloy: string; method: string; sums: object }[]
}
const before = JSON.parse(readFileSync('tests/fixtures/demo-0007.json', 'utf8')) as Before
const path = join(tempFolder(), 'demo.db')
copyFileSync('tests/fixtures/demo-0007.db', path)
const to = makeRepositories(openDb(path))

describe('the demonstration of the version before, opened with pieces of parts', () => {
  it.each(before.pieces.map((piece) => [piece.name, piece] as const))(
    '%s has the same numbers: answer, blanks, what comes out',
    (_, piece) => {
      const design = to.jobs.piece(piece.id)?.design
      if (!design) throw new Error('no piece')
      const plan = planDesign(design, planOptions(to))
      const [part] = plan.parts
      if (!part?.result) throw new Error('no size')
      expect(part).toMatchObject({ id: 'part-1', form: piece.form })
      expect(part.result.answer).toMatchObject(piece.answer)
      expect(part.result.blanks.map(({ id, areaMm2, massG }) => [id, areaMm2, massG])).toEqual(piece.blanks)
      // what was said of it then is said still; thicknesses of a dome have come beside it
      const told = part.result.outcomes.filter(({ dimension }) => !dimension.endsWith('ThicknessMm'))
      expect(told.map(({ dimension, valueMm }) => [dimension, valueMm])).toEqual(piece.outcomes)
      expect(plan.misfits).toEqual([])
      expect(plan.faults).toEqual([])
    },
  )
  it('what a smith had changed on a route is changed on the usual route too: put in stays in, taken out stays out', () => {
    const edited = before.pieces.filter(({ own }) => own !== null)
    expect(edited.length).toBeGreaterThan(0)
    for (const { id, own } of edited) {
      const design = to.jobs.piece(id)?.design
      const steps = design ? planDesign(design, planOptions(to)).steps.map((step) => step.id) : []
      for (const { id: step, own: put } of own?.placed ?? []) if (put) expect(steps).toContain(step)
      for (const step of own?.removed ?? []) expect(steps).not.toContain(step)
    }
  })
  it.each(before.trays.map((tray) => [tray.id, tray] as const))('tray %i stands where it stood, its frozen metal as it was', (id, tray) => {
    const state = trayState(to, id)
    if (!state) throw new Error('no tray')
    expect(state.progress).toMatchObject(tray.progress)
    expect(state.tray.standing).toEqual(tray.standing)
    expect(state.tray.plan.steps.map(({ op }) => op)).toEqual(tray.steps)
    expect(state.entries.map(({ kind, stepId, workpiece, value, text }) => [kind, stepId, workpiece, value, text])).toEqual(tray.entries)
    const { steps } = walkFrozen(state.tray.plan)
    // from its first punch on a dome is walked by the simulation, which came later
    const firstPunch = steps.findIndex(({ op }) => op === 'dap')
    steps.slice(0, firstPunch < 0 ? steps.length : firstPunch).forEach((step, i) => {
      const [op, hardnessHv, workUsedFraction] = tray.walk[i] ?? ['', 0, 0]
      expect(step.op).toBe(op)
      expect(step.hardnessHv).toBeCloseTo(hardnessHv, 9)
      expect(step.workUsedFraction).toBeCloseTo(workUsedFraction, 9)
    })
  })
  it('says the same in the book', () => {
    const groups = to.record.groups({ page: 1, size: 50 }).map(({ form, alloy, method, sums }) => ({ form, alloy, method, sums }))
    expect(JSON.parse(JSON.stringify(groups))).toEqual(before.groups)
  })
})

describe('the one reason a piece had for all its stops', () => {
  const dome = {
    parts: [{ id: 'part-1', form: 'dome', inputVersion: 1, input: { widthMm: 26, heightMm: 6.5, alloy: 'copper-c110', thicknessMm: 0.8 } }],
    bought: 'annealed',
    route: { removed: ['pickle'], placed: [], changed: [] },
  }
  it('is given for each of them', () => {
    const design = upgradedDesign({ ...dome, orderNote: 'fire scale is wanted here' })
    const plan = planDesign(design as never, {})
    const stops = checkRoute(plan.assembly).findings.filter(({ level }) => level === 'stop')
    expect(stops.length).toBeGreaterThan(0)
    for (const stop of stops) expect(stop.overridden).toBe(true)
  })
  it('and lifts nothing where it was no reason', () => {
    const plan = planDesign(upgradedDesign({ ...dome, orderNote: 'x' }) as never, {})
    expect(checkRoute(plan.assembly).findings.some(({ level, overridden }) => level === 'stop' && !overridden)).toBe(true)
  })
  it('an upgraded design is left as it is', () => {
    const once = upgradedDesign(dome)
    expect(upgradedDesign(once)).toBe(once)
  })
})
