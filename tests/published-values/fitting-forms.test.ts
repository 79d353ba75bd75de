import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type FormResult, findForm } from '@/core/forms'

// Closed forms by another route than the code's own: chords, sums along a polygon, and areas by the shoelace formula.

type Pair = readonly [number, number]

function result(form: string, input: Record<string, unknown>): FormResult {
  const run = findForm(form)?.run(input)
  if (!run?.ok) throw new Error(JSON.stringify(run))
  return run.result
}

const value = (plan: FormResult, name: string) => plan.results[name]?.value ?? Number.NaN
const levelOf = (plan: FormResult, code: string) => plan.checks.find((check) => check.code === code)?.level

/** Twice the area within corners, by the shoelace formula. */
const shoelace = (corners: readonly Pair[]) =>
  Math.abs(
    corners.reduce(
      (sum, [x, y], i) => sum + x * (corners[(i + 1) % corners.length]?.[1] ?? 0) - y * (corners[(i + 1) % corners.length]?.[0] ?? 0),
      0,
    ),
  )

describe('applied shape', () => {
  const SHAPE = { alloy: 'sterling-925', widthMm: 3, thicknessMm: 0.9, cleanUpMm: 0, roundUpMm: 0.01 }
  it('bent to its ring and measured across its tips, the blank gives the length that was asked for', () => {
    fc.assert(
      fc.property(fc.double({ min: 14, max: 80, noNaN: true }), fc.double({ min: 0.1, max: 0.85, noNaN: true }), (onMm, share) => {
        const lengthMm = share * onMm
        const flatMm = value(result('applied-shape', { ...SHAPE, onMm, lengthMm }), 'flatLengthMm')
        const turn = flatMm / ((onMm + 0.9) / 2)
        expect((onMm + 1.8) * Math.sin(turn / 2)).toBeCloseTo(lengthMm, 6)
      }),
      { numRuns: 60 },
    )
  })
  it('a paper strip over the curve reads the outside of that bend', () => {
    const flatMm = value(result('applied-shape', { ...SHAPE, onMm: 22, lengthMm: 9, schools: { measure: 'over' } }), 'flatLengthMm')
    expect((flatMm * (22 + 1.8)) / (22 + 0.9)).toBeCloseTo(9, 9)
  })
  it('where it lies flat, or on something very wide, it is as long as it is asked', () => {
    expect(value(result('applied-shape', { ...SHAPE, onMm: 0, lengthMm: 9 }), 'flatLengthMm')).toBe(9)
    expect(value(result('applied-shape', { ...SHAPE, onMm: 400, lengthMm: 9 }), 'flatLengthMm')).toBeCloseTo(8.98, 2)
  })
  it('flat, it is not bent on its route', () => {
    const ops = (onMm: number) => result('applied-shape', { ...SHAPE, onMm, lengthMm: 9 }).without
    expect([ops(0), ops(22)]).toEqual([['bend'], []])
  })
  it('wider than its band, or far round it, it says so', () => {
    expect(levelOf(result('applied-shape', { ...SHAPE, onMm: 22, lengthMm: 9, bandMm: 2 }), 'applied-overhang')).toBe('note')
    expect(levelOf(result('applied-shape', { ...SHAPE, onMm: 22, lengthMm: 19 }), 'applied-wraps')).toBe('warn')
  })
})

describe('tongue of wire', () => {
  const TONGUE = { alloy: 'yellow-brass-c260', tipMm: 20, barMm: 6, barThickMm: 2, thicknessMm: 1.6 }
  it('round the bar: the shank and a circle through the middle of the wire', () =>
    expect(value(result('wire-tongue', TONGUE), 'lengthMm')).toBeCloseTo(20 + Math.PI * 7.6, 9))
  it('snug: the shank, two half circles and two flats', () =>
    expect(value(result('wire-tongue', { ...TONGUE, schools: { eye: 'snug' } }), 'lengthMm')).toBeCloseTo(20 + Math.PI * 3.6 + 8, 9))
  it('a bar that lies the other way takes as much wire', () => {
    const turned = { ...TONGUE, barMm: 2, barThickMm: 6, schools: { eye: 'snug' } }
    expect(value(result('wire-tongue', turned), 'lengthMm')).toBeCloseTo(20 + Math.PI * 3.6 + 8, 9)
  })
  it('thin wire is said to bend under the strap', () => {
    expect(levelOf(result('wire-tongue', { ...TONGUE, thicknessMm: 1 }), 'tongue-stiffness')).toBe('warn')
    expect(levelOf(result('wire-tongue', TONGUE), 'tongue-stiffness')).toBe('ok')
  })
})

