import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { findOperation, OPERATIONS } from '../operations/catalogue'
import { checkOrder } from './order'
import { planPiece } from './plan-piece'
import { walkTemper } from './temper'
import { wordsOf } from './words'

const codes = (...ops: string[]) => checkOrder(ops.map((op) => ({ op }))).map((finding) => finding.code)

describe('what must come first (common practice, no source)', () => {
  it.each([
    ['a torch after finishing', ['finish', 'solder'], 'finish-after-heat'],
    ['a torch after riveting', ['rivet', 'anneal'], 'heat-before-rivet'],
    ['a ball melted on a wire already riveted', ['rivet', 'melt'], 'heat-before-rivet'],
    ['a torch near a set stone', ['set-stone', 'solder'], 'heat-before-stone'],
    ['a stone set before the tabs are up', ['set-stone', 'bend'], 'fit-before-stone'],
    ['a hole drilled beside a stone', ['set-stone', 'drill'], 'fit-before-stone'],
    ['truing an open joint', ['bend', 'true-up', 'solder'], 'solder-before-true-up'],
    ['a pickle after the stone', ['set-stone', 'pickle'], 'pickle-before-stone'],
    ['a pickle after the rivet', ['rivet', 'pickle'], 'pickle-before-rivet'],
    ['pressing over scale', ['anneal', 'press-die'], 'pickle-before-hammer'],
    ['soldering before bending', ['solder', 'bend'], 'bend-before-solder'],
    ['doming over scale', ['anneal', 'dap'], 'pickle-before-hammer'],
    ['stamping over scale', ['solder', 'stamp'], 'pickle-before-hammer'],
  ])('%s is found', (_, ops, code) => expect(codes(...ops)).toContain(code))
  it.each([
    ['pickled before the punch', ['anneal', 'pickle', 'dap', 'dap']],
    ['soldered, trued, and soldered again to a plate', ['bend', 'solder', 'pickle', 'true-up', 'solder', 'pickle', 'finish', 'set-stone']],
    ['riveted last', ['drill', 'anneal', 'saw', 'file', 'rivet', 'finish']],
    ['never heated', ['saw', 'file', 'drill', 'finish']],
    ['nothing to do', []],
  ])('%s is well', (_, ops) => expect(codes(...ops)).toEqual([]))
  it('says which step comes too early', () =>
    expect(checkOrder([{ op: 'saw' }, { op: 'set-stone' }, { op: 'file' }, { op: 'solder' }])).toMatchObject([
      { code: 'heat-before-stone', step: 1, level: 'stop' },
    ]))
  it.each([
    [
      'the inside finished before an anneal',
      [{ op: 'finish', params: { what: 'the inside' } }, { op: 'anneal' }, { op: 'bend' }, { op: 'finish' }],
    ],
    [
      'an overlay soldered flat, then bent with its plate',
      [{ op: 'solder', params: { what: 'the overlay' } }, { op: 'pickle' }, { op: 'bend' }],
    ],
    ['ready tube trued, then soldered', [{ op: 'saw' }, { op: 'true-up' }, { op: 'solder', params: { what: 'it to its plate' } }]],
    ['the edge of a bezel filed after setting', [{ op: 'set-stone' }, { op: 'file', params: { what: 'the edge of the bezel' } }]],
  ])('%s is no mistake', (_, steps) => expect(checkOrder(steps)).toEqual([]))
  it('an operation nobody has breaks no rule', () => expect(codes('enchant', 'finish')).toEqual([]))
  it('two steps the wrong way round are found wherever they stand', () => {
    const harmless = fc.array(fc.constantFrom('saw', 'drill'), { maxLength: 5 })
    fc.assert(
      fc.property(
        harmless,
        harmless,
        fc.constantFrom('anneal', 'solder', 'melt'),
        fc.constantFrom('rivet', 'finish'),
        (before, between, heat, last) => {
          expect(codes(...before, last, ...between, heat).length).toBeGreaterThan(0)
          expect(codes(...before, heat, ...between, last)).toEqual([])
        },
      ),
    )
  })
})

describe.each(FORMS.map((form) => [form.id, form] as const))('the route of %s', (_, form) => {
  const plan = planPiece({
    parts: [{ id: 'part-1', form: form.id, inputVersion: form.inputVersion, input: form.example }],
    bought: 'annealed',
  })
  if (!plan.ok) throw new Error(`${form.id}: ${JSON.stringify(plan.issues)}`)
  const { steps, temper } = plan
  it('breaks no rule of the order of work', () => expect(checkOrder(steps)).toEqual([]))
  it('has steps with ids of their own, each an operation whose parameters can be read', () => {
    expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length)
    for (const step of steps) expect(findOperation(step.op)?.read(step.params)).toMatchObject({ ok: true })
  })
  it('tells each step in whole words', () => {
    for (const step of steps) {
      const { title, say } = wordsOf(step, { alloy: temper.alloy, thicknessMm: temper.thicknessMm })
      expect(title).toMatch(/^[A-Z][^{}]+$/)
      expect(`${title} ${say}`).not.toMatch(/undefined|NaN|null/)
      expect(say).toMatch(/[.]$/)
    }
  })
  it('ends with a finish, or with the stone that goes in after it', () =>
    expect(['finish', 'set-stone', 'bend']).toContain(steps.at(-1)?.op))
  it('can be walked through soft metal to its end', () => {
    const walk = walkTemper(temper)
    expect(walk.issues).toEqual([])
    expect(walk.steps).toHaveLength(steps.length)
    expect(walk.annealBefore.map((i) => steps[i]?.op)).toEqual([])
    for (const state of walk.steps) expect(Number.isFinite(state.hardnessHv) && state.hardnessHv > 0).toBe(true)
  })
  it('measures what the record is kept of, in a step of its own', () => {
    const learned = plan.result.outcomes[0]
    if (learned) expect(steps.some((step) => step.target?.dimension === learned.dimension)).toBe(true)
  })
})

it('every operation can be told without a parameter, or says which one it needs', () => {
  for (const operation of OPERATIONS) {
    const read = operation.read({})
    if (!read.ok) expect(read.message).toMatch(new RegExp(`^${operation.title}: \\w+`))
  }
})
