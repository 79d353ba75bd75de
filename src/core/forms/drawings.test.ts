import { describe, expect, it } from 'vitest'
import { type DrawingView, viewBounds } from '../drawing/drawing'
import { isInside } from '../geometry/distance'
import { signedAreaMm2 } from '../geometry/outline'
import type { FormResult } from './contract'
import { FORMS } from './registry'

type Form = (typeof FORMS)[number]

function resultOf(form: Form, more: Readonly<Record<string, unknown>> = {}): FormResult {
  const run = form.run({ ...form.example, ...more })
  if (!run.ok) throw new Error(`${form.id}: ${JSON.stringify(run.issues)}`)
  return run.result
}

const numbersIn = (text: string) => [...text.matchAll(/\d+(?:\.\d+)?/g)].map(Number)

/** Whether one of the numbers written on a dimension line is the length of that line. */
function saysItsLength({ from, to, text }: DrawingView['dimensions'][number]): boolean {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  return numbersIn(text).some((said) => Math.abs(said - length) <= 0.06 + 0.002 * length)
}

describe.each(FORMS.map((form) => [form.id, form] as const))('the drawing of %s', (_, form) => {
  it('is true to scale: every dimension says how long it is drawn', () => {
    for (const view of resultOf(form).drawing.views)
      for (const dimension of view.dimensions) {
        const told = numbersIn(dimension.text).length === 0 || saysItsLength(dimension)
        expect({ view: view.id, text: dimension.text, told }).toEqual({ view: view.id, text: dimension.text, told: true })
      }
  })

  it('has something to see in each view, with a box of its own', () => {
    for (const view of resultOf(form).drawing.views) {
      const box = viewBounds(view)
      expect(view.shapes.length).toBeGreaterThan(0)
      expect(box.maxX - box.minX).toBeGreaterThan(0)
      expect(box.maxY - box.minY).toBeGreaterThan(0)
    }
  })

  it('names each view differently', () => {
    const ids = resultOf(form).drawing.views.map((view) => view.id)
    expect(new Set(ids).size).toBe(ids.length)
  })

  it('draws metal that is metal: outlines with an inside, holes within them', () => {
    for (const view of resultOf(form).drawing.views)
      for (const shape of view.shapes) {
        if (shape.kind !== 'region') continue
        expect(Math.abs(signedAreaMm2(shape.outer))).toBeGreaterThan(0)
        for (const hole of shape.holes) expect(isInside(hole[0] ?? [1e9, 1e9], shape.outer)).toBe(true)
      }
  })

  it('has handles only on fields of the form, each with a name to be spoken', () => {
    const names = new Set(form.fields.map((field) => field.name))
    for (const view of resultOf(form).drawing.views)
      for (const handle of view.handles) {
        expect(names.has(handle.field)).toBe(true)
        expect(handle.label.length).toBeGreaterThan(2)
        expect(Math.hypot(...handle.along)).toBeCloseTo(1, 6)
      }
  })

  it('saws outside what stays and inside what falls out', () => {
    for (const view of resultOf(form).drawing.views)
      for (const shape of view.shapes) {
        if (shape.kind !== 'cut' || !shape.closed) continue
        const area = Math.abs(signedAreaMm2(shape.points))
        const holes = view.shapes.flatMap((other) => (other.kind === 'region' ? other.holes : []))
        const fallsOut = holes.some((hole) => Math.abs(Math.abs(signedAreaMm2(hole)) / area - 1) < 0.3)
        expect(shape.side).toBe(fallsOut ? 'inside' : 'outside')
      }
  })

  it('has blanks whose holes lie inside them and run the other way', () => {
    for (const blank of resultOf(form).blanks)
      for (const hole of blank.holes) {
        expect(signedAreaMm2(hole)).toBeLessThan(0)
        for (const point of hole) expect(isInside(point, blank.outline)).toBe(true)
      }
  })
})
