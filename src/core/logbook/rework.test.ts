import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { trayProgress } from './progress'
import { FAILED, PASSED, REWORK_LOOP, type ReworkableStep, withRework } from './rework'

const step = (id: string, op: string, on = 'seam', together = false): ReworkableStep => ({
  id,
  op,
  on: [{ thing: on }],
  params: { of: id },
  together,
})
const ROUTE = [
  step('saw', 'saw', 'ring'),
  step('solder.seam', 'solder', 'seam'),
  step('solder.foot', 'solder', 'foot'),
  step('pickle', 'pickle', 'ring', true),
  step('test', 'test-joint', 'seam'),
  step('set', 'set-stone', 'stone'),
]
const plain = <S>(one: S) => one
const failed = (workpiece: number, stepId = 'test') => ({ kind: 'test', stepId, workpiece, text: `${FAILED}: a gap` })
const ops = (steps: readonly ReworkableStep[]) => steps.map(({ op }) => op)

describe('a joint that failed its test', () => {
  it('sends that piece through the loop and to the test again, before the stone', () => {
    const steps = withRework(ROUTE, [failed(2)], plain)
    expect(ops(steps)).toEqual(['saw', 'solder', 'solder', 'pickle', 'test-joint', ...REWORK_LOOP, 'set-stone'])
    for (const one of steps.slice(5, 10)) expect(one).toMatchObject({ only: 2, together: false })
  })
  it('is soldered again as it was soldered: the heat of the joint that was tested', () =>
    expect(withRework(ROUTE, [failed(1)], plain).find(({ id, op }) => id.includes('~') && op === 'solder')).toMatchObject({
      params: { of: 'solder.seam' },
      on: [{ thing: 'seam' }],
    }))
  it('that fails again goes round again; the names of steps are its own', () => {
    const once = withRework(ROUTE, [failed(1)], plain)
    const again = once.findLast(({ op }) => op === 'test-joint')?.id ?? ''
    const twice = withRework(ROUTE, [failed(1), failed(1, again)], plain)
    expect(twice).toHaveLength(ROUTE.length + 2 * REWORK_LOOP.length)
    expect(new Set(twice.map(({ id }) => id)).size).toBe(twice.length)
  })
  it('that passed, or of no piece, or at a step there is not, changes nothing', () => {
    const others = [
      { kind: 'test', stepId: 'test', workpiece: 1, text: PASSED },
      { kind: 'note', stepId: 'test', workpiece: 1, text: `${FAILED}: a gap` },
      { ...failed(1), workpiece: null },
      failed(1, 'nowhere'),
    ]
    expect(withRework(ROUTE, others, plain)).toEqual(ROUTE)
  })
  it('holds the others up no longer than its own steps take: they wait at the next step, not in the loop', () => {
    const done = (stepId: string, workpiece: number | null) => ({ kind: 'done', stepId, workpiece })
    const moves = [...[1, 2].flatMap((n) => ['saw', 'solder.seam', 'solder.foot', 'test'].map((id) => done(id, n))), done('pickle', null)]
    const steps = withRework(ROUTE, [failed(2)], plain)
    expect(trayProgress(2, steps, moves)).toMatchObject({ stepIndex: 5, workpiece: 2 })
    const loop = steps.slice(5, 10).map(({ id }) => done(id, 2))
    expect(trayProgress(2, steps, [...moves, ...loop])).toMatchObject({ stepIndex: 10, workpiece: 1 })
    expect(trayProgress(2, steps, [...moves, { kind: 'loss', stepId: null, workpiece: 2 }])).toMatchObject({ stepIndex: 10, workpiece: 1 })
  })
  it('comes to the same whatever other entries lie between, so that a device by itself agrees', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom('note', 'reading', 'done'), { maxLength: 8 }), (kinds) => {
        const noise = kinds.map((kind) => ({ kind, stepId: 'saw', workpiece: 1, text: '' }))
        const mixed = [...noise.slice(0, 3), failed(1), ...noise.slice(3), failed(2)]
        expect(withRework(ROUTE, mixed, plain)).toEqual(withRework(ROUTE, [failed(1), failed(2)], plain))
      }),
    ))
})
