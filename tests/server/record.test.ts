import { describe, expect, it } from 'vitest'
import { NO_GROWTH, ownAllowance, type RecordAnswer } from '@/core/logbook'
import type { Design, Repositories } from '@/server/db/repositories'
import { keepEntry } from '@/server/services/keep-entry'
import { replayLedger } from '@/server/services/ledger'
import { besideOriginals } from '@/server/services/measured-trays'
import { bookGroups, methodsOf, ownAllowanceOfPiece, recordName } from '@/server/services/own-record'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { trayState, waitingOf } from '@/server/services/tray-state'
import { addPiece, designOf, enter, entryFor, measured, NOW, saidOf, trayOf, workThrough } from '../support/bench'
import { sumGrowths } from '../support/growths'
import { tempWorkshop } from '../support/temp-db'

const INPUT = { insideDiameterMm: 17.8, alloy: 'sterling-925', thicknessMm: 1.3, widthMm: 4 }
const ring = (more: Record<string, unknown> = {}): Design => designOf('ring-band', { ...INPUT, ...more })

/** A tray of a design, its workpieces finished with the growths given; null leaves one unmeasured. */
function madeTray(to: Repositories, design: Design, growths: readonly (number | null)[], at = NOW) {
  const pieceId = addPiece(to, 'Ring', design, growths.length)
  const tray = trayOf(to, pieceId, growths.length)
  const tokens = growths.map((growth, i) => (growth === null ? '' : measured(to, tray, i + 1, growth, at)))
  return { tray, pieceId, tokens }
}

const groupsOf = (to: Repositories) => to.record.groups({ page: 1, size: 50 })
function growthsIn(to: Repositories): number[] {
  return groupsOf(to).flatMap((group) =>
    to.record
      .rowsOf(group, { page: 1, size: 99 })
      .map((row) => Number(row.growthMm.toFixed(3)))
      .reverse(),
  )
}

