import { describe, expect, it } from 'vitest'
import { COMMANDS } from './commands'

function ask(command: 'route' | 'joints', input: unknown) {
  const answer = COMMANDS.get(command)?.(input, () => 0)
  if (!answer) throw new Error('no command')
  return answer
}
const body = (command: 'route' | 'joints', input: unknown) => ask(command, input).body as Record<string, never>

const PENDANT = {
  parts: [
    { id: 'bezel', form: 'bezel', alloy: 'fine-silver', thicknessMm: 0.33, massG: 0.6 },
    { id: 'plate', form: 'back-plate', alloy: 'sterling-925', thicknessMm: 0.8, massG: 6.3 },
  ],
  others: [{ id: 'stone', kind: 'stone' }],
  joints: [
    { id: 'seam', kind: 'seam', members: ['bezel.seam'], role: 'bezel-seam', lengthMm: 3 },
    { id: 'foot', kind: 'tee', members: ['bezel.foot', 'plate.face'], role: 'bezel-to-plate', lengthMm: 55 },
    { id: 'set', kind: 'bezel', members: ['bezel.lip', 'stone'] },
  ],
  steps: [
    { op: 'saw', on: 'bezel' },
    { op: 'square-ends', on: 'bezel' },
    { op: 'bend', on: 'bezel' },
    { op: 'solder', on: 'seam' },
    { op: 'pickle', on: 'bezel' },
    { op: 'true-up', on: 'bezel' },
    { op: 'fit-stone', on: 'bezel' },
    { op: 'solder', on: 'foot' },
    { op: 'pickle', on: 'plate' },
    { op: 'test-joint', on: 'foot' },
    { op: 'set-stone', on: 'set', params: { by: 'bezel' } },
  ],
}

