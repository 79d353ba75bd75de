import { describe, expect, it } from 'vitest'
import { FORMS, findForm } from '@/core/forms'
import { KITS } from '@/core/kits'
import { FAILED, PASSED, TESTED } from '@/core/logbook'
import { designFromKit, planPiece } from '@/core/piece'
import { designSchema } from '@/server/db/repositories'
import { KIT_PIECES } from '@/server/seed/demo-kits'
import { keepEntry } from '@/server/services/keep-entry'
import { stepsOf } from '@/server/services/ledger'
import { ownAllowanceOfPiece } from '@/server/services/own-record'
import { planDesign, planOptions, torchBookOf, walkFrozen } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { addPiece, enter, entryFor, saidOf, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const NOW = '2027-03-01T10:00:00.000Z'

function sizedDesign(id: string) {
  const kit = KITS.find((one) => one.id === id)
  const sizes = KIT_PIECES.find((piece) => piece.kit === id)
  if (!kit || !sizes) throw new Error(`no kit ${id}`)
  const open = designFromKit(kit)
  return designSchema.parse({ ...open, parts: open.parts.map((part) => ({ ...part, input: { ...part.input, ...sizes.inputs[part.id] } })) })
}

describe.each(KITS.map((kit) => [kit.id] as const))('a piece from the kit %s', (id) => {
  it('opens with every size open that is not bound to another, and says of each part what it lacks', () => {
    const kit = KITS.find((one) => one.id === id)
    if (!kit) throw new Error('no kit')
    const plan = planPiece(designFromKit(kit))
    expect(plan.ok).toBe(false)
    for (const part of plan.parts) {
      expect(findForm(part.form)?.id).toBe(part.form)
      expect(part.issues.length).toBeGreaterThan(0)
    }
  })
  it('goes from its sizes over its whole route at the bench, and what is measured corrects the next blank', () => {
    const { repositories: to } = tempWorkshop()
    const design = sizedDesign(id)
    const pieceId = addPiece(to, id, design, 3)
    const tray = trayOf(to, pieceId, 3)
    expect(tray.plan.parts.map(({ part }) => part)).toEqual(design.parts.map((part) => part.id))
    expect(walkFrozen(tray.plan).steps).toHaveLength(tray.plan.steps.length)
    // the bench says of each heat what its card says
    const options = planOptions(to)
    const cards = torchBookOf(to, planDesign(design, options), options).heats
    expect(tray.plan.steps.flatMap(({ heat }, step) => (heat ? [[step, heat.say, heat.warnings]] : []))).toEqual(
      cards.map(({ step, plan }) => [step, plan.say, plan.warnings]),
    )
    const [main] = tray.plan.parts
    const outcome = main.outcomes.find(({ primary }) => primary)
    const at = tray.plan.steps.findLastIndex(
      ({ target, on }) => target?.dimension === outcome?.dimension && on.some(({ thing }) => thing === main.part),
    )
    if (outcome && at >= 0) {
      workThrough(to, tray, [1, 2, 3], at)
      const step = tray.plan.steps[at]?.id
      for (const n of [1, 2, 3])
        enter(to, tray, n, {
          kind: 'reading',
          step,
          dimension: outcome.dimension,
          value: outcome.valueMm + 0.1,
          item: `${tray.uid}/${main.part}/${n}`,
        })
    }
    workThrough(to, tray, [1, 2, 3])
    expect(trayState(to, tray.id)?.progress.finished).toBe(true)
    if (!outcome || at < 0) return
    const own = ownAllowanceOfPiece(to, pieceId, planOptions(to))?.own
    expect(own?.count).toBe(3)
    // few readings are not believed whole
    expect(own?.growthMm).toBeGreaterThan(0.03)
    expect(own?.growthMm).toBeLessThanOrEqual(0.1)
    const slope = outcome.blankPerMm
    if (slope === 0 || own?.outcome !== 'offered') return
    const corrected = {
      ...design,
      parts: design.parts.map((part, i) => (i === 0 ? { ...part, input: { ...part.input, allowanceMm: own.allowanceMm } } : part)),
    }
    const before = planDesign(design, {}).parts[0]?.result?.answer.value ?? 0
    expect(planDesign(corrected, {}).parts[0]?.result?.answer.value).toBeCloseTo(before + own.allowanceMm, 6)
  })
})

describe('a joint that fails at the bench', () => {
  const { repositories: to } = tempWorkshop()
  const tray = trayOf(to, addPiece(to, 'Pendant', sizedDesign('bezel-pendant-balls'), 2), 2)
  const test = tray.plan.steps.findIndex(({ op }) => op === 'test-joint')
  const step = tray.plan.steps[test]?.id
  workThrough(to, tray, [1, 2], test)
  it('is told as the result of its test, by words that a program can read', () => {
    const said = (text: string | undefined) =>
      saidOf(keepEntry(to, entryFor(to, tray, 1, { kind: 'test', step, ...(text ? { text } : {}) }), NOW))
    expect(said('it rattles')).toContain(FAILED)
    expect(said(undefined)).toContain(PASSED)
    expect(said(`${FAILED}: a gap`)).toBe('kept')
  })
  it('sends that piece alone round again before its stone, and the record keeps what was seen', () => {
    enter(to, tray, 1, { kind: 'done', step })
    enter(to, tray, 2, { kind: 'test', step, text: PASSED })
    enter(to, tray, 2, { kind: 'done', step })
    const steps = stepsOf(to, tray)
    expect(steps).toHaveLength(tray.plan.steps.length + 5)
    const state = trayState(to, tray.id)
    expect(state?.progress).toMatchObject({ stepIndex: test + 1, workpiece: 1 })
    const first = steps[test + 1]
    expect(saidOf(keepEntry(to, entryFor(to, tray, 2, { kind: 'done', step: first?.id }), NOW))).toContain('rework of piece 1')
    for (const one of steps.slice(test + 1, test + 6)) enter(to, tray, 1, { kind: 'done', step: one.id })
    expect(trayState(to, tray.id)?.progress).toMatchObject({ stepIndex: test + 6, workpiece: 1 })
    expect(to.entries.wordsOf(tray.pieceId, 9).map(({ text }) => text)).toContain(`${FAILED}: a gap`)
  })
  it('a test at a step that tests nothing is refused', () => {
    const saw = tray.plan.steps.find(({ op }) => op === 'saw')?.id
    expect(saidOf(keepEntry(to, entryFor(to, tray, 2, { kind: 'test', step: saw, text: PASSED }), NOW))).toContain(
      'at a step that tests it',
    )
    expect(TESTED.has('saw')).toBe(false)
  })
})

it('every form has a part in some kit, or stands by itself', () => {
  const inKits = new Set(KITS.flatMap(({ parts }) => parts.map(({ form }) => form)))
  expect([...inKits].filter((form) => !FORMS.some(({ id }) => id === form))).toEqual([])
})