describe('what goes into the record', () => {
  it('is what was measured less what the frozen plan predicted', () => {
    const { repositories: to } = tempWorkshop()
    madeTray(to, ring(), [0.1, 0.12, 0.14])
    expect(groupsOf(to)).toMatchObject([{ form: 'ring-band', alloy: 'sterling-925', sums: { count: 3 } }])
    expect(growthsIn(to)).toEqual([0.1, 0.12, 0.14])
  })
  it('is not what the design says afterwards: a plan once at the bench does not move', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = madeTray(to, ring(), [0.1, 0.1, 0.1])
    to.jobs.revise(pieceId, ring({ insideDiameterMm: 21 }))
    expect(growthsIn(to)).toEqual([0.1, 0.1, 0.1])
  })
  it('leaves out pieces nobody measured and pieces that were lost', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [0.1, null, 0.3])
    enter(to, tray, 3, { kind: 'loss', text: 'melted' })
    expect(growthsIn(to)).toEqual([0.1])
  })
  it('takes the last reading of a piece, and the one before where that is taken back', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [0.1])
    const second = measured(to, tray, 1, 0.25)
    expect(growthsIn(to)).toEqual([0.25])
    enter(to, tray, 1, { kind: 'reversal', reverses: second })
    expect(growthsIn(to)).toEqual([0.1])
  })
  it('leaves out a reading of a step that is still in hand, and takes it in when the step is done', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [0.1])
    const done = to.entries.standing(tray.id).findLast((entry) => entry.kind === 'done')
    enter(to, tray, 1, { kind: 'reversal', reverses: done?.token })
    expect(growthsIn(to)).toEqual([])
    enter(to, tray, 1, { kind: 'done', step: done?.stepId })
    expect(growthsIn(to)).toEqual([0.1])
  })
  it('keeps each metal and each method to itself', () => {
    const { repositories: to } = tempWorkshop()
    madeTray(to, ring(), [0.1, 0.1, 0.1])
    madeTray(to, ring({ alloy: 'copper-c110' }), [0.4, 0.4, 0.4])
    madeTray(to, ring({ schools: { length: 'inside-plus-4t' } }), [0.7, 0.7, 0.7])
    expect(groupsOf(to)).toHaveLength(3)
    expect(Object.values(methodsOf(to, 'ring-band', 'sterling-925')).map((sums) => sums.count)).toEqual([3, 3])
    expect(Object.values(methodsOf(to, 'ring-band', 'copper-c110'))[0]?.g).toBeCloseTo(1.2, 9)
    expect(methodsOf(to, 'dome', 'copper-c110')).toEqual({})
  })
  it('counts a practice instrument in the demonstration only', () => {
    for (const isDemonstration of [true, false]) {
      const { repositories: to } = tempWorkshop()
      if (isDemonstration) to.markDemonstration()
      else to.settings.write({ practice: true })
      const { tray } = madeTray(to, ring(), [null])
      const outcome = tray.plan.parts[0].outcomes.find((item) => item.primary)
      const at = tray.plan.steps.findLastIndex((step) => step.target?.dimension === outcome?.dimension)
      workThrough(to, tray, [1], at)
      const step = tray.plan.steps[at]?.id
      const reading = { kind: 'reading', step, dimension: outcome?.dimension, value: outcome?.valueMm, instrument: 'simulated-calipers' }
      enter(to, tray, 1, reading)
      enter(to, tray, 1, { kind: 'done', step })
      expect(to.entries.standing(tray.id).find((entry) => entry.kind === 'reading')?.simulated).toBe(true)
      expect(growthsIn(to)).toHaveLength(isDemonstration ? 1 : 0)
    }
  })
  it('has no simulated instrument in an own workshop where practice is off', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [null])
    const step = tray.plan.steps.find((item) => item.target)
    workThrough(
      to,
      tray,
      [1],
      tray.plan.steps.findIndex((item) => item.id === step?.id),
    )
    const reading = { kind: 'reading', step: step?.id, dimension: step?.target?.dimension, value: step?.target?.valueMm }
    const refused = keepEntry(to, entryFor(to, tray, 1, { ...reading, instrument: 'simulated-calipers' }), NOW)
    expect(saidOf(refused)).toContain('Settings can switch them on')
  })
})

describe('the sums of a group', () => {
  it('kept write by write are those that a retelling of the whole ledger gives', () => {
    const { repositories: to } = tempWorkshop()
    const { tray, tokens } = madeTray(to, ring(), [0.1, 0.22, -0.3, 0.05, 0.4])
    madeTray(to, ring({ thicknessMm: 2 }), [0.2, 0.2])
    enter(to, tray, 3, { kind: 'loss', text: 'dented' })
    enter(to, tray, 5, { kind: 'reversal', reverses: tokens[4] })
    const kept = groupsOf(to)
    const rows = to.record.rowsOf(kept[0] ?? { form: '', alloy: '', method: '' }, { page: 1, size: 99 })
    const summed = sumGrowths(rows)
    for (const name of ['count', 'g', 'gg'] as const) expect(kept[0]?.sums[name]).toBeCloseTo(summed[name], 9)
    for (const name of ['x', 'xg', 'xx'] as const)
      kept[0]?.sums[name].forEach((sum, i) => {
        expect(sum).toBeCloseTo(summed[name][i] ?? Number.NaN, 9)
      })
    replayLedger(to)
    const retold = groupsOf(to)
    expect(retold.map((group) => group.sums.count)).toEqual(kept.map((group) => group.sums.count))
    expect(ownAllowance(retold[0]?.sums ?? NO_GROWTH, { thicknessMm: 1.3, sizeMm: 17 }, 3).allowanceMm).toBeCloseTo(
      ownAllowance(kept[0]?.sums ?? NO_GROWTH, { thicknessMm: 1.3, sizeMm: 17 }, 3).allowanceMm,
      9,
    )
  })
})