describe('mask', () => {
  const MASK = {
    alloy: 'copper-c110',
    thicknessMm: 0.9,
    widthMm: 150,
    heightMm: 80,
    eyeLengthMm: 30,
    eyeWidthMm: 12,
    eyesApartMm: 58,
    cleanUpMm: 0,
  }
  it('measured straight across: a chain of 20,000 chords along the arc over 150, 40 deep', () => {
    const radius = (75 ** 2 + 40 ** 2) / 80
    const half = Math.asin(75 / radius)
    const at = (i: number): Pair => [radius * Math.sin(-half + (i * half) / 10000), radius * Math.cos(-half + (i * half) / 10000)]
    const length = Array.from({ length: 20000 }, (_, i) => Math.hypot(at(i + 1)[0] - at(i)[0], at(i + 1)[1] - at(i)[1])).reduce(
      (a, b) => a + b,
    )
    const plan = result('mask-blank', { ...MASK, depthMm: 40, schools: { measure: 'front' } })
    expect(value(plan, 'flatWidthMm')).toBeCloseTo(length, 4)
  })
  it.each(['half', 'full'])('the %s outline is as wide and high as asked, and alike on both sides, eyes too', (outline) => {
    const { outline: corners = [], holes = [] } = result('mask-blank', { ...MASK, outline, roundUpMm: 0.01 }).blanks[0] ?? {}
    const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)]
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(150, 2)
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(80, 2)
    const nearest = (x: number, y: number) => Math.min(...corners.map(([cx, cy]) => Math.hypot(cx - x, cy - y)))
    for (const [x, y] of corners) expect(nearest(-x, y)).toBeLessThan(0.5)
    const [left = [], right = []] = holes
    expect(holes).toHaveLength(2)
    expect(shoelace(left)).toBeCloseTo(shoelace(right), 6)
    expect(Math.min(...right.map(([x]) => x))).toBeCloseTo(-Math.max(...left.map(([x]) => x)), 6)
  })
  it('an almond is two segments of a circle: r²(2α − sin 2α)', () => {
    const [eye = []] = result('mask-blank', { ...MASK, eyeTiltDeg: 0 }).blanks[0]?.holes ?? []
    const radius = (30 ** 2 + 12 ** 2) / (4 * 12)
    const alpha = Math.asin(15 / radius)
    expect(shoelace(eye) / 2 / (radius ** 2 * (2 * alpha - Math.sin(2 * alpha)))).toBeCloseTo(1, 2)
  })
  it('eyes over the edge or into one another stop the work; near them it is warned', () => {
    expect(levelOf(result('mask-blank', { ...MASK, eyesApartMm: 135 }), 'eye-edge')).toBe('stop')
    expect(levelOf(result('mask-blank', { ...MASK, eyesApartMm: 20 }), 'eye-bridge')).toBe('stop')
    expect(levelOf(result('mask-blank', { ...MASK, eyesApartMm: 36 }), 'eye-bridge')).toBe('warn')
  })
})

describe('row of beads with a larger one, and on an open border', () => {
  const ROW = { alloy: 'sterling-925', thicknessMm: 0.8, borderMm: 46, beadMm: 3.4, gapMm: 0.1, roundUpMm: 0.01 }
  /** Every bead as drawn, in order round the border. */
  function beadsOf(plan: FormResult) {
    const row = plan.drawing.views[0]?.shapes.flatMap((shape) => (shape.kind === 'region' ? [shape.outer] : [])).slice(1) ?? []
    return row
      .map((corners) => {
        const [x, y] = [0, 1].map((axis) => corners.reduce((sum, corner) => sum + (corner[axis as 0 | 1] ?? 0), 0) / corners.length)
        return { x: x ?? 0, y: y ?? 0, r: Math.sqrt(shoelace(corners) / 2 / Math.PI) }
      })
      .sort((a, b) => Math.atan2(a.y, a.x) - Math.atan2(b.y, b.x))
  }
  const apart = (beads: ReturnType<typeof beadsOf>) =>
    beads.map((bead, i) => {
      const next = beads[(i + 1) % beads.length] ?? bead
      return Math.hypot(next.x - bead.x, next.y - bead.y) - bead.r - next.r
    })
  it.each(['inside', 'on', 'outside'])('%s: every bead is the gap from the next, all the way round, and touches the border', (seat) => {
    const plan = result('bead-row', { ...ROW, seat, largeMm: 7 })
    const beads = beadsOf(plan)
    expect(beads).toHaveLength(value(plan, 'beadsCount'))
    for (const gap of apart(beads)) expect(Math.abs(gap - 0.1)).toBeLessThan(0.05)
    const large = beads.find(({ r }) => r > 3)
    const small = beads.find(({ r }) => r < 3)
    if (!large || !small) throw new Error('a bead is missing')
    const touch = (bead: typeof large) => Math.hypot(bead.x, bead.y) + (seat === 'on' ? 0 : seat === 'inside' ? bead.r : -bead.r)
    expect(touch(large)).toBeCloseTo(touch(small), 1)
  })
  it('an open row ends so far apart as its way round, and its neighbours are the gap apart', () => {
    const plan = result('bead-row', { ...ROW, seat: 'on', spanDeg: 200 })
    const gaps = apart(beadsOf(plan)).sort((a, b) => a - b)
    expect(gaps.at(-1)).toBeGreaterThan(30)
    for (const gap of gaps.slice(0, -1)) expect(Math.abs(gap - 0.1)).toBeLessThan(0.05)
  })
})

