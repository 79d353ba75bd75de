import fc from 'fast-check'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import type { DrawingView } from '@/core/drawing'
import { FORMS } from '@/core/forms'
import { ALLOYS } from '@/core/metals'
import { dimensionBox, placeDimension } from '@/ui/drawing/dimension-place'
import { fitView, scaleWords } from '@/ui/drawing/scale'
import { ScaleDrawing } from '@/ui/drawing/scale-drawing'

const COLOUR = ALLOYS['copper-c110'].colour

function viewsOf(form: (typeof FORMS)[number]): readonly DrawingView[] {
  const run = form.run(form.example)
  if (!run.ok) throw new Error(form.id)
  return run.result.drawing.views
}

const draw = (view: DrawingView, onHandle?: () => void) =>
  renderToStaticMarkup(<ScaleDrawing view={view} colour={COLOUR} width={620} height={260} {...(onHandle ? { onHandle } : {})} />)

/** Every coordinate of every path of the picture. */
function coordinates(markup: string): [number, number][] {
  return [...markup.matchAll(/ d="([^"]+)"/g)].flatMap((match) =>
    [...(match[1] ?? '').matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((point): [number, number] => [Number(point[1]), Number(point[2])]),
  )
}

const SQUARE: DrawingView = {
  id: 'square',
  title: 'Square',
  shapes: [
    {
      kind: 'region',
      layer: 'metal',
      outer: [
        [0, 0],
        [20, 0],
        [20, 10],
        [0, 10],
      ],
      holes: [],
    },
  ],
  dimensions: [{ from: [0, 0], to: [20, 0], offset: -1.6, text: '20 across' }],
  handles: [{ field: 'widthMm', label: 'width', at: [20, 5], along: [1, 0], gain: 1 }],
  notes: [],
}

describe('to scale', () => {
  it.each([
    [96 / 25.4, '1 : 1'],
    [(96 / 25.4) * 6, '6 : 1'],
    [(96 / 25.4) * 2.5, '2.5 : 1'],
    [96 / 25.4 / 2, '1 : 2'],
    [96 / 25.4 / 1.8, '1 : 1.8'],
    [(96 / 25.4) * 12.4, '12 : 1'],
  ])('%f px to the millimetre is %s', (scale, words) => expect(scaleWords(scale, 96 / 25.4)).toBe(words))
  it('a millimetre is as long one way as the other, and up is up', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 400, noNaN: true }), fc.double({ min: 0.5, max: 400, noNaN: true }), (w, h) => {
        const view: DrawingView = {
          ...SQUARE,
          shapes: [
            {
              kind: 'region',
              layer: 'metal',
              outer: [
                [0, 0],
                [w, 0],
                [w, h],
                [0, h],
              ],
              holes: [],
            },
          ],
          dimensions: [],
        }
        const fit = fitView(view, 620, 300)
        expect(fit.toX(1) - fit.toX(0)).toBeCloseTo(fit.scale, 9)
        expect(fit.toY(0) - fit.toY(1)).toBeCloseTo(fit.scale, 9)
        for (const x of [0, w]) expect(fit.toX(x)).toBeGreaterThanOrEqual(0)
        for (const y of [0, h]) expect(fit.toY(y)).toBeLessThanOrEqual(300)
      }),
    ))
  it('a rectangle of 20 by 10 is drawn twice as wide as it is high', () => {
    const points = coordinates(draw({ ...SQUARE, dimensions: [] }))
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
    expect((Math.max(...xs) - Math.min(...xs)) / (Math.max(...ys) - Math.min(...ys))).toBeCloseTo(2, 3)
  })
})

describe('what is drawn', () => {
  it('metal in its own colour, its dimension with the figure, its title with the scale', () => {
    const markup = draw(SQUARE)
    expect(markup).toContain(`fill="${COLOUR.face}"`)
    expect(markup).toContain('>20 across</text>')
    expect(markup).toMatch(/Square, <span class="fig"[^>]*>[\d.]+ : 1<\/span>/)
    expect(markup).toContain('aria-label="Square: 20 across"')
  })
  it('handles only where they can be moved, each named for the keys', () => {
    expect(draw(SQUARE)).not.toContain('role="slider"')
    const markup = draw(SQUARE, () => undefined)
    expect(markup).toContain('role="slider"')
    expect(markup).toContain('aria-label="width: drag, or arrow keys"')
    expect(markup).toContain('Drag the width')
  })
  it('the kerf as a band as wide as the blade, on its side of the line', () => {
    const cut: DrawingView = {
      ...SQUARE,
      dimensions: [],
      shapes: [
        ...SQUARE.shapes,
        {
          kind: 'cut',
          layer: 'saw',
          closed: false,
          side: 'outside',
          points: [
            [0, 12],
            [20, 12],
          ],
        },
      ],
    }
    const markup = draw(cut)
    const { scale, toY } = fitView(cut, 620, 260)
    expect(markup).toContain(`stroke-width="${0.3 * scale}"`)
    // Outside is right of the way the line runs: below a line to the right, so lower on the screen.
    const band = /stroke-opacity="0.22"/.exec(markup)?.index ?? 0
    const path = markup.slice(markup.lastIndexOf('<path', band), band)
    expect(Number(/M[\d.]+ ([\d.]+)/.exec(path)?.[1])).toBeCloseTo(toY(12) + (0.3 * scale) / 2, 1)
  })
})

describe.each(FORMS.map((form) => [form.id, form] as const))('the drawing of %s', (_, form) => {
  it('lies wholly on its ground, at any of four sizes', () => {
    for (const [width, height] of [
      [620, 260],
      [360, 220],
      [330, 200],
      [1100, 420],
    ] as const)
      for (const view of viewsOf(form)) {
        const markup = renderToStaticMarkup(<ScaleDrawing view={view} colour={COLOUR} width={width} height={height} />)
        expect(markup).not.toMatch(/NaN|Infinity|undefined/)
        for (const [x, y] of coordinates(markup)) {
          expect(x).toBeGreaterThanOrEqual(0)
          expect(x).toBeLessThanOrEqual(width)
          expect(y).toBeGreaterThanOrEqual(0)
          expect(y).toBeLessThanOrEqual(height)
        }
        const fit = fitView(view, width, height)
        for (const dimension of view.dimensions) {
          const box = dimensionBox(placeDimension(dimension, fit), dimension.text)
          expect(Math.min(box.left, box.top, width - box.right, height - box.bottom)).toBeGreaterThanOrEqual(0)
        }
      }
  })
})
