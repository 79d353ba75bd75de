import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { netAreaMm2, perimeterMm, rectangleOutline, signedAreaMm2 } from '../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../geometry/point'
import { PlanRefusal } from '../refusal'
import { bentPath, bentView } from './bent-part'
import { BLANK_SCHOOLS, domeBlankMm } from './dome-blank'
import { freeOutline } from './free-outline'
import { roundOvalMm } from './oval'
import { stackView } from './rivet-stack'
import { sheetAlong, shellSection } from './shell'
import { bentSteps, holeSteps } from './sized-steps'
import { bendsAlong, taperOf } from './solids'
import { roundStoneMm, stoneOutline } from './stone'

const length = (path: readonly Point[]) =>
  path.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - (path[i]?.[0] ?? 0), y - (path[i]?.[1] ?? 0)), 0)

describe('an outline by its corners', () => {
  const numbers = fc.double({ min: 1, max: 200, noNaN: true })
  it('fills just the two ways it is given, about its own middle, the right way round', () =>
    fc.assert(
      fc.property(numbers, numbers, (long, wide) => {
        for (const text of ['0 0; 30 0; 40 12; 30 24; 0 24', '0 24; 30 24; 40 12; 30 0; 0 0']) {
          const outline = freeOutline(text, 'none', long, wide)
          const box = boundsOf(outline)
          expect(box.maxX - box.minX).toBeCloseTo(long, 9)
          expect(box.maxY - box.minY).toBeCloseTo(wide, 9)
          expect(box.minX).toBeCloseTo(-long / 2, 9)
          expect(signedAreaMm2(outline)).toBeGreaterThan(0)
        }
      }),
    ))
  it('does not mind where it was measured from, or in what unit', () => {
    const here = freeOutline('0 0; 4 0; 4 1; 2 3; 0 1', 'none', 20, 15)
    for (const text of [
      '10 10; 14 10; 14 11; 12 13; 10 11',
      '0 0; 40 0; 40 10; 20 30; 0 10',
      '0,0; 4,0; 4,1; 2,3; 0,1',
      '0 0\n4 0\n4 1\n2 3\n0 1',
    ])
      freeOutline(text, 'none', 20, 15).forEach(([x, y], i) => {
        expect(x).toBeCloseTo(here[i]?.[0] ?? 0, 9)
        expect(y).toBeCloseTo(here[i]?.[1] ?? 0, 9)
      })
  })
  it('half of it mirrored is alike above and below', () => {
    const outline = freeOutline('8 0; 6 3; 0 4; -2 0', 'below', 30, 16)
    for (const [x, y] of outline) expect(outline.some(([ox, oy]) => Math.abs(ox - x) < 1e-9 && Math.abs(oy + y) < 1e-9)).toBe(true)
  })
  it.each([
    ['', /0 were given; three at least/],
    ['0 0; 1 1', /2 were given/],
    ['0 0; 4 0; four 4', /corner 3 is "four 4"; two numbers are needed/],
    ['0 0; 4 0; 4', /corner 3 is "4"/],
    ['0 0; 4 0; 1e9 4', /corner 3/],
    ['0 0; 4 4; 8 8', /enclose next to nothing|one line/],
    ['0 0; 8 0; 4 0', /one line/],
    ['0 0; 4 4; 4 0; 0 4', /cross or touch/],
    [Array.from({ length: 201 }, (_, i) => `${i} ${i * i}`).join(';'), /201 were given; 200 at most/],
  ])('"%s" is refused in words', (text, message) => {
    expect(() => freeOutline(text, 'none', 20, 10)).toThrow(PlanRefusal)
    try {
      freeOutline(text, 'none', 20, 10)
    } catch (error) {
      expect(error instanceof PlanRefusal && error.issue.message).toMatch(message)
    }
  })
})

