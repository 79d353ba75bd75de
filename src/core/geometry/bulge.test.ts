import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arcOf, bulgeThrough, flattenVertices, linesAndArcs } from './bulge'
import { circleOutline, netAreaMm2, rectangleOutline, roundedRectangle } from './outline'

describe('arcs by their bulge', () => {
  it('is a half circle at a bulge of one, to the right of the way back', () => {
    const { centre, radiusMm, sweepRad } = arcOf([0, 0], [10, 0], 1)
    expect(centre[0]).toBeCloseTo(5, 12)
    expect(centre[1]).toBeCloseTo(0, 12)
    expect(radiusMm).toBeCloseTo(5, 12)
    expect(sweepRad).toBeCloseTo(Math.PI, 12)
  })

  it('goes through the point it was made through, either way round and for any angle', () => {
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0.5, max: 50, noNaN: true }), (sweep, radius) => {
        fc.pre(Math.abs(sweep) > 0.01)
        const on = (share: number) => [3 + radius * Math.cos(1 + sweep * share), -2 + radius * Math.sin(1 + sweep * share)] as const
        expect(bulgeThrough(on(0), on(0.3), on(1))).toBeCloseTo(Math.tan(sweep / 4), 6)
      }),
    )
  })

  it('flattens two half circles to the area of a circle', () => {
    const circle = flattenVertices([
      { at: [-7, 0], bulge: 1 },
      { at: [7, 0], bulge: 1 },
    ])
    // chords lie inside their arc by at most 0.005 mm
    expect(netAreaMm2(circle)).toBeGreaterThan(Math.PI * 6.995 ** 2)
    expect(netAreaMm2(circle)).toBeLessThan(Math.PI * 49)
  })
})

describe('an outline told as lines and arcs', () => {
  it('tells a circle by a few arcs of its radius', () => {
    const vertices = linesAndArcs(circleOutline(12), 0.02)
    expect(vertices.length).toBeLessThanOrEqual(4)
    for (const [i, { at, bulge }] of vertices.entries()) {
      const next = vertices[(i + 1) % vertices.length]?.at ?? at
      if (Math.abs(bulge) > 0.1) expect(arcOf(at, next, bulge).radiusMm).toBeCloseTo(12, 1)
    }
  })

  it('tells a rectangle by its four corners and a rounded one by four runs and four arcs', () => {
    const square = rectangleOutline(30, 20)
    expect(linesAndArcs(square, 0.02, square)).toEqual(square.map((at) => ({ at, bulge: 0 })))
    const round = roundedRectangle(30, 20, 4)
    expect(linesAndArcs(round, 0.01).filter(({ bulge }) => Math.abs(bulge) > 0.2)).toHaveLength(4)
  })

  it('stays within its tolerance of the line it was made of', () => {
    const wavy = Array.from({ length: 400 }, (_, i) => {
      const a = (i * Math.PI) / 200
      const r = 20 + 3 * Math.sin(5 * a)
      return [r * Math.cos(a), r * Math.sin(a)] as const
    })
    const flat = flattenVertices(linesAndArcs(wavy, 0.05))
    for (const [x, y] of wavy) {
      const near = Math.min(
        ...flat.map((a, i) => {
          const b = flat[(i + 1) % flat.length] ?? a
          const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
          const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)))
          return Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy)
        }),
      )
      expect(near).toBeLessThan(0.056)
    }
    expect(linesAndArcs(wavy, 0.05).length).toBeLessThan(60)
  })
})