describe('a route at the interfaces', () => {
  it('that is in order says so: no finding, no move, nothing missing', () =>
    expect(body('route', { ...PENDANT, want: 'order' })).toMatchObject({
      findings: [],
      order: { steps: PENDANT.steps.map((_, i) => i), moves: [], proposed: [] },
    }))
  it('that solders after the stone is told so, and the stone is never overridden', () => {
    const steps = [...PENDANT.steps, { op: 'solder', on: 'foot', overrides: [{ rule: 'P02', reason: 'the stone stands it' }] }]
    const { findings } = body('route', { ...PENDANT, steps, want: 'check' }) as unknown as { findings: { rule: string }[] }
    expect(findings).toContainEqual(expect.objectContaining({ rule: 'P02', level: 'stop', overridden: false, steps: [10, 11] }))
  })
  it('that is lifted with a reason stays lifted for that rule alone', () => {
    const steps = [
      { op: 'anneal', on: 'plate' },
      { op: 'saw', on: 'plate', overrides: [{ rule: 'P103', reason: 'scale is wanted here' }] },
    ]
    const asked = { parts: [{ id: 'plate' }], steps, want: 'check' }
    expect(body('route', asked)).toMatchObject({ findings: [{ rule: 'P103', overridden: true }] })
    const single = steps.map((step) => ({ ...step, overrides: [{ rule: 'P103', reason: 'scale' }] }))
    expect(body('route', { ...asked, steps: single })).toMatchObject({ findings: [{ rule: 'P103', overridden: false }] })
  })
  it('gives the state after each step by axis', () => {
    const { states } = body('route', { parts: [{ id: 'plate', bought: 'hard' }], steps: [{ op: 'anneal', on: 'plate' }] }) as never as {
      states: { plate: Record<string, Record<string, unknown>> }[]
    }
    expect(states[0]?.plate).toMatchObject({ temper: { temper: 0 }, surface: { scaled: true }, thing: { hot: false, wet: false } })
  })
  it('follows the metal of each part by its ledger: hammered it hardens, the heat of a joint softens all that hangs on it', () => {
    const { temper } = body('route', {
      parts: [
        { id: 'wire', alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed' },
        { id: 'plate', alloy: 'sterling-925', thicknessMm: 0.8, bought: 'hard' },
        { id: 'unknown' },
      ],
      joints: [{ id: 'j', kind: 'point', members: ['wire', 'plate'], solder: 'easy-65' }],
      steps: [
        { op: 'planish', on: 'wire', params: { thinnedFraction: 0.1 } },
        { op: 'solder', on: 'j' },
      ],
    }) as never as { temper: { part: string; steps: { step: number; op: string; hardnessHv: number; workLeftFraction: number }[] }[] }
    expect(temper.map(({ part }) => part)).toEqual(['wire', 'plate'])
    const [wire, plate] = temper.map(({ steps }) => steps)
    const metalAfter = (steps: typeof wire, op: string) => steps?.find((item) => item.op === op)
    expect(metalAfter(wire, 'planish')?.step).toBe(0)
    expect(metalAfter(wire, 'planish')?.workLeftFraction).toBeLessThan(0.95)
    expect(metalAfter(wire, 'solder')?.workLeftFraction).toBeGreaterThan(0.95)
    expect(metalAfter(plate, 'planish')).toBeUndefined()
    expect(metalAfter(plate, 'solder')?.workLeftFraction).toBeGreaterThan(0.95)
    expect(metalAfter(plate, 'solder')?.hardnessHv).toBeLessThan(100)
  })
  it('joints that are held are left out of the ladder, wherever that is written', () => {
    const asked = (held: object) => ({
      parts: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
      joints: [
        { id: 'j', kind: 'lap', members: ['a', 'b'], solder: 'easy-65' },
        { id: 'k', kind: 'lap', members: ['c', 'b'], solder: 'hard-75' },
      ],
      steps: [
        { op: 'solder', on: 'j' },
        { op: 'pickle', on: 'a' },
        { op: 'solder', on: 'k', ...held },
      ],
      want: 'check',
    })
    expect(body('route', asked({}))).toMatchObject({ findings: [{ rule: 'P06', steps: [0, 2] }] })
    for (const held of [{ held: ['j'] }, { params: { held: ['j'] } }]) expect(body('route', asked(held))).toMatchObject({ findings: [] })
  })
  it.each([
    [{ parts: [{ id: 'a' }], steps: [{ op: 'enchant', on: 'a' }] }, 'steps.0.op', '"enchant" is not an operation'],
    [{ parts: [{ id: 'a' }], steps: [{ op: 'saw', on: 'b' }] }, 'steps.0.on.0', 'done to "b", which is not there'],
    [{ parts: [{ id: 'a' }], steps: [{ op: 'saw', on: [] }] }, 'steps.0.on', 'done to nothing'],
    [
      { parts: [{ id: 'a' }], joints: [{ id: 'j', kind: 'tee', members: ['a', 'b'] }] },
      'joints.0.members.1',
      'to "b", which is not there; there are "a"',
    ],
    [{ parts: [{ id: 'a' }], joints: [{ id: 'j', kind: 'weld', members: ['a'] }] }, 'joints.0.kind', '"weld" was given'],
    [{ parts: [{ id: 'a' }, { id: 'a' }] }, 'parts', 'the id "a" comes twice'],
    [{ parts: [{ id: 'a' }], schools: { S14: 'C' } }, 'schools.S14', '"C" was given; it can be A, B'],
    [{ parts: 7 }, 'parts', '7 was given'],
  ])('%j is refused, naming the field', (input, path, message) => {
    const answer = ask('route', input)
    expect(answer.ok).toBe(false)
    const { issues } = (answer.body as { error: { issues: { path: string; message: string }[] } }).error
    expect(issues).toContainEqual({ path, message: expect.stringContaining(message) })
  })
})

describe('joints at the interfaces', () => {
  it('gives each joint a solder that flows lower than those its heat reaches, with its amount and its heat', () => {
    const { heats, ladder, change } = body('joints', PENDANT) as never as {
      heats: { step: number; joints: Record<string, unknown>[]; plan: { ratio: number; seconds: number; say: string } }[]
      ladder: { stops: number; grades: number }
      change: string | null
    }
    expect(ladder).toMatchObject({ stops: 0, grades: 2 })
    expect(change).toBeNull()
    expect(heats.map(({ step }) => step)).toEqual([3, 7])
    expect(heats[1]?.joints[0]).toMatchObject({ joint: 'foot', reaches: [{ joint: 'seam' }] })
    const { ratio, seconds, say } = heats[1]?.plan ?? { ratio: 0, seconds: 0, say: '' }
    // 6.3 g of sterling at 245 J/kgK against 0.6 g of fine silver at 235
    expect(ratio).toBeCloseTo((6.3 * 245) / (0.6 * 235), 6)
    expect(say).toContain('Heat the plate')
    expect(seconds).toBeGreaterThan(3)
    expect(seconds).toBeLessThan(60)
  })
  it('says what would make it possible where no solder owned does', () => {
    const { ladder, change } = body('joints', { ...PENDANT, solders: ['hard-75'] }) as never as {
      ladder: { stops: number }
      change: string
    }
    expect(ladder.stops).toBe(1)
    expect(change).toContain('hold "seam"')
  })
})
