import { describe, expect, it } from 'vitest'
import { patternSvg } from '@/core/drawing'
import { FORMS, findForm } from '@/core/forms'
import { findIllegal, placedRegion } from '@/core/layout'
import { metalsOf, routeTemper } from '@/core/piece'
import { checkRoute } from '@/core/rules'
import { seedDemo } from '@/server/seed/seed-demo'
import { instanceOf } from '@/server/services/cut-layout'
import { bookGroups } from '@/server/services/own-record'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { printOf } from '@/server/services/print-layout'
import { supplyFor } from '@/server/services/supply'
import { trayState, waitingOf } from '@/server/services/tray-state'
import { allPieces } from '../support/bench'
import { demoWorkshop, tempWorkshop } from '../support/temp-db'

const { repositories: to } = demoWorkshop()
const pieces = allPieces(to)
const trays = [...to.trays.open({ page: 1, size: 99 }), ...to.trays.finished({ page: 1, size: 99 })]
const layouts = to.jobs.jobs({ page: 1, size: 99 }).flatMap((job) => to.layouts.ofJob(job.id))

/** Every plain number in an input, typed sizes by their millimetres. */
function numbersOf(value: unknown): number[] {
  if (typeof value === 'number') return [value]
  return value && typeof value === 'object' ? Object.values(value).flatMap(numbersOf) : []
}

describe.each(pieces.map((piece) => [piece.name, piece] as const))('%s', (_, piece) => {
  const plan = planDesign(piece.design, planOptions(to))
  if (!plan.ok) throw new Error(`${piece.name}: ${JSON.stringify(plan.issues)}`)
  it('is sized without a stop, and what it warns of is said in whole sentences', () => {
    for (const check of plan.parts.flatMap(({ result }) => result?.checks ?? [])) {
      expect(check.level).not.toBe('stop')
      expect(check.message).toMatch(/^[A-Z0-9].*[.]$/s)
    }
  })
  it('keeps the order of work', () => expect(checkRoute(plan.assembly).findings.filter((finding) => finding.level === 'stop')).toEqual([]))
  it('its metal lasts to the end of the route', () => {
    const walk = routeTemper(plan.assembly, metalsOf(plan))
    expect(walk.steps).toHaveLength(plan.steps.length)
    for (const state of walk.steps) expect(state.workLeftFraction).toBeGreaterThan(0)
  })
  it('the drawer says what it holds of it, and what to buy for the rest', () => {
    for (const item of supplyFor(to, plan, piece.quantity + piece.spares)) {
      expect(item.covered).toBeLessThanOrEqual(item.needed)
      if (item.covered < item.needed) expect(item.buy?.massG).toBeGreaterThan(0)
      else expect(item.buy ?? null).toBeNull()
    }
  })
  it('stands on today’s input of its form', () => {
    for (const part of piece.design.parts) expect(part.inputVersion).toBe(findForm(part.form)?.inputVersion)
  })
})

describe('the railway’s workshop', () => {
  it('has a job at every stage: only sized, laid out, at the bench, in pickle, finished, and gone wrong', () => {
    const states = trays.map((tray) => trayState(to, tray.id))
    const atBench = new Set(trays.map((tray) => tray.pieceId))
    const laidOut = new Set(layouts.map((layout) => layout.jobId))
    expect(pieces.some((piece) => !atBench.has(piece.id) && !laidOut.has(piece.jobId))).toBe(true)
    expect(laidOut.size).toBeGreaterThan(0)
    expect(states.some((state) => state?.tray.plan.steps[state.progress.stepIndex]?.op === 'anneal' && !state.progress.finished)).toBe(true)
    expect(states.some((state) => state && waitingOf(to, state.tray)?.title === 'Pickle' && !state.progress.finished)).toBe(true)
    expect(states.some((state) => state?.tray.finishedAt)).toBe(true)
    expect(states.some((state) => (state?.progress.lost.length ?? 0) > 0)).toBe(true)
  })
  it('knows its own hand: three groups of readings or more, each with an allowance and a spread', () => {
    const groups = bookGroups(to, { page: 1, size: 20 }, planOptions(to))
    expect(groups.length).toBeGreaterThanOrEqual(3)
    for (const group of groups) {
      const own = group.pieces[0]?.own
      if (!own) throw new Error('no piece')
      expect(own.outcome).toBe('offered')
      expect(own.spreadMm).toBeGreaterThan(0)
      expect(Math.abs(own.growthMm)).toBeLessThan(0.6)
    }
    expect(groups.flatMap(({ notes }) => notes.odd)).toMatchObject([{ workpiece: 6, growthMm: expect.closeTo(0.37, 1) }])
  })
  it('its layout can be cut as it lies, and prints what lies there', () => {
    for (const layout of layouts) {
      const instance = instanceOf(to, layout)
      const print = printOf(to, layout.id)
      if (!instance || !print) throw new Error('no layout')
      expect(findIllegal(instance, layout.placements)).toEqual([])
      const [pattern] = print.patterns
      if (!pattern) throw new Error('no pattern')
      const cuts = pattern.lines.filter(({ purpose }) => purpose === 'saw-outside')
      expect(cuts).toHaveLength(layout.placements.length)
      const sawn = pattern.lines.filter(({ purpose }) => purpose.startsWith('saw-'))
      expect(patternSvg(print.title, pattern).match(/class="cut"/g)).toHaveLength(sawn.length)
      const [first] = layout.placements
      const item = instance.items.find((candidate) => candidate.id === first?.id)
      if (first && item) expect(cuts.map(({ points }) => points)).toContainEqual(placedRegion(item, first).outer)
    }
  })
  it('is made up of different kinds of piece and of metal', () => {
    expect(new Set(pieces.map((piece) => piece.design.parts[0]?.form)).size).toBeGreaterThanOrEqual(10)
    expect(new Set(pieces.map((piece) => piece.design.parts[0]?.input.alloy)).size).toBeGreaterThanOrEqual(5)
  })
  it('has no name twice on the wall or in the drawer, and no two jobs of one title', () => {
    for (const names of [
      to.drawer.all().map((stock) => stock.label),
      to.jobs.jobs({ page: 1, size: 99 }).map((job) => job.title),
      pieces.map((piece) => piece.name),
    ])
      expect(new Set(names).size).toBe(names.length)
  })
  it('is seeded the same each time', () => {
    const again = tempWorkshop().repositories
    seedDemo(again)
    expect(allPieces(again).map(({ name, design }) => ({ name, design }))).toEqual(pieces.map(({ name, design }) => ({ name, design })))
  })
})

/** Numbers the checks quote from trade practice; a piece on screen is never one of them. */
const TRADE_EXAMPLES = [16.51, 18.14, 57, 204.1, 197.82, 213.52, 7.9375, 22.225, 62, 65, 75, 152.4, 76.2, 19.05, 9.525, 14.5, 6.2, 154]

it('neither the demonstration nor any form’s example is a trade example from the checks', () => {
  const shown = [...pieces.flatMap((piece) => piece.design.parts.map((part) => part.input)), ...FORMS.map((form) => form.example)]
  for (const input of shown) for (const number of numbersOf(input)) expect(TRADE_EXAMPLES).not.toContain(number)
})
