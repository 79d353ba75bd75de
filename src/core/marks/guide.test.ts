import DxfParser from 'dxf-parser'
import { describe, expect, it } from 'vitest'
import { mirrored, patternDxf, patternSvg } from '../drawing'
import { circleOutline } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { marksGuide } from './guide'
import { markPlan } from './plan'
import { marksInput } from './schema'

const input = marksInput.parse({
  outer: circleOutline(12),
  marks: [
    { kind: 'letters', text: 'MAIL', heightMm: 2, line: { kind: 'circle', radiusMm: 8 } },
    { kind: 'holes', diameterMm: 1.5, stampCount: 3, line: { kind: 'circle', radiusMm: 4 } },
  ],
})
const guide = marksGuide(input, markPlan(input).marks, 'front')

describe('a guide of marks', () => {
  it('is read by another reader, each line on the layer of what is done there, holes where and as large as they are', () => {
    const entities = (new DxfParser().parseSync(patternDxf(guide))?.entities ?? []) as unknown as {
      readonly layer: string
      readonly vertices: readonly { readonly x: number; readonly y: number }[]
    }[]
    const on = (layer: string) => entities.filter((entity) => entity.layer === layer)
    // a box and a tick for each letter, and a tick for each hole
    expect(on('MARKS')).toHaveLength(4 + 4 + 3)
    expect(on('BLANK')).toHaveLength(1)
    const holes = on('DRILL')
    expect(holes).toHaveLength(3)
    for (const { vertices } of holes)
      for (const { x, y } of vertices) {
        const near = [0, 1, 2].map((i) => {
          const angle = Math.PI / 2 - (2 * Math.PI * i) / 3
          return Math.abs(Math.hypot(x - 4 * Math.cos(angle), y - 4 * Math.sin(angle)) - 0.75)
        })
        expect(Math.min(...near)).toBeLessThan(0.05)
      }
  })
  it('mirrored has left and right changed and nothing else', () => {
    const turned = mirrored(guide)
    const { minX, maxX } = boundsOf(guide.lines.flatMap(({ points }) => points))
    guide.lines.forEach(({ points }, i) => {
      points.forEach(([x, y], k) => {
        const [mx, my] = turned.lines[i]?.points[k] ?? [0, 0]
        expect(mx).toBeCloseTo(minX + maxX - x, 9)
        expect(my).toBe(y)
      })
    })
    expect(patternSvg('guide', guide)).toMatch(/width="2[34]\.99\d*mm"|width="24mm"/)
  })
})
