import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dap } from '../forming/dapping/dap'
import { circleOutline, ellipseOutline, perimeterMm, rectangleOutline } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { ALLOYS } from '../metals'
import { type MarksAnswer, markPlan } from './plan'
import { marksInput } from './schema'

const plan = (input: unknown): MarksAnswer => markPlan(marksInput.parse(input))
const codes = (answer: MarksAnswer) => answer.checks.map(({ code }) => code)
const strip = rectangleOutline(60, 8)

describe('a line of letters', () => {
  const answer = plan({ outer: strip, marks: [{ kind: 'letters', text: 'NIGHT MAIL', heightMm: 2 }] })
  it('is as long as its characters take, shares of the height where none is measured', () => {
    // N G H T A L of 0.9, I I of 0.5, M of 1.15, the gap 0.6, times 2 mm (house shares)
    expect(answer.lines[0]?.lengthMm).toBeCloseTo(2 * (6 * 0.9 + 2 * 0.5 + 1.15 + 0.6), 9)
  })
  it('is struck from the middle outwards', () => {
    const away = answer.marks.map(({ fromMiddleMm = 0 }) => Math.abs(fromMiddleMm))
    expect(Math.abs((away[0] as number) - Math.min(...away))).toBeLessThan(1.2)
    expect(answer.marks.map(({ index }) => index).sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 6, 7, 8, 9])
    expect(away.at(-1)).toBe(Math.max(...away))
  })
  it('stands in the middle of the blank, and says how far each is from its end', () => {
    for (const { x, y, fromStartMm = 0, turnDeg } of answer.marks) {
      expect(x).toBeCloseTo(fromStartMm, 9)
      expect(y).toBeCloseTo(3, 9)
      expect(turnDeg).toBe(0)
    }
    const first = answer.marks.find(({ index }) => index === 0)
    const last = answer.marks.find(({ index }) => index === 9)
    expect((first?.x ?? 0) - 0.9).toBeCloseTo(60 - ((last?.x ?? 0) + 0.9), 9)
  })
  it('takes the widths that were measured on the set of this height', () => {
    const owned = [{ kind: 'stamp', label: 'block capitals', nominal: 2, facts: { widths: { A: 1.7, B: 1.5 } } }]
    const own = plan({ outer: strip, marks: [{ kind: 'letters', text: 'ABBA', heightMm: 2 }], owned })
    expect(own.lines[0]?.lengthMm).toBeCloseTo(2 * 1.7 + 2 * 1.5, 9)
    expect(own.working[0]?.source).toBe('own-choice')
  })
  it('says the largest height that goes on a line that is too short', () => {
    const long = plan({ outer: rectangleOutline(15, 8), marks: [{ kind: 'letters', text: 'NIGHT MAIL', heightMm: 2 }] })
    const stop = long.checks.find(({ code }) => code === 'text-too-long')
    // 8.15 heights have to go on 15 mm
    expect(stop?.message).toContain(`${(Math.floor((15 / 8.15) * 100) / 100).toFixed(2)} mm high`)
    expect(codes(long)).toContain('off-the-metal')
  })
  it('asks for a stamp that sets seldom have', () => {
    expect(codes(plan({ outer: strip, marks: [{ kind: 'letters', text: 'MÜHLE', heightMm: 2 }] }))).toContain('no-such-stamp')
  })
})

/** How far apart two places are along a closed outline, by its edges alone: written anew, as the plan’s own measure is tested by it. */
function alongOutline(outline: Outline, at: Point): number {
  let [best, along, sum] = [Infinity, 0, 0]
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] as Point
    const long = Math.hypot(bx - ax, by - ay)
    const t = Math.max(0, Math.min(1, ((at[0] - ax) * (bx - ax) + (at[1] - ay) * (by - ay)) / long ** 2))
    const off = Math.hypot(at[0] - ax - t * (bx - ax), at[1] - ay - t * (by - ay))
    if (off < best) [best, along] = [off, sum + t * long]
    sum += long
  })
  return along
}

