import { describe, expect, it } from 'vitest'
import type { Design, Repositories } from '@/server/db/repositories'
import { allowanceOfGroup, growthsFor, lossesFor, recordGroups } from '@/server/services/own-record'
import { freezePlan, planDesign, planOptions } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { tempWorkshop } from '../support/temp-db'

const RING: Design = {
  parts: [{ form: 'ring-band', inputVersion: 1, input: { insideDiameterMm: 17.8, alloy: 'sterling-925', thicknessMm: 1.3, widthMm: 4 } }],
  bought: 'annealed',
}

const withInput = (more: Record<string, unknown>): Design => ({
  ...RING,
  parts: [{ form: 'ring-band', inputVersion: 1, input: { ...RING.parts[0]?.input, ...more } }],
})

function addTray(to: Repositories, design: Design, growths: readonly (number | null)[]) {
  const jobId = to.jobs.addJob({ title: 'Rings', customer: '', dueOn: null, status: 'asked', note: '' })
  const pieceId = to.jobs.addPiece({ jobId, name: 'Ring', quantity: growths.length, spares: 0, design })
  const piece = to.jobs.piece(pieceId)
  const plan = planDesign(design, planOptions(to))
  if (!piece || !plan.ok) throw new Error('no plan')
  const frozen = freezePlan(piece, plan)
  const trayId = to.bench.addTray(pieceId, growths.length, frozen)
  const outcome = frozen.outcomes.find((item) => item.primary)
  const ids = growths.map((growth, i) =>
    growth === null
      ? 0
      : to.bench.addReading({
          token: `tray-${trayId}-${i}-first`,
          trayId,
          workpiece: i + 1,
          stepId: frozen.steps.at(-1)?.id ?? '',
          dimension: outcome?.dimension ?? '',
          valueMm: (outcome?.valueMm ?? 0) + growth,
          typed: 'measured',
          instrument: 'typed',
          reversesId: null,
        }),
  )
  return { trayId, pieceId, frozen, outcome, ids }
}

const growthsIn = (to: Repositories) => recordGroups(to).flatMap((group) => group.rows.map((row) => Number(row.growthMm.toFixed(3))))

describe('what goes into the record', () => {
  it('is what was measured less what the frozen plan foretold', () => {
    const { repositories: to } = tempWorkshop()
    addTray(to, RING, [0.1, 0.12, 0.14])
    const [group] = recordGroups(to)
    expect(group).toMatchObject({ form: 'ring-band', alloy: 'sterling-925' })
    expect(group?.blankPerMm).toBeCloseTo(Math.PI, 6)
    expect(growthsIn(to)).toEqual([0.1, 0.12, 0.14])
  })
  it('is not what the design says afterwards: a plan once at the bench does not move', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = addTray(to, RING, [0.1, 0.1, 0.1])
    to.jobs.revise(pieceId, withInput({ insideDiameterMm: 21 }))
    expect(growthsIn(to)).toEqual([0.1, 0.1, 0.1])
  })
  it('leaves out pieces nobody measured and pieces that went wrong', () => {
    const { repositories: to } = tempWorkshop()
    const { trayId, frozen } = addTray(to, RING, [0.1, null, 0.3])
    to.bench.addEvent({ trayId, stepId: frozen.steps[0]?.id ?? '', workpiece: 3, kind: 'wrong', text: 'melted', reversesId: null })
    expect(growthsIn(to)).toEqual([0.1])
  })
  it('takes the last reading of a piece, and the one before where that is taken back', () => {
    const { repositories: to } = tempWorkshop()
    const { trayId, outcome, frozen } = addTray(to, RING, [0.1])
    const reading = {
      trayId,
      workpiece: 1,
      stepId: frozen.steps.at(-1)?.id ?? '',
      dimension: outcome?.dimension ?? '',
      typed: '',
      instrument: 'typed',
    }
    const second = to.bench.addReading({ ...reading, token: 'second-reading', valueMm: (outcome?.valueMm ?? 0) + 0.25, reversesId: null })
    expect(growthsIn(to)).toEqual([0.25])
    to.bench.addReading({ ...reading, token: 'take-it-back', valueMm: 1, reversesId: second })
    expect(growthsIn(to)).toEqual([0.1])
  })
  it('keeps each metal and each method to itself', () => {
    const { repositories: to } = tempWorkshop()
    addTray(to, RING, [0.1, 0.1, 0.1])
    addTray(to, withInput({ alloy: 'copper-c110' }), [0.4, 0.4, 0.4])
    addTray(to, withInput({ schools: { length: 'inside-plus-4t' } }), [0.7, 0.7, 0.7])
    expect(recordGroups(to)).toHaveLength(3)
    const silver = growthsFor(to, 'ring-band', 'sterling-925')
    expect(Object.values(silver).map((rows) => rows.length)).toEqual([3, 3])
    expect(
      Object.values(growthsFor(to, 'ring-band', 'copper-c110'))
        .flat()
        .map((row) => row.growthMm.toFixed(1)),
    ).toEqual(['0.4', '0.4', '0.4'])
    expect(growthsFor(to, 'dome', 'copper-c110')).toEqual({})
  })
  it('joins trays of the same kind, with the thickness of each', () => {
    const { repositories: to } = tempWorkshop()
    addTray(to, RING, [0.1, 0.1])
    addTray(to, withInput({ thicknessMm: 2 }), [0.2, 0.2])
    const [group] = recordGroups(to)
    expect(group?.rows.map((row) => row.thicknessMm).sort()).toEqual([1.3, 1.3, 2, 2])
    expect(allowanceOfGroup(group ?? { form: '', alloy: '', method: '', blankPerMm: 1, rows: [] }).outcome).toBe('offered')
  })
})

