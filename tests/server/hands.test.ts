import { describe, expect, it } from 'vitest'
import { findOperation } from '@/core/operations'
import { dayQuestion } from '@/server/services/day-question'
import { jobQuote } from '@/server/services/job-quote'
import { lossHints } from '@/server/services/loss-hints'
import { addPiece, designOf, enter, NOW, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const dome = () => designOf('dome', { widthMm: 24, heightMm: 9, alloy: 'copper-c110', thicknessMm: 0.8 })
const ring = () => designOf('ring-band', { insideDiameterMm: 18, thicknessMm: 1.5, widthMm: 4, alloy: 'sterling-925', stock: 'strip' })
const at = new Date(NOW)

describe('what these hands lose', () => {
  it('is told at the very step it was lost at, not at others that are done alike', () => {
    const { repositories: to } = tempWorkshop()
    const piece = addPiece(to, 'cap', dome(), 6)
    const tray = trayOf(to, piece, 6)
    const daps = tray.plan.steps.filter(({ op }) => op === tray.plan.steps.find(({ id }) => id.includes('dap'))?.op)
    const last = daps.at(-1)
    expect(daps.length).toBeGreaterThan(1)
    workThrough(
      to,
      tray,
      [1, 2, 3, 4, 5, 6],
      tray.plan.steps.findIndex(({ id }) => id === last?.id),
    )
    for (const n of [1, 2]) enter(to, tray, n, { kind: 'loss', step: last?.id, text: 'split or cracked' })
    const hints = lossHints(to, tray.plan.parts[0], trayOf(to, piece, 6).plan.steps)
    expect([...hints.keys()]).toEqual([last?.id])
    // the new tray has come to the step as well, with nothing lost
    expect(hints.get(last?.id ?? '')).toMatch(/^2 of your last 12 were lost here: split or cracked \(2\)\./)
  })
})

describe('minutes of one’s own', () => {
  const minutesOf = (to: ReturnType<typeof tempWorkshop>['repositories'], op: string) => {
    const { input } = dayQuestion(to, at)
    return input?.trays[0]?.steps.filter((step) => step.op === op).reduce((sum, { handsOnMin = 0 }) => sum + handsOnMin, 0) ?? 0
  }
  it('move the day and the quote alike, once the bench has seen them', () => {
    const { repositories: to } = tempWorkshop()
    const piece = addPiece(to, 'band', ring(), 4)
    const tray = trayOf(to, piece, 4)
    const step = tray.plan.steps.find(({ op }) => op === 'saw')
    if (!step) throw new Error('nothing is sawn')
    const jobId = to.jobs.piece(piece)?.jobId ?? 0
    const price = () => jobQuote(to, jobId)?.quote.pieces[0]
    const [dayBefore, quoteBefore] = [minutesOf(to, 'saw'), price()?.handsMin ?? 0]
    const other = trayOf(to, addPiece(to, 'seen', ring(), 4), 4)
    const preset = (findOperation('saw')?.handsOnS ?? 0) / 60
    workThrough(
      to,
      other,
      [1, 2, 3, 4],
      other.plan.steps.findIndex(({ op }) => op === 'saw'),
    )
    const startedAt = new Date(at.getTime() - 4 * preset * 60_000).toISOString()
    const sawn = other.plan.steps.find(({ op }) => op === 'saw')?.id
    for (const n of [1, 2, 3, 4]) enter(to, other, n, { kind: 'done', step: sawn, startedAt })
    expect(minutesOf(to, 'saw')).toBeGreaterThan(1.5 * dayBefore)
    expect(price()?.handsMin).toBeGreaterThan(quoteBefore)
  })
})

describe('the metal of a quote', () => {
  it('is what is cut for one piece, by its mass', () => {
    const { repositories: to } = tempWorkshop()
    const piece = addPiece(to, 'band', ring(), 4)
    const quoted = jobQuote(to, to.jobs.piece(piece)?.jobId ?? 0)?.quote.pieces[0]
    // a strip of π·(18 + 1.5) by 4 by 1.5 mm of silver at 10.36 g/cm³ (handbook), cut a little longer to a mark
    expect(quoted?.metals[0]?.massG).toBeCloseTo((Math.PI * 19.5 * 4 * 1.5 * 10.36) / 1000, 1)
  })
  it('is none where it is cut out of the piece itself', () => {
    const { repositories: to } = tempWorkshop()
    const piece = addPiece(
      to,
      'smaller',
      designOf('ring-resize', { nowMm: 18, wantedMm: 17, alloy: 'sterling-925', thicknessMm: 1.3, widthMm: 4 }),
    )
    expect(jobQuote(to, to.jobs.piece(piece)?.jobId ?? 0)?.quote.pieces[0]?.metals).toEqual([])
  })
})