describe('a stone', () => {
  const stone = (shape: string, stoneLengthMm: number, stoneWidthMm: number, cornerMm = 1) => ({
    shape,
    stoneLengthMm,
    stoneWidthMm,
    cornerMm,
  })
  it('round is π times its width, by either way to calculate', () => {
    expect(roundStoneMm([], stone('oval', 12, 12))).toBeCloseTo(12 * Math.PI, 6)
    expect(roundStoneMm([], stone('cushion', 12, 12, 6))).toBeCloseTo(12 * Math.PI, 9)
  })
  it('its outline is as long as it is calculated (independent: the chords of the outline)', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 60, noNaN: true }),
        fc.double({ min: 0.4, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 0.5, noNaN: true }),
        (long, share, round) => {
          for (const of of [stone('oval', long, long * share), stone('cushion', long, long * share, round * long * share)])
            expect(Math.abs(perimeterMm(stoneOutline(of)) / roundStoneMm([], of) - 1)).toBeLessThan(2e-3)
        },
      ),
      { numRuns: 40 },
    ))
  it('an ellipse by Ramanujan lies between its two circles, and within 1e-5 of its integral at three to one', () => {
    const n = 4000
    const speed = (i: number) => Math.hypot(15 * Math.sin((2 * Math.PI * i) / n), 5 * Math.cos((2 * Math.PI * i) / n))
    const sum = Array.from({ length: n }, (_, i) => speed(i)).reduce((a, b) => a + b, 0)
    const round = roundOvalMm([], 'x', 30, 10)
    expect(Math.abs(round / ((sum * 2 * Math.PI) / n) - 1)).toBeLessThan(1e-5)
    expect(round).toBeGreaterThan(10 * Math.PI)
    expect(round).toBeLessThan(30 * Math.PI)
  })
})

describe('shells and sheets on their edge', () => {
  it('the section of a shell has the area of its arc by its thickness (closed form)', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 1.5, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (radius, t, span) => {
          const section = shellSection([2, -1], radius, t, 0.2, 0.2 + span)
          expect(Math.abs(netAreaMm2(section, []) / (radius * span * t) - 1)).toBeLessThan(0.02)
          for (const [x, y] of section) expect(Math.abs(Math.hypot(x - 2, y + 1) - radius)).toBeLessThan(t / 2 + 1e-9)
        },
      ),
    ))
  it('a sheet along a way hangs its thickness under it', () => {
    const outline = sheetAlong(
      [
        [0, 0],
        [10, 0],
        [20, 0],
      ],
      0.8,
    )
    expect(netAreaMm2(outline, [])).toBeCloseTo(16, 9)
    expect(signedAreaMm2(outline)).toBeGreaterThan(0)
    expect(Math.min(...outline.map(([, y]) => y))).toBeCloseTo(-0.8, 9)
  })
})

describe('a bent part', () => {
  const turns = fc.array(
    fc.oneof(
      fc.record({ straightMm: fc.double({ min: 0.5, max: 40, noNaN: true }) }),
      fc.record({ radiusMm: fc.double({ min: 0.5, max: 20, noNaN: true }), turnRad: fc.double({ min: -3, max: 3, noNaN: true }) }),
    ),
    { minLength: 1, maxLength: 6 },
  )
  it('its middle line is as long as its straights and arcs together', () =>
    fc.assert(
      fc.property(turns, (segments) => {
        const sum = segments.reduce(
          (total, part) => total + ('straightMm' in part ? part.straightMm : part.radiusMm * Math.abs(part.turnRad)),
          0,
        )
        expect(Math.abs(length(bentPath(segments, [0, 0], 0)) - sum)).toBeLessThan(0.05 * Math.max(1, sum * 0.2))
      }),
    ))
  it('a whole turn comes back to where it began', () => {
    const path = bentPath([{ radiusMm: 8, turnRad: 2 * Math.PI }], [3, 4], 0.7)
    expect(path.at(-1)?.[0]).toBeCloseTo(3, 6)
    expect(path.at(-1)?.[1]).toBeCloseTo(4, 6)
  })
  it('is drawn as thick as its metal', () => {
    const view = bentView({ title: 'x', segments: [{ straightMm: 30 }], thicknessMm: 1.2 })
    const [metal] = view.shapes
    expect(metal?.kind === 'region' && netAreaMm2(metal.outer, metal.holes)).toBeCloseTo(36, 6)
  })
  it('a strip round an outline turns once in all, and is as long as the outline', () => {
    const square: Outline = [
      [0, 0],
      [10, 0],
      [10, 6],
      [0, 6],
    ]
    const bends = bendsAlong(square)
    const turned = bends.reduce((sum, part) => sum + ('turnRad' in part ? part.turnRad : 0), 0)
    const straight = bends.reduce((sum, part) => sum + ('straightMm' in part ? part.straightMm : 0), 0)
    expect(turned).toBeCloseTo(2 * Math.PI, 9)
    expect(straight).toBeCloseTo(32, 9)
  })
  it('the taper of a rectangle is none, that of a diamond runs to its points', () => {
    for (const [, factor] of taperOf([
      [0, 0],
      [30, 0],
      [30, 8],
      [0, 8],
    ]))
      expect(factor).toBeCloseTo(1, 6)
    const diamond = taperOf([
      [0, 0],
      [15, -4],
      [30, 0],
      [15, 4],
    ])
    expect(diamond[0]?.[1]).toBeLessThan(0.05)
    expect(Math.max(...diamond.map(([, factor]) => factor))).toBeCloseTo(1, 1)
  })
})