describe('what the record asks', () => {
  const KIND = { form: 'ring-band', alloy: 'sterling-925' } as const
  const SHAPE = { thicknessMm: 1.3, sizeMm: 20 }
  /** The one group of a workshop, as the Book shows it. */
  function group(to: Repositories) {
    const [only] = bookGroups(to, { page: 1, size: 9 }, planOptions(to))
    if (!only) throw new Error('the book is empty')
    return only
  }
  const answer = (to: Repositories, given: Partial<RecordAnswer>) =>
    to.settings.write({ recordAnswers: { [recordName(group(to))]: { since: '', right: [], ...given } } })

  it('has the hand changed? Where it has, only the newest count, on every page, until all are counted again', () => {
    const { repositories: to } = tempWorkshop()
    madeTray(to, ring(), [0.1, 0.12, 0.09, 0.11, 0.1, 0.12, 0.08, 0.1], '2027-02-01T10:00:00.000Z')
    const { pieceId } = madeTray(to, ring(), [0.4, 0.42, 0.38, 0.41])
    const allowed = () => ownAllowanceOfPiece(to, pieceId, planOptions(to))?.own.foundMm ?? Number.NaN
    const mixed = allowed()
    const { drift } = group(to).notes
    expect(drift?.byMm).toBeCloseTo(0.3, 1)
    expect(drift?.since).toBe(NOW)
    answer(to, { since: drift?.since ?? '' })
    expect(Object.values(methodsOf(to, KIND.form, KIND.alloy)).map(({ count }) => count)).toEqual([4])
    expect(allowed()).toBeCloseTo(0.4, 1)
    expect(group(to).pieces[0]?.own.foundMm).toBe(allowed())
    expect(group(to).notes).toMatchObject({ drift: null, answer: { since: NOW } })
    answer(to, {})
    expect(allowed()).toBeCloseTo(mixed, 9)
  })
  it('is a reading far out right? Then it counts whole in what is allowed, and is not asked about again', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = madeTray(to, ring(), [0.1, 0.12, 0.09, 0.11, 0.1, 1.4])
    const [odd] = group(to).notes.odd
    expect(odd).toMatchObject({ workpiece: 6, pieceName: 'Ring' })
    const foundIn = () => ownAllowance(Object.values(methodsOf(to, KIND.form, KIND.alloy))[0] ?? NO_GROWTH, SHAPE, 1).foundMm
    const before = foundIn()
    answer(to, { right: [odd?.item ?? ''] })
    expect(group(to).notes.odd).toEqual([])
    expect(foundIn()).toBeGreaterThan(before + 0.1)
    expect(ownAllowanceOfPiece(to, pieceId, planOptions(to))?.own.foundMm).toBeCloseTo(group(to).pieces[0]?.own.foundMm ?? Number.NaN, 9)
  })
})

describe('one allowance for one piece', () => {
  it('Size, Record and Book show the same figure, whatever thicknesses the group holds', () => {
    const { repositories: to } = tempWorkshop()
    madeTray(to, ring({ thicknessMm: 0.8 }), [0.05, 0.06, 0.07])
    const { pieceId } = madeTray(to, ring({ thicknessMm: 2.4 }), [0.5, 0.52, 0.49])
    const options = planOptions(to)
    const record = ownAllowanceOfPiece(to, pieceId, options)?.own
    const [group] = bookGroups(to, { page: 1, size: 9 }, options)
    const book = group?.pieces.find((piece) => piece.pieceId === pieceId)?.own
    expect(record?.outcome).toBe('offered')
    expect(book).toEqual(record)
    expect(group?.pieces.map((piece) => piece.own.allowanceMm)).not.toEqual([record?.allowanceMm, record?.allowanceMm])
  })
})