describe('dust fused on', () => {
  it('one layer of round grains on three fifths of a sheet: grains counted and weighed', () => {
    const plan = result('die-blank', {
      alloy: 'copper-c110',
      thicknessMm: 0.7,
      lengthMm: 18,
      widthMm: 18,
      depthMm: 1.2,
      dustGrainMm: 0.4,
      dustRatio: 0.6,
    })
    const areaMm2 = shoelace(plan.blanks[0]?.outline ?? []) / 2
    const grains = (0.6 * areaMm2) / (Math.PI * 0.2 ** 2)
    const massG = (grains * (4 / 3) * Math.PI * 0.2 ** 3 * 8.94) / 1000
    expect(Math.abs(value(plan, 'dustG') / massG - 1)).toBeLessThan(0.003)
    expect(plan.sizedSteps.some((step) => step.op === 'fuse-dust')).toBe(true)
  })
  it('none is asked for, none is fused', () =>
    expect(result('die-blank', { alloy: 'copper-c110', thicknessMm: 0.7, lengthMm: 18, widthMm: 18, depthMm: 1.2 }).without).toEqual([
      'fuse-dust',
    ]))
})

describe('curled strip links', () => {
  const LINKS = { alloy: 'red-brass-c230', thicknessMm: 0.9, linkMm: 16, widthMm: 5, linkCount: 6, eyeMm: 3, gapMm: 1.2 }
  it('flat, a link is its straight and two eyes but for their gaps, added up along 20,000 chords', () => {
    const [radius, steps] = [(3 + 0.9) / 2, 20000]
    const turn = 2 * Math.PI - 1.2 / radius
    const eye = Array.from({ length: steps }, () => 2 * radius * Math.sin(turn / steps / 2)).reduce((a, b) => a + b)
    expect(value(result('strip-links', LINKS), 'flatLinkMm')).toBeCloseTo(16 - 3 - 1.8 + 2 * eye, 4)
  })
  it('not curled, they are as long as asked; curled, the strip grows by what each eye takes', () => {
    expect(value(result('strip-links', { ...LINKS, eyeMm: 0 }), 'flatLinkMm')).toBe(16)
    const grown =
      value(result('strip-links', LINKS), 'stripToDivideMm') - value(result('strip-links', { ...LINKS, eyeMm: 0 }), 'stripToDivideMm')
    expect(grown).toBeCloseTo(6 * (value(result('strip-links', LINKS), 'flatLinkMm') - 16), 9)
  })
  it('its curled ends are told at the bench, with the gap the ring goes in by', () => {
    const curled = result('strip-links', LINKS).sizedSteps.filter(({ op }) => op === 'curl-link')
    expect(curled.map(({ at, params }) => [at, params.insideMm, params.gapMm])).toEqual([
      ['first-end', 3, 1.2],
      ['second-end', 3, 1.2],
    ])
  })
  it('eyes that run into one another are refused by name', () => {
    const run = findForm('strip-links')?.run({ ...LINKS, linkMm: 8 })
    expect(run?.ok).toBe(false)
    if (run && !run.ok) expect(run.issues.map(({ path }) => path)).toEqual(['linkMm'])
  })
})

