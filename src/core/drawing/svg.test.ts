import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleOutline, netAreaMm2, rectangleOutline } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import type { DrawingView } from './drawing'
import { viewBounds } from './drawing'
import { outlinesPattern, patternSvg } from './svg'
import { thumbnailView } from './thumbnail'

const moved = (outline: Outline, dx: number, dy: number): Outline => outline.map(([x, y]) => [x + dx, y + dy])

/** The outlines of a sheet read back from its own text, y up again, from the lower left corner. */
function readBack(svg: string): { width: number; height: number; paths: { kind: string; outlines: Outline[] }[] } {
  const [, width = '', height = ''] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? []
  const paths = [...svg.matchAll(/<path class="(\w+)" d="([^"]+)"/g)].map((match) => ({
    kind: match[1] ?? '',
    outlines: (match[2] ?? '')
      .split('Z')
      .filter((part) => part !== '')
      .map((part) =>
        [...part.matchAll(/[ML]([\d.-]+) ([\d.-]+)/g)].map((point) => [Number(point[1]), Number(height) - Number(point[2])] as const),
      ),
  }))
  return { width: Number(width), height: Number(height), paths }
}

describe('a sheet at full size', () => {
  it('is as many millimetres as its box, and its view box says the same', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 900, noNaN: true }), fc.double({ min: 1, max: 900, noNaN: true }), (w, h) => {
        const svg = patternSvg('x', outlinesPattern([rectangleOutline(w, h)], 'edge'))
        const { width, height } = readBack(svg)
        expect(width).toBeCloseTo(w, 3)
        expect(height).toBeCloseTo(h, 3)
        expect(svg).toContain(`viewBox="0 0 ${width} ${height}"`)
      }),
    ))
  it('draws every outline where it lies, wherever the sheet begins', () =>
    fc.assert(
      fc.property(fc.double({ min: -200, max: 200, noNaN: true }), fc.double({ min: -200, max: 200, noNaN: true }), (dx, dy) => {
        const sheet = outlinesPattern([moved(rectangleOutline(80, 50), dx, dy)], 'edge')
        const washer = outlinesPattern([moved(circleOutline(9), dx + 20, dy + 20), moved(circleOutline(3), dx + 20, dy + 20)])
        const { paths } = readBack(patternSvg('x', { lines: [...sheet.lines, ...washer.lines], labels: [] }))
        expect(paths.filter((path) => path.kind === 'cut')).toHaveLength(2)
        const disc = paths.find((path) => path.kind === 'cut')
        const [rim = []] = disc?.outlines ?? []
        expect(Math.min(...rim.map(([x]) => x))).toBeCloseTo(11, 2)
        expect(Math.max(...rim.map(([, y]) => y))).toBeCloseTo(29, 2)
        expect(Math.abs(netAreaMm2(rim, []) / (Math.PI * 81) - 1)).toBeLessThan(2e-3)
      }),
      { numRuns: 20 },
    ))
  it('tells what is sawn from what is only seen, by more than colour', () => {
    const [edge] = outlinesPattern([rectangleOutline(10, 10)], 'edge').lines
    const [cut] = outlinesPattern([rectangleOutline(4, 4)]).lines
    const svg = patternSvg('x', { lines: [edge, cut].flatMap((line) => line ?? []), labels: [] })
    expect(svg).toMatch(/class="stock"[^>]*stroke-dasharray/)
    expect(svg).not.toMatch(/class="cut"[^>]*stroke-dasharray/)
  })
  it('writes a title as text', () => {
    const svg = patternSvg('Rings & <b>discs</b>', outlinesPattern([rectangleOutline(4, 4)]))
    expect(svg).toContain('<title>Rings &amp; &lt;b>discs&lt;/b></title>')
  })
})

describe('a view in little', () => {
  const view: DrawingView = {
    id: 'x',
    title: 'X',
    shapes: [
      { kind: 'region', layer: 'metal', outer: circleOutline(20), holes: [circleOutline(5)] },
      {
        kind: 'line',
        layer: 'scribe',
        points: [
          [0, 0],
          [1, 1],
        ],
      },
      { kind: 'circle', layer: 'centre', centre: [0, 0], radiusMm: 3 },
    ],
    dimensions: [{ from: [0, 0], to: [20, 0], offset: 1, text: '20' }],
    handles: [{ field: 'a', label: 'a', at: [0, 0], along: [1, 0], gain: 1 }],
    notes: [{ at: [0, 0], text: 'n' }],
  }
  const little = thumbnailView(view)
  it('keeps the metal alone, its shape and its size', () => {
    expect(little.shapes.map((shape) => shape.kind)).toEqual(['region'])
    expect([little.dimensions, little.handles, little.notes]).toEqual([[], [], []])
    const [shape] = little.shapes
    if (shape?.kind !== 'region') throw new Error('no metal')
    expect(shape.outer.length).toBeLessThanOrEqual(60)
    expect(Math.abs(netAreaMm2(shape.outer, []) / (Math.PI * 400) - 1)).toBeLessThan(0.02)
    expect(viewBounds(little).maxX).toBeCloseTo(20, 0)
  })
  it('leaves alone what has few corners', () => {
    const square: DrawingView = { ...view, shapes: [{ kind: 'region', layer: 'metal', outer: rectangleOutline(4, 4), holes: [] }] }
    expect(thumbnailView(square).shapes[0]).toMatchObject({ outer: rectangleOutline(4, 4) })
  })
})
