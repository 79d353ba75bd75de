import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COMMANDS } from '@/core/commands'

const square = [
  [0, 0],
  [40, 0],
  [40, 30],
  [0, 30],
]

const GOOD: Readonly<Record<string, unknown>> = {
  marks: {
    outer: square,
    holes: [],
    thicknessMm: '20 ga',
    alloy: 'copper-c110',
    marks: [
      { kind: 'letters', text: 'MAIL\nCOACH', heightMm: '2 mm', line: { kind: 'circle', radiusMm: 8, middleDeg: 90, facing: 'inwards' } },
      { kind: 'repeat', widthMm: 1, pitchMm: 2.5, line: { kind: 'edge', insetMm: 3 } },
      { kind: 'holes', diameterMm: 1.2, stampCount: 5, by: 'angle', line: { kind: 'edge', insetMm: 5 } },
      { kind: 'hallmark', widthsMm: [1, 2], heightMm: 2, share: 0.4 },
      {
        kind: 'map',
        points: [
          { x: 0, y: 0 },
          { name: 'b', x: 4, y: 3 },
        ],
        links: [[0, 1]],
      },
      { kind: 'stamp', widthMm: 2, at: [10, 10], angleDeg: 30, face: 'back' },
    ],
    after: { kind: 'bend', insideDiameterMm: 20 },
    centreOf: {
      points: [
        [0, 0],
        [4, 0],
        [4, 4],
      ],
    },
  },
  etch: {
    alloy: 'copper-c110',
    thicknessMm: 1,
    outer: square,
    dark: [
      [
        [5, 5],
        [10, 5],
        [10, 10],
      ],
      {
        outer: [
          [20, 5],
          [30, 5],
          [30, 15],
        ],
        holes: [],
      },
    ],
    tile: { alongMm: 20, acrossMm: 15 },
    depthMm: 0.2,
    densityAPerDm2: 6,
    gapMm: 10,
    finestMm: 0.5,
    runs: [{ areaMm2: 900, currentA: 1, minutes: 60, depthMm: 0.1 }],
  },
  surface: {
    alloy: 'sterling-925',
    faces: [{ name: 'front', areaMm2: 400, from: 'P220', finish: 'mirror' }],
    patina: { agent: 'sulphurated-potash', runs: 3, relief: 'pumice', seal: 'wax' },
    later: ['hang'],
    bench: ['water'],
    baths: ['pickle', 'water'],
  },
}

const odd = fc.constantFrom<unknown>(
  null,
  '',
  'x',
  '-1',
  'NaN',
  -1,
  0,
  1e9,
  1e-9,
  1e300,
  0.5,
  7,
  true,
  [],
  {},
  [[]],
  '__proto__',
  '9'.repeat(400),
  '😀',
)

/** A copy of an input with something else at one of its places. */
function spoilt(input: unknown, steps: readonly number[], value: unknown): unknown {
  const [step, ...rest] = steps
  if (step === undefined || typeof input !== 'object' || input === null) return value
  const keys = Object.keys(input)
  if (keys.length === 0) return value
  const key = keys[step % keys.length] as string
  const copy: Record<string, unknown> = Array.isArray(input) ? ([...input] as never) : { ...input }
  copy[key] = spoilt(copy[key], rest, value)
  return copy
}

describe('bad marks, etches and finishes', () => {
  it.each(Object.keys(GOOD))('%s answers the input it is spoilt from', (command) => {
    expect(COMMANDS.get(command)?.(GOOD[command], () => 0)).toMatchObject({ ok: true })
  })
  it.each(Object.keys(GOOD))('%s never throws, and says in plain words what is wrong', (command) => {
    const ask = COMMANDS.get(command)
    fc.assert(
      fc.property(fc.array(fc.nat(30), { minLength: 1, maxLength: 5 }), odd, (steps, value) => {
        const answer = ask?.(spoilt(GOOD[command], steps, value), () => 0)
        if (!answer) throw new Error('no command')
        if (answer.ok) {
          expect(JSON.stringify(answer.body)).not.toMatch(/[:,[]null/)
          return
        }
        const { error } = answer.body
        expect(error.issues.length).toBeGreaterThan(0)
        expect(error.message).not.toMatch(/Invalid|expected|undefined|\[object/)
      }),
      { numRuns: 1500 },
    )
  })
})