describe('wrapped ring, pierced through both layers', () => {
  const WRAP = { alloy: 'red-brass-c230', thicknessMm: 1, widthMm: 7, insideDiameterMm: 18, overlapMm: 8, holeMm: 2 }
  it('both holes lie at one angle: each layer’s length from its end over the radius of its middle', () => {
    const plan = result('ring-wrap', WRAP)
    const [inner, outer] = [value(plan, 'holeInnerMm') / (9 + 0.5), value(plan, 'holeOuterMm') / (9 + 1.5)]
    expect(inner).toBeCloseTo(outer, 12)
    expect(outer).toBeCloseTo(8 / 10.5 / 2, 12)
  })
  it('drilled flat, the blank has the outer end’s hole and no other; drilled later, it has none', () => {
    const flat = result('ring-wrap', { ...WRAP, holeWhen: 'flat' })
    const [hole = [], ...others] = flat.blanks[0]?.holes ?? []
    expect(others).toHaveLength(0)
    expect(shoelace(hole) / 2 / Math.PI).toBeCloseTo(1, 1)
    const middle = hole.reduce((sum, [x]) => sum + x, 0) / hole.length
    expect(flat.answer.markAt - middle).toBeCloseTo(4, 6)
    expect(result('ring-wrap', WRAP).blanks[0]?.holes ?? []).toHaveLength(0)
  })
})

describe('a stamping whose parts carry their holes', () => {
  const QUARTERS = {
    alloy: 'copper-c110',
    thicknessMm: 0.8,
    outsideMm: 40,
    sectorCount: 4,
    holeMm: 2,
    holesEachCount: 2,
    holesOutMm: 13,
    kerfMm: 0.3,
  }
  it('every part has its two holes within it, the middle of each as far from its sawn side as it says', () => {
    const plan = result('sectors', QUARTERS)
    const holes = plan.blanks[0]?.holes ?? []
    expect(holes).toHaveLength(8)
    const middles = holes.map((hole) => [0, 1].map((axis) => hole.reduce((sum, at) => sum + (at[axis as 0 | 1] ?? 0), 0) / hole.length))
    // sawn along both axes: the nearest side of every hole is an axis, half a kerf away from the metal
    for (const [x = 0, y = 0] of middles) expect(Math.min(Math.abs(x), Math.abs(y)) - 1 - 0.15).toBeCloseTo(value(plan, 'holeWebMm'), 6)
  })
  it('the blank weighs a disc less its holes', () => {
    const plan = result('sectors', QUARTERS)
    expect(plan.blanks[0]?.areaMm2).toBeCloseTo((Math.PI / 4) * (plan.answer.markAt ** 2 - 8 * 4), 6)
  })
  it('a hole over the edge of its part stops the work', () =>
    expect(levelOf(result('sectors', { ...QUARTERS, holesOutMm: 1 }), 'part-hole-web')).toBe('stop'))
})

describe('the strap of a buckle', () => {
  const BUCKLE = { strapMm: 30, windowMm: 12, alloy: 'yellow-brass-c260', thicknessMm: 2, tongueMm: 2, strap: 'with', slotMm: 18 }
  it('is cut to what it goes round, what is turned back, half the row of holes and its tip', () => {
    const plan = result('buckle', { ...BUCKLE, girthMm: 850, turnMm: 55, tipMm: 95, holeCount: 5, holePitchMm: 25 })
    expect(value(plan, 'strapLengthMm')).toBe(55 + 850 + 2 * 25 + 95)
  })
  it('its slot is two holes and the bridge between', () => {
    const plan = result('buckle', BUCKLE)
    expect(2 * value(plan, 'leatherHoleMm') + value(plan, 'slotBridgeMm')).toBeCloseTo(18, 9)
  })
  it('its keeper takes two thicknesses (common practice)', () => {
    const keeper = result('buckle', { ...BUCKLE, leatherMm: 3 }).companionSteps?.find(({ op }) => op === 'make-loop')
    expect(keeper?.params.highMm).toBeGreaterThanOrEqual(6)
    expect(keeper?.params.insideMm).toBeGreaterThanOrEqual(30)
  })
  it('is told with the leather steps of the kit, and not where it is not made', () => {
    expect(result('buckle', { ...BUCKLE, strap: 'none' }).companionSteps).toBeUndefined()
    expect(result('buckle', { ...BUCKLE, strap: 'none' }).drawing.views.some(({ id }) => id === 'strap')).toBe(false)
  })
})