describe('letters along a curve', () => {
  it.each([
    ['outwards', 1],
    ['inwards', -1],
  ] as const)('on a circle, tops %s, turn by their arc over the radius', (facing, way) => {
    const outer = circleOutline(15)
    const line = { kind: 'circle', radiusMm: 11, middleDeg: 90, facing }
    const { marks } = plan({ outer, marks: [{ kind: 'letters', text: 'SIGNALS', heightMm: 2, line }] })
    for (const { x, y, turnDeg, fromMiddleMm = 0 } of marks) {
      const angle = Math.PI / 2 - (way * fromMiddleMm) / 11
      expect(Math.hypot(x - 11 * Math.cos(angle), y - 11 * Math.sin(angle))).toBeLessThan(1e-9)
      const top = [-Math.sin((turnDeg * Math.PI) / 180), Math.cos((turnDeg * Math.PI) / 180)] as const
      expect((top[0] * x + top[1] * y) / 11).toBeCloseTo(way, 9)
    }
  })
  it('on an ellipse, are apart by its arc (Simpson over the parameter)', () => {
    const line = { kind: 'ellipse', halfLengthMm: 20, halfWidthMm: 11, middleDeg: 90 }
    const { marks } = plan({ outer: ellipseOutline(24, 15), marks: [{ kind: 'letters', text: 'ROYAL MAIL TRAIN', heightMm: 2, line }] })
    const ordered = [...marks].sort((a, b) => (a.fromMiddleMm ?? 0) - (b.fromMiddleMm ?? 0))
    const [first, last] = [ordered[0], ordered.at(-1)] as const
    const parameter = ({ x, y }: { x: number; y: number }) => Math.atan2(y / 11, x / 20)
    const [from, to] = [parameter(last as never), parameter(first as never)]
    const n = 2000
    const speed = (u: number) => Math.hypot(20 * Math.sin(u), 11 * Math.cos(u))
    let sum = speed(from) + speed(to)
    for (let i = 1; i < n; i++) sum += (i % 2 === 1 ? 4 : 2) * speed(from + ((to - from) * i) / n)
    const arc = (sum * (to - from)) / (3 * n)
    expect(arc).toBeCloseTo((last?.fromMiddleMm ?? 0) - (first?.fromMiddleMm ?? 0), 3)
  })
  it('along the edge of any outline, are apart by its edges', () => {
    const points = fc.array(fc.tuple(fc.integer({ min: 14, max: 22 }), fc.integer({ min: 0, max: 9 })), { minLength: 6, maxLength: 9 })
    fc.assert(
      fc.property(points, (list) => {
        const outer = list.map(([r, off], i): Point => {
          const angle = (2 * Math.PI * (i + off / 20)) / list.length
          return [r * Math.cos(angle), r * Math.sin(angle)]
        })
        const line = { kind: 'edge', insetMm: 0, facing: 'inwards' }
        const { marks } = plan({ outer, marks: [{ kind: 'letters', text: 'MAIL', heightMm: 1, line }] })
        const whole = perimeterMm(outer)
        const ordered = [...marks].sort((a, b) => a.index - b.index)
        const along = ordered.map(({ x, y }) => alongOutline(outer, [x, y]))
        for (let i = 1; i < along.length; i++) {
          const apart = ((((along[i] as number) - (along[i - 1] as number)) % whole) + whole) % whole
          expect(Math.abs(apart - ((ordered[i]?.fromMiddleMm ?? 0) - (ordered[i - 1]?.fromMiddleMm ?? 0)))).toBeLessThan(1e-6)
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('a border', () => {
  it.each([3, 7, 12, 400])('of %i stamps round a disc divides it exactly', (stampCount) => {
    const line = { kind: 'circle', radiusMm: 30 }
    const { marks, lines } = plan({ outer: circleOutline(35), marks: [{ kind: 'repeat', widthMm: 0.3, stampCount, line }] })
    expect(lines[0]?.leftOverMm).toBe(0)
    for (const { x, y, index } of marks) {
      const angle = Math.PI / 2 - (2 * Math.PI * index) / stampCount
      expect(Math.hypot(x - 30 * Math.cos(angle), y - 30 * Math.sin(angle))).toBeLessThan(1e-9)
    }
  })
  it('at a pitch says what is left over, and the pitch that closes', () => {
    const answer = plan({ outer: strip, marks: [{ kind: 'repeat', widthMm: 2, pitchMm: 3.5 }] })
    expect(answer.marks).toHaveLength(17)
    expect(answer.lines[0]?.leftOverMm).toBeCloseTo(60 - 17 * 3.5, 9)
    expect(answer.checks.find(({ code }) => code === 'left-over')?.message).toContain('3.529')
  })
  it('shares a strip out evenly, half a pitch from its ends', () => {
    const { marks } = plan({ outer: strip, marks: [{ kind: 'repeat', widthMm: 2, stampCount: 8 }] })
    for (const [i, { x }] of marks.entries()) expect(x).toBeCloseTo(60 * ((i + 0.5) / 8), 9)
  })
  it('does not plan more blows than anybody strikes', () => {
    const wide = rectangleOutline(1500, 10)
    expect(plan({ outer: wide, marks: [{ kind: 'repeat', widthMm: 0.1, pitchMm: 0.1 }] }).checks[0]?.message).toContain('15000 blows')
  })
  it('tells of blows that run into each other', () => {
    expect(codes(plan({ outer: strip, marks: [{ kind: 'repeat', widthMm: 4, pitchMm: 3 }] }))).toContain('double-strike')
  })
})

describe('a hallmark', () => {
  it('stands opposite the seam: half-way along the strip (common practice)', () => {
    const outer = rectangleOutline(187.6, 9)
    const { marks } = plan({ outer, marks: [{ kind: 'hallmark', widthsMm: [1.5, 2, 1.5], heightMm: 2 }] })
    expect(marks[1]?.fromStartMm).toBeCloseTo(93.8, 9)
    expect(marks.every(({ face }) => face === 'back')).toBe(true)
  })
})

describe('a pattern map', () => {
  const points = [
    { name: 'Hollow Halt', x: 0, y: 0 },
    { name: 'Brindle', x: 4, y: 1 },
    { name: 'Sorrel Junction', x: 6, y: 5 },
    { x: 2, y: 4 },
  ]
  const links = [
    [0, 1],
    [1, 2],
    [2, 3],
  ]
  const answer = plan({ outer: circleOutline(14), marks: [{ kind: 'map', points, links, marginMm: 2, dotMm: 1.2 }] })
  it('is as large as the margin allows: some dot touches it and none is beyond', () => {
    const away = answer.marks.filter(({ text }) => text !== 'link').map(({ x, y }) => Math.hypot(x, y) + 0.6)
    expect(Math.max(...away)).toBeGreaterThan(11.99)
    expect(Math.max(...away)).toBeLessThan(12.001)
  })
  it('keeps its shape, and shares each link out evenly', () => {
    const scale = answer.lines[0]?.mmPerUnit ?? 0
    const [a, b] = [answer.marks[0], answer.marks[1]]
    expect(Math.hypot((b?.x ?? 0) - (a?.x ?? 0), (b?.y ?? 0) - (a?.y ?? 0))).toBeCloseTo(scale * Math.hypot(4, 1), 9)
    const spaces = Math.round((scale * Math.hypot(4, 1)) / 1.5)
    const onFirst = answer.marks.filter(({ text }) => text === 'link').slice(0, spaces - 1)
    for (const [k, { x }] of onFirst.entries()) expect(x).toBeCloseTo((a?.x ?? 0) + ((k + 1) / spaces) * ((b?.x ?? 0) - (a?.x ?? 0)), 9)
  })
  it('refuses a link to a point that is not there', () => {
    const wrong = plan({ outer: circleOutline(14), marks: [{ kind: 'map', points, links: [[0, 9]] }] })
    expect(wrong.marks).toHaveLength(0)
    expect(wrong.checks[0]?.message).toContain('0 to 3')
  })
})

describe('a mark at an edge', () => {
  it('is off the metal where a notch reaches into it between its corners, and tells how near a round one is', () => {
    const notched: Outline = [
      [0, 0],
      [9.9, 0],
      [10, 4],
      [10.1, 0],
      [20, 0],
      [20, 10],
      [0, 10],
    ]
    const stamp = { kind: 'stamp', widthMm: 4, at: [10, 5] }
    expect(codes(plan({ outer: notched, marks: [stamp] }))).toContain('off-the-metal')
    const dots = plan({
      outer: circleOutline(10),
      marks: [{ kind: 'holes', diameterMm: 2, stampCount: 4, line: { kind: 'circle', radiusMm: 8.4 } }],
    })
    expect(dots.checks.find(({ code }) => code === 'near-the-edge')?.actual?.value).toBeCloseTo(0.6, 2)
  })
})

describe('a mark on the back', () => {
  it('is placed as the back is seen: left and right changed', () => {
    const outer: Outline = [
      [0, 0],
      [20, 0],
      [20, 4],
      [0, 10],
    ]
    const mark = { kind: 'stamp', widthMm: 2, at: [18, 7] }
    expect(codes(plan({ outer, marks: [{ ...mark, face: 'front' }] }))).toContain('off-the-metal')
    expect(codes(plan({ outer, marks: [{ ...mark, face: 'back' }] }))).not.toContain('off-the-metal')
  })
})

describe('growth', () => {
  it('follows from what the marks displace', () => {
    const answer = plan({ outer: rectangleOutline(30, 20), thicknessMm: 0.8, marks: [{ kind: 'letters', text: 'MAIL', heightMm: 3 }] })
    const struck = answer.marks.reduce((sum, { widthMm, heightMm }) => sum + 0.3 * widthMm * heightMm, 0)
    expect(answer.growsPercent).toBeCloseTo((100 * 0.5 * struck * 0.3) / (2 * 600 * 0.8), 9)
  })
})

describe('division', () => {
  it('by angle on an ellipse: the rays are equally apart, the places are on the edge', () => {
    const outer = ellipseOutline(20, 12)
    const line = { kind: 'edge', insetMm: 0 }
    const { marks } = plan({ outer, marks: [{ kind: 'holes', diameterMm: 1, stampCount: 5, by: 'angle', line }] })
    for (const { x, y, index } of marks) {
      const angle = Math.PI / 2 - (2 * Math.PI * index) / 5
      expect(x * Math.sin(angle) - y * Math.cos(angle)).toBeCloseTo(0, 9)
      // on the chords of an outline of 240 points
      expect((x / 20) ** 2 + (y / 12) ** 2).toBeCloseTo(1, 3)
    }
  })
  it('of holes warns of a thin edge and of thin metal between them', () => {
    const line = { kind: 'edge', insetMm: 1 }
    const found = codes(plan({ outer: circleOutline(10), marks: [{ kind: 'holes', diameterMm: 1.5, stampCount: 30, line }] }))
    expect(found).toContain('near-the-edge')
    expect(found).toContain('thin-web')
  })
  it('finds a centre from chords and from points, wherever the circle is (closed form)', () =>
    fc.assert(
      fc.property(
        fc.tuple(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: -50, max: 50, noNaN: true })),
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        ([x, y], r, turn) => {
          const at = (angle: number) => [x + r * Math.cos(angle + turn), y + r * Math.sin(angle + turn)]
          const outer = rectangleOutline(10, 10)
          const three = plan({ outer, centreOf: { points: [at(0), at(1.9), at(4)] } })
          const two = plan({
            outer,
            centreOf: {
              chords: [
                [at(0.2), at(1.5)],
                [at(2), at(4.4)],
              ],
            },
          })
          for (const { centre, checks } of [three, two]) {
            expect(Math.hypot((centre?.at[0] ?? 0) - x, (centre?.at[1] ?? 0) - y)).toBeLessThan(1e-7)
            expect(centre?.radiusMm).toBeCloseTo(r, 6)
            expect(checks).toHaveLength(0)
          }
        },
      ),
      { numRuns: 100 },
    ))
  it('says so where three points lie in one line', () => {
    const centreOf = {
      points: [
        [0, 0],
        [1, 1],
        [5, 5],
      ],
    }
    expect(codes(plan({ outer: strip, centreOf }))).toEqual(['no-centre'])
  })
})

describe('marks after forming', () => {
  const disc = circleOutline(14)
  const base = { outer: disc, alloy: 'sterling-925', thicknessMm: 0.8 }
  const marks = [{ kind: 'repeat', widthMm: 1, stampCount: 6, line: { kind: 'circle', radiusMm: 9 } }]
  it('keep the volume of the simulated metal: area up as thickness goes down, within 1 %', () => {
    const punchesMm = [34, 28, 24]
    const stages = punchesMm.map((punchMm) => ({ punchMm, annealBefore: false }))
    for (const radiusMm of [2, 5, 9, 12.5]) {
      const ring = [{ kind: 'repeat', widthMm: 0.4, stampCount: 5, line: { kind: 'circle', radiusMm } }]
      const answer = plan({ ...base, marks: ring, after: { kind: 'dome', punchesMm } })
      const last = dap({ alloy: ALLOYS['sterling-925'], discMm: 28, thicknessMm: 0.8, strain: 0, stages, rings: 40 }).at(-1)
      const at = (40 * radiusMm) / 14 - 0.5
      const low = Math.floor(at)
      const thick = (i: number) => last?.profile[i]?.thicknessMm ?? 0
      const thicknessMm = thick(low) + (at - low) * (thick(low + 1) - thick(low))
      for (const { areaRatio } of answer.formed ?? []) expect(Math.abs(areaRatio * (thicknessMm / 0.8) - 1)).toBeLessThan(0.01)
      expect(answer.formed).toHaveLength(5)
    }
  })
  it('on the outside of a ring are longer by t over its mean diameter, inside shorter (kept middle)', () => {
    const outer = rectangleOutline(60, 6)
    const on = (face: string) => ({ outer, thicknessMm: 1.5, marks: [{ kind: 'letters', text: 'MAIL', heightMm: 2, face }] })
    const after = { kind: 'bend', insideDiameterMm: 17.5 }
    expect(plan({ ...on('front'), after }).formed?.[0]?.alongRatio).toBeCloseTo(20.5 / 19, 12)
    expect(plan({ ...on('back'), after }).formed?.[0]?.alongRatio).toBeCloseTo(17.5 / 19, 12)
    expect(plan({ ...on('back'), after }).formed?.[0]?.upRatio).toBeCloseTo(1, 12)
  })
  it('are not followed where nothing is known of the metal, and that is said', () => {
    expect(codes(plan({ outer: disc, marks, after: { kind: 'dome', punchesMm: [30] } }))).toContain('not-followed')
    expect(
      codes(
        plan({ ...base, outer: strip, marks: [{ kind: 'repeat', widthMm: 1, stampCount: 3 }], after: { kind: 'dome', punchesMm: [30] } }),
      ),
    ).toContain('not-followed')
  })
})

describe('how hard each is struck', () => {
  const at = (widthMm: number, x: number) => ({ kind: 'stamp', id: 'star', widthMm, heightMm: widthMm, at: [x, 4] })
  it('says how much harder the large one is struck: as its edge is longer', () => {
    const { checks } = plan({ outer: strip, marks: [at(4, 12), at(1.6, 40)] })
    const found = checks.find(({ code }) => code === 'strike-force')
    expect(found?.actual?.value).toBeCloseTo(4 / 1.6, 9)
    expect(found?.message).toMatch(/^The .*4 mm needs about 2\.5 times the blow/)
  })
  it('says nothing of letters of one set, nor of holes', () => {
    expect(codes(plan({ outer: strip, marks: [{ kind: 'letters', text: 'MILL I', heightMm: 2 }] }))).not.toContain('strike-force')
    const holes = { kind: 'holes', diameterMm: 6, stampCount: 2, line: { kind: 'straight' } }
    expect(codes(plan({ outer: rectangleOutline(60, 20), marks: [at(2, 6), holes] }))).not.toContain('strike-force')
  })
})
