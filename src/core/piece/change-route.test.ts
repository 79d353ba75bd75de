import { describe, expect, it } from 'vitest'
import { OPERATIONS } from '../operations/catalogue'
import { paramFields } from '../operations/param-fields'
import { partedInto } from '../rules/parted'
import {
  ADDABLE_OPERATIONS,
  addStep,
  changeParams,
  giveReason,
  moveToThing,
  ownStepId,
  pinStep,
  unfoldStep,
  type WantedRoute,
  wantedOf,
  withRoute,
} from './change-route'
import { onePart, type PieceDesign } from './design'
import { planPiece } from './plan-piece'

const DESIGN = onePart({
  form: 'ring-band',
  inputVersion: 1,
  input: { insideDiameterMm: 18, alloy: 'sterling-925', thicknessMm: 1.2, widthMm: 4 },
  bought: 'annealed',
})
const PLAN = planPiece(DESIGN)
const START = wantedOf(PLAN, DESIGN)
let count = 0
const unique = (op: string) => ownStepId(op, `t${count++}`)
const kept = (wanted: WantedRoute): PieceDesign => withRoute(DESIGN, PLAN, wanted)
/** The steps after the design was kept and opened again. */
const reopened = (wanted: WantedRoute) => planPiece(kept(wanted)).steps

describe('a route that is changed', () => {
  it('in nothing is kept as nothing', () => expect(kept(START).route).toBeUndefined())
  it('can be given any operation there is', () => {
    expect(ADDABLE_OPERATIONS).toHaveLength(OPERATIONS.length)
    for (const { id } of ADDABLE_OPERATIONS) {
      const steps = reopened(addStep(START, 3, { id: unique(id), op: id, on: [{ thing: 'part-1' }] }))
      expect(steps[3]?.op).toBe(id)
    }
  })
  it('in a parameter stays so when the size changes', () => {
    const design = kept(changeParams(PLAN, START, 'anneal', { timeS: 90 }))
    const larger = { ...design, parts: design.parts.map((part) => ({ ...part, input: { ...part.input, insideDiameterMm: 20 } })) }
    const plan = planPiece(larger)
    expect(plan.steps.find(({ id }) => id === 'anneal')?.params.timeS).toBe(90)
    expect(plan.misfits).toEqual([])
  })
  it('by a step of the smith’s own keeps what was written into it', () => {
    const id = unique('own-step')
    const added = addStep(START, 0, { id, op: 'own-step', on: [{ thing: 'part-1' }], params: { what: 'ask the guard' } })
    expect(reopened(changeParams(PLAN, added, id, { min: 4 }))[0]?.params).toEqual({ what: 'ask the guard', min: 4 })
  })
  it('by a reason keeps it for that rule and that step alone, and drops it when it is taken away', () => {
    const given = giveReason(START, 'bend', 'P20', undefined, 'it is soft enough')
    const steps = reopened(given)
    expect(steps.find(({ id }) => id === 'bend')?.overrides).toEqual([{ rule: 'P20', reason: 'it is soft enough' }])
    expect(steps.filter(({ overrides }) => overrides !== undefined)).toHaveLength(1)
    expect(kept(giveReason(given, 'bend', 'P20', undefined, '')).route).toBeUndefined()
  })
  it('by a pin holds the step, and lets it go', () => {
    const pinned = pinStep(START, 'saw', true)
    expect(reopened(pinned).find(({ id }) => id === 'saw')?.pinned).toBe(true)
    expect(kept(pinStep(pinned, 'saw', false)).route).toBeUndefined()
  })
  it('parted into the steps it includes has each of them once, itself among them, and no more inside it', () => {
    const steps = reopened(unfoldStep(START, PLAN.assembly, 'solder', unique))
    const at = PLAN.steps.findIndex(({ id }) => id === 'solder')
    expect(steps).toHaveLength(PLAN.steps.length + partedInto(PLAN.assembly, at).length - 1)
    expect(steps.filter(({ op }) => op === 'solder').map(({ unfolded }) => unfolded)).toEqual([true])
  })
  it.each([
    ['A', ['anneal', 'quench', 'dry']],
    ['B', ['anneal', 'cool-slowly']],
  ])('an anneal is parted by the workshop’s own way of cooling: %s', (answer, ops) => {
    const at = PLAN.steps.findIndex(({ op }) => op === 'anneal')
    expect(partedInto({ ...PLAN.assembly, schools: { S05: answer } }, at).map(({ op }) => op)).toEqual(ops)
  })
  it('nickel silver cools slowly after an anneal whatever the workshop does with others', () => {
    const parts = PLAN.assembly.parts.map((part) => ({ ...part, alloy: 'nickel-silver-c752' as const }))
    const at = PLAN.steps.findIndex(({ op }) => op === 'anneal')
    expect(partedInto({ ...PLAN.assembly, parts, schools: { S05: 'A' } }, at).map(({ op }) => op)).toEqual(['anneal', 'cool-slowly'])
  })
  it('by moving a step to another thing leaves everything else where it was', () => {
    const steps = reopened(moveToThing(PLAN, START, 'saw', 'seam', unique))
    expect(steps.map(({ op }) => op)).toEqual(PLAN.steps.map(({ op }) => op))
    expect(steps.find(({ op }) => op === 'saw')?.on).toEqual([{ thing: 'seam' }])
  })
})

describe('parameters that can be edited in place', () => {
  it.each(OPERATIONS.map(({ id, params }) => [id, Object.keys(params.shape)] as const))(
    '%s has a field for each of its own',
    (id, names) => {
      const fields = paramFields(id)
      for (const { name, label } of fields) {
        expect(names).toContain(name)
        expect(label).toMatch(/^[A-Z]/)
      }
      expect(new Set(fields.map(({ name }) => name)).size).toBe(fields.length)
    },
  )
})
