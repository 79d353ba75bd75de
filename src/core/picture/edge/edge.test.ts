import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalCdf } from '../../numerics/normal'
import { bestPath } from './closed-path'
import { fitLocally, meeting, onCurve } from './local-fit'
import { edgeBesideShade } from './shaded-edge'
import { smoothOutline } from './smooth-outline'
import { slopesOf, steepest } from './step-along'

const row = (light: (k: number) => number, length = 61) => Float64Array.from({ length }, (_, k) => light(k))

describe('the steepest place of a row', () => {
  it('is the middle of a blurred step, between samples', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 40, noNaN: true }), fc.double({ min: 1, max: 4, noNaN: true }), (at, blur) => {
        expect(
          steepest(
            row((k) => normalCdf((k - at) / blur)),
            2,
            1,
          ),
        ).toBeCloseTo(at, 1)
      }),
    )
  })

  it('is none where light fades and growing was asked for', () => {
    expect(
      steepest(
        row((k) => 1 - normalCdf((k - 30) / 2)),
        2,
        1,
      ) ?? 0,
    ).toBeLessThan(10)
  })

  it('gives a sharp step its whole height', () => {
    expect(
      Math.max(
        ...slopesOf(
          row((k) => (k < 30 ? 0.2 : 0.9)),
          2,
        ),
      ),
    ).toBeCloseTo(0.7, 1)
  })
})

describe('an edge with a shadow beside it', () => {
  /** A dark thing to the left; the card to the right, in a shadow that fades with the distance. */
  const shaded = (at: number, blur: number, dark: number, fades: number) => {
    const sharp = (x: number) => (x < at ? 0.05 : 0.8 * (1 - dark * Math.exp(-(x - at) / fades)))
    return row((k) => {
      let [sum, weight] = [0, 0]
      for (let j = -40; j <= 40; j++) {
        const w = Math.exp(-((j / 8) ** 2) / (2 * blur * blur))
        sum += w * sharp(k + j / 8)
        weight += w
      }
      return sum / weight
    })
  }

  it('is told nearer than the steepest place tells it', () => {
    for (const [dark, fades] of [
      [0.3, 8],
      [0.45, 12],
      [0.2, 6],
    ] as const) {
      const light = shaded(30.3, 1.8, dark, fades)
      expect(Math.abs(edgeBesideShade(light, 30, 1.8) - 30.3)).toBeLessThan(0.25)
    }
  })

  it('is told to a hundredth of a sample where there is no shadow', () => {
    expect(edgeBesideShade(shaded(29.6, 2, 0, 5), 30, 2)).toBeCloseTo(29.6, 1)
  })
})

describe('the best way round a strip', () => {
  it('follows a ridge that runs round and meets itself', () => {
    const ridge = (i: number) => 10 + Math.round(4 * Math.sin((2 * Math.PI * i) / 80))
    const scores = Array.from({ length: 80 }, (_, i) => Float64Array.from({ length: 21 }, (__, k) => (k === ridge(i) ? 1 : 0)))
    expect(bestPath(scores, 0.02)).toEqual(Array.from({ length: 80 }, (_, i) => ridge(i)))
  })

  it('passes a gap and a stray spot', () => {
    const scores = Array.from({ length: 60 }, (_, i) => {
      const column = new Float64Array(21)
      if (i < 20 || i > 26) column[10] = 1
      if (i === 23) column[18] = 1
      return column
    })
    expect(Math.max(...bestPath(scores, 0.1).map((k) => Math.abs(k - 10)))).toBeLessThanOrEqual(1)
  })
})

describe('curves through neighbours', () => {
  it('lie on the parabola they were given, turned as it may be', () => {
    const points = Array.from({ length: 15 }, (_, i) => {
      const [x, y] = [(i - 7) / 4, 0.3 * ((i - 7) / 4) ** 2]
      return [x * Math.cos(1) - y * Math.sin(1), x * Math.sin(1) + y * Math.cos(1)] as const
    })
    const curve = fitLocally(points, 2)
    if (!curve) throw new Error('no curve')
    expect(curve.leftMm).toBeLessThan(1e-9)
    const [x, y] = onCurve(curve, points[4] ?? [0, 0])
    expect(Math.hypot(x - (points[4]?.[0] ?? 0), y - (points[4]?.[1] ?? 0))).toBeLessThan(1e-9)
  })

  it('meet where two straight runs meet', () => {
    const a = fitLocally(
      [
        [-3, 0],
        [-2, 0],
        [-1, 0],
      ],
      1,
    )
    const b = fitLocally(
      [
        [0, 1],
        [0, 2],
        [0, 3],
      ],
      1,
    )
    const met = a && b && meeting(a, b)
    expect(met?.at).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)])
    expect(met?.turnRad).toBeCloseTo(Math.PI / 2, 9)
  })
})

describe('a measured line made smooth', () => {
  const noisy = (line: (t: number) => readonly [number, number]) =>
    Array.from({ length: 800 }, (_, i) => {
      const [x, y] = line(i / 800)
      return [x + 0.02 * Math.sin(i * 12.9898), y + 0.02 * Math.sin(i * 78.233)] as const
    })

  it('has the four corners of a rectangle, and keeps them sharp', () => {
    const [w, h] = [40, 25]
    const { corners } = smoothOutline(
      noisy((t) => {
        const s = t * 2 * (w + h)
        if (s < w) return [s, 0]
        if (s < w + h) return [w, s - w]
        return s < 2 * w + h ? [2 * w + h - s, h] : [0, 2 * (w + h) - s]
      }),
    )
    expect(corners).toHaveLength(4)
    for (const [x, y] of corners)
      expect(
        Math.min(
          ...[
            [0, 0],
            [w, 0],
            [w, h],
            [0, h],
          ].map(([a = 0, b = 0]) => Math.hypot(x - a, y - b)),
        ),
      ).toBeLessThan(0.05)
  })

  it('has none on a circle, down to a radius of four', () => {
    for (const r of [4, 9, 25]) {
      const { corners, line } = smoothOutline(noisy((t) => [r * Math.cos(2 * Math.PI * t), r * Math.sin(2 * Math.PI * t)]))
      expect(corners).toEqual([])
      expect(Math.max(...line.map(([x, y]) => Math.abs(Math.hypot(x, y) - r)))).toBeLessThan(0.03)
    }
  })
})