describe('discs for domes', () => {
  it('the schools stand in order for every dome: area least, then least work, then along the arc', () =>
    fc.assert(
      fc.property(fc.double({ min: 2, max: 40, noNaN: true }), fc.double({ min: 0.02, max: 1, noNaN: true }), (baseRadiusMm, share) => {
        const mid = { baseRadiusMm, heightMm: baseRadiusMm * share }
        const [area, work, , arc] = BLANK_SCHOOLS.map((school) => domeBlankMm([], school, mid)) as [number, number, number, number]
        expect(area).toBeGreaterThanOrEqual(2 * baseRadiusMm)
        expect(work).toBeGreaterThanOrEqual(area)
        expect(arc).toBeGreaterThanOrEqual(area - 1e-9)
      }),
    ))
  it('a flat dome is its own disc, by every school that knows no rule of thumb (limit)', () => {
    for (const school of ['equal-area', 'corrected', 'arc'] as const)
      expect(domeBlankMm([], school, { baseRadiusMm: 20, heightMm: 0.001 })).toBeCloseTo(40, 3)
  })
})

describe('steps whose sizes forms share', () => {
  const target = { dimension: 'insideMm', label: 'Inside', valueMm: 17, plusMinusMm: 0.1 }
  const spec = { what: 'the strip', cutMm: 57, insideRadiusMm: 8.5, on: 'the ring mandrel', target }
  it('what is bent: how long it is cut, to which radius, on what it is trued, and what comes out', () => {
    const steps = bentSteps(spec)
    expect(steps.find(({ op }) => op === 'saw')?.target?.valueMm).toBe(57)
    expect(steps.find(({ op }) => op === 'bend')?.params).toMatchObject({ insideRadiusMm: 8.5, what: 'it round' })
    expect(steps.find(({ op }) => op === 'true-up')).toMatchObject({ params: { on: 'the ring mandrel' }, target })
  })
  it('a hole is drilled up to 12 mm, and pierced, sawn and filed beyond', () => {
    expect(holeSteps('holes', 12).map(({ op }) => op)).toEqual(['drill', 'punch-hole'])
    expect(holeSteps('holes', 12.5).map(({ op }) => op)).toEqual(['drill', 'saw', 'file', 'punch-hole'])
    expect(holeSteps('hole', 0)).toEqual([])
  })
  it('keeps to what the steps take, however large the piece', () => {
    const steps = bentSteps({ ...spec, cutMm: 1e6, insideRadiusMm: -3 })
    expect(steps.find(({ op }) => op === 'saw')?.params.cutMm).toBe(2000)
    expect(steps.find(({ op }) => op === 'bend')?.params.insideRadiusMm).toBe(0)
  })
})

it('a stack is drawn as high as its layers, and no more', () => {
  const stack = { upperMm: 0.8, lowerMm: 1.2, betweenMm: 2, holeMm: 1.6, edgeMm: 5, passageMm: 0 }
  const rivet = rectangleOutline(1.6, 6).map(([x, y]) => [x - 0.8, y - 1] as const)
  const view = stackView(stack, { outline: rivet, widthMm: 1.6, title: 'x' })
  const sheets = view.shapes.flatMap((shape) => (shape.kind === 'line' && shape.layer === 'tool' ? [shape.points] : []))
  const heights = sheets.flat().map(([, y]) => y)
  expect(Math.max(...heights) - Math.min(...heights)).toBeCloseTo(4, 9)
  expect(sheets).toHaveLength(3)
  expect(view.shapes.filter((shape) => shape.layer === 'metal')).toEqual([expect.objectContaining({ outer: rivet })])
  expect(view.shapes.at(-1)?.layer).toBe('metal')
})
