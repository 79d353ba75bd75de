import { describe, expect, it } from 'vitest'
import { findKit } from '@/core/kits'
import { PASSED } from '@/core/logbook'
import { designFromKit } from '@/core/piece'
import { designSchema } from '@/server/db/repositories'
import { KIT_PIECES } from '@/server/seed/demo-kits'
import { keepEntry } from '@/server/services/keep-entry'
import { stepsOf } from '@/server/services/ledger'
import { trayState } from '@/server/services/tray-state'
import { addPiece, enter, entryFor, NOW, saidOf, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

function pendantTray(size: number) {
  const { repositories: to } = tempWorkshop()
  const kit = findKit('bezel-pendant-balls')
  const sizes = KIT_PIECES.find((piece) => piece.kit === kit?.id)
  if (!kit || !sizes) throw new Error('no kit')
  const open = designFromKit(kit)
  const parts = open.parts.map((part) => ({ ...part, input: { ...part.input, ...sizes.inputs[part.id] } }))
  const tray = trayOf(to, addPiece(to, 'Pendant', designSchema.parse({ ...open, parts }), size), size)
  return {
    to,
    tray,
    stepOf: (op: string, thing: string) => tray.plan.steps.findIndex((step) => step.op === op && step.on[0]?.thing === thing),
  }
}

describe('a tray of a piece of several parts', () => {
  const { to, tray, stepOf } = pendantTray(2)
  const idAt = (index: number) => tray.plan.steps[index]?.id ?? ''
  const said = (workpiece: number | null, more: Record<string, unknown>) => saidOf(keepEntry(to, entryFor(to, tray, workpiece, more), NOW))
  const plate = stepOf('saw', 'plate')
  const foot = stepOf('solder', 'foot')

  it('offers every part that waits for nothing, and stands where one is taken up', () => {
    const open = trayState(to, tray.id)?.progress.open ?? []
    const things = open.map((i) => tray.plan.steps[i]?.on[0]?.thing)
    expect(things).toEqual(expect.arrayContaining(['bezel', 'balls', 'plate']))
    expect(said(null, { kind: 'started' })).toContain('say which')
    enter(to, tray, null, { kind: 'started', step: idAt(plate) })
    expect(trayState(to, tray.id)?.progress.stepIndex).toBe(plate)
    expect(to.trays.one(tray.id)?.standing.stepIndex).toBe(plate)
  })
  it('measures a part whose own steps are done, though others are not', () => {
    const step = tray.plan.steps.find(({ target, on }) => target && on[0]?.thing === 'plate')
    const first = tray.plan.steps.find(({ target, on }) => target && on[0]?.thing === 'bezel')
    const reading = (of: typeof step, part: string) => ({
      kind: 'reading',
      step: of?.id,
      dimension: of?.target?.dimension,
      value: of?.target?.valueMm,
      item: `${tray.uid}/${part}/1`,
    })
    if (step) expect(said(1, reading(step, 'plate'))).toMatch(/kept|is not done/)
    if (first) expect(said(1, reading(first, 'bezel'))).toMatch(/kept|is not done/)
    // the joint waits for both
    workThrough(to, tray, [1, 2], foot)
    expect(trayState(to, tray.id)?.progress).toMatchObject({ stepIndex: foot, open: [foot] })
  })
  it('makes one part again, alone, and keeps the piece', () => {
    const again = { kind: 'loss', step: idAt(foot), text: 'slumped', part: 'bezel', item: `${tray.uid}/bezel/2` }
    expect(said(2, { ...again, part: 'bail', item: `${tray.uid}/bail/2` })).toContain('can be made again; bail was given')
    expect(said(2, { ...again, item: `${tray.uid}/plate/2` })).toContain('the item is of plate')
    expect(said(2, { ...again, step: null })).toContain('say which')
    enter(to, tray, 2, again)
    const progress = trayState(to, tray.id)?.progress
    const steps = stepsOf(to, tray)
    expect(progress).toMatchObject({ lost: [], alive: [1, 2], workpiece: 2 })
    expect(steps[progress?.stepIndex ?? 0]).toMatchObject({ op: 'saw', only: 2 })
    const own = steps.filter(({ only }) => only === 2)
    expect(own.every(({ on }) => on.every(({ thing }) => thing.startsWith('bezel')))).toBe(true)
    expect(saidOf(keepEntry(to, entryFor(to, tray, 1, { kind: 'done', step: own[0]?.id }), NOW))).toContain('rework of piece 2')
    for (const { id } of own) enter(to, tray, 2, { kind: 'done', step: id })
    expect(trayState(to, tray.id)?.progress).toMatchObject({ workpiece: 1 })
  })
  it('keeps with the result of a test the gap that was measured, and refuses what no gap can be', () => {
    const test = stepOf('test-joint', 'foot')
    workThrough(to, tray, [1, 2], test)
    const told = (value: unknown, dimension = 'gap') => said(1, { kind: 'test', step: idAt(test), text: PASSED, dimension, value })
    expect(told(7)).toContain('allowed: 0 to 3 mm')
    expect(told('wide')).toContain('allowed: 0 to 3 mm')
    expect(told(0.1, 'width')).toContain('gap or offset is measured')
    expect(said(1, { kind: 'test', step: idAt(test), text: 'failed: a gap', part: 'lid' })).toContain('lid was given')
    expect(told('0')).toBe('kept')
    expect(
      said(2, { kind: 'test', step: idAt(test), text: 'failed: it sits askew', dimension: 'offset', value: '0.4', part: 'bezel' }),
    ).toBe('kept')
    const kept = to.entries.wordsOf(tray.pieceId, 9).filter(({ kind }) => kind === 'test')
    expect(kept.map(({ dimension, value, failedPart }) => ({ dimension, value, failedPart }))).toEqual([
      { dimension: 'offset', value: 0.4, failedPart: 'bezel' },
      { dimension: 'gap', value: 0, failedPart: null },
    ])
  })
})