describe('the whole circle', () => {
  it('a hand that grows rings by a fifth of a millimetre is offered shorter strips, and the corrected tray comes out right', () => {
    const { repositories: to } = tempWorkshop()
    addTray(to, RING, [0.19, 0.2, 0.21, 0.2, 0.2])
    const [group] = recordGroups(to)
    if (!group) throw new Error('no group')
    const { allowanceMm } = allowanceOfGroup(group)
    expect(allowanceMm).toBeLessThan(-0.4)
    const textbook = planDesign(RING, planOptions(to))
    const corrected = planDesign(withInput({ allowanceMm, roundUpMm: 0.01 }), planOptions(to))
    if (!textbook.ok || !corrected.ok) throw new Error('no plan')
    expect(corrected.result.answer.value).toBeCloseTo(textbook.result.answer.value + allowanceMm, 6)
    // The same hand again: the frozen prediction is of the strip as cut, so the growth it shows is still a fifth.
    addTray(to, withInput({ allowanceMm, roundUpMm: 0.01 }), [0.2, 0.2, 0.2])
    expect(growthsIn(to).slice(0, 3)).toEqual([0.2, 0.2, 0.2])
  })
  it('losses count on finished trays only', () => {
    const { repositories: to } = tempWorkshop()
    const { trayId, frozen } = addTray(to, RING, [0.1, 0.1, 0.1])
    to.bench.addEvent({ trayId, stepId: frozen.steps[0]?.id ?? '', workpiece: 2, kind: 'wrong', text: '', reversesId: null })
    expect(lossesFor(to, 'ring-band', 'sterling-925')).toEqual({ begun: 0, lost: 0 })
    to.bench.finishTray(trayId)
    expect(lossesFor(to, 'ring-band', 'sterling-925')).toEqual({ begun: 3, lost: 1 })
  })
})

describe('a tray as it is told at the bench', () => {
  it('waits while the pickle works, and no longer when the next step is done', () => {
    const { repositories: to } = tempWorkshop()
    const { trayId, frozen } = addTray(to, RING, [null, null])
    const done = (op: string, workpiece: number | null) => {
      const step = frozen.steps.find((item) => item.op === op)
      to.bench.addEvent({ trayId, stepId: step?.id ?? '', workpiece, kind: 'done', text: '', reversesId: null })
    }
    expect(trayState(to, trayId)?.waiting).toBeNull()
    done('pickle', null)
    expect(trayState(to, trayId)?.waiting).toMatchObject({ title: 'Pickle', waitS: 480 })
    done('true-up', 1)
    expect(trayState(to, trayId)?.waiting).toBeNull()
  })
  it('a step taken back is to be done again', () => {
    const { repositories: to } = tempWorkshop()
    const { trayId, frozen } = addTray(to, RING, [null])
    const event = { trayId, stepId: frozen.steps[0]?.id ?? '', workpiece: 1, kind: 'done', text: '', reversesId: null } as const
    const id = to.bench.addEvent(event)
    expect(trayState(to, trayId)?.progress.stepIndex).toBe(1)
    to.bench.addEvent({ ...event, reversesId: id })
    expect(trayState(to, trayId)?.progress.stepIndex).toBe(0)
  })
  it('a tray nobody laid out is none', () => expect(trayState(tempWorkshop().repositories, 7)).toBeUndefined())
})