describe('the whole circle', () => {
  it('a hand that grows rings by a fifth of a millimetre is offered shorter strips, and the corrected tray comes out right', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = madeTray(to, ring(), [0.19, 0.2, 0.21, 0.2, 0.2])
    const allowanceMm = ownAllowanceOfPiece(to, pieceId, planOptions(to))?.own.allowanceMm ?? 0
    expect(allowanceMm).toBeLessThan(-0.4)
    const textbook = planDesign(ring(), planOptions(to))
    const corrected = planDesign(ring({ allowanceMm, roundUpMm: 0.01 }), planOptions(to))
    const answerOf = (plan: typeof textbook) => plan.parts[0]?.result?.answer.value ?? Number.NaN
    expect(answerOf(corrected)).toBeCloseTo(answerOf(textbook) + allowanceMm, 6)
    // The same hand again: the frozen prediction is of the strip as cut, so the growth it shows is still a fifth.
    madeTray(to, ring({ allowanceMm, roundUpMm: 0.01 }), [0.2, 0.2, 0.2])
    expect(growthsIn(to).slice(-3)).toEqual([0.2, 0.2, 0.2])
  })
  it('is offered from the first reading on, and said to be weak until there are three', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = madeTray(to, ring(), [0.2, 0.2])
    const own = ownAllowanceOfPiece(to, pieceId, planOptions(to))?.own
    expect(own).toMatchObject({ outcome: 'offered', count: 2, isWeak: true })
    expect(own?.why).toContain('That is weak')
  })
  it('losses count on finished trays only', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [null, null])
    enter(to, tray, 2, { kind: 'loss', text: 'cracked' })
    expect(to.record.losses('ring-band', 'sterling-925')).toEqual({ begun: 0, lost: 0 })
    workThrough(to, tray, [1])
    expect(to.record.losses('ring-band', 'sterling-925')).toEqual({ begun: 2, lost: 1 })
  })
})

describe('a tray as it is told at the bench', () => {
  it('waits while the pickle works, and no longer when the next step is done', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [null, null])
    expect(waitingOf(to, tray)).toBeNull()
    const pickle = tray.plan.steps.findIndex((step) => step.op === 'pickle')
    workThrough(to, tray, [1, 2], pickle + 1)
    expect(waitingOf(to, tray)).toMatchObject({ title: 'Pickle', waitS: 480 })
    enter(to, tray, 1, { kind: 'done', step: tray.plan.steps[pickle + 1]?.id })
    expect(waitingOf(to, tray)).toBeNull()
  })
  it('a step taken back is to be done again', () => {
    const { repositories: to } = tempWorkshop()
    const { tray } = madeTray(to, ring(), [null])
    const token = enter(to, tray, 1, { kind: 'done', step: tray.plan.steps[0]?.id })
    expect(to.trays.one(tray.id)?.standing.stepIndex).toBe(1)
    enter(to, tray, 1, { kind: 'reversal', reverses: token })
    expect(trayState(to, tray.id)?.progress.stepIndex).toBe(0)
    expect(to.trays.one(tray.id)?.standing.stepIndex).toBe(0)
  })
  it('a tray nobody laid out is none', () => expect(trayState(tempWorkshop().repositories, 7)).toBeUndefined())
})

describe('pieces made after an original', () => {
  it('carry what it measures to the bench, and say how many of those read are copies', () => {
    const { repositories: to } = tempWorkshop()
    // the ring closes at the size asked for within the mark’s rounding; the band is the form’s own
    const original = { insideDiameterMm: { mm: 17.8, stronger: false } }
    const { tray, pieceId } = madeTray(to, ring({ originals: original }), [0, 0.5, null, -0.01])
    const aims = tray.plan.steps.flatMap(({ target }) => (target?.dimension === 'insideDiameterMm' ? [target] : []))
    expect(aims.length).toBeGreaterThan(0)
    for (const aim of aims) expect(aim.original).toEqual(original.insideDiameterMm)
    expect(besideOriginals(to, to.trays.ofPiece(pieceId, 9))).toEqual([
      expect.stringMatching(/^Tray \d+\. Inside diameter: 2 of 3 read as the original’s 17\.8 mm, within ± 0\.\d+ mm\.$/),
    ])
  })
  it('say nothing where there is none', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = madeTray(to, ring(), [0.1])
    expect(besideOriginals(to, to.trays.ofPiece(pieceId, 9))).toEqual([])
  })
})
