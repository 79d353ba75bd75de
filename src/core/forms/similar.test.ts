import { describe, expect, it } from 'vitest'
import { parseSize } from '../sizes'
import type { FormResult } from './contract'
import { FORMS } from './registry'

type Form = (typeof FORMS)[number]

/** Every length of a form's example in mm, start values with it. */
function lengthsOf(form: Form): Record<string, number> {
  const example = form.example as Readonly<Record<string, unknown>>
  return Object.fromEntries(
    form.fields.flatMap((field) => {
      if (field.kind !== 'number' || field.meta.unit !== 'mm') return []
      const typed = example[field.name] ?? field.preset
      if (typed === undefined) return []
      if (typeof typed === 'number') return [[field.name, typed]]
      const reading = parseSize(String(typed), {
        gaugeSystem: 'B&S',
        ringSystem: 'US',
        ...(field.meta.size ? { expects: field.meta.size } : {}),
      })
      return 'mm' in reading ? [[field.name, reading.mm]] : []
    }),
  )
}

/** Rules with a fixed number of millimetres in them; the school named has none, and without one the piece is not alike at two scales. */
const WITHOUT_FIXED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'ring-stack': { fit: 'as-measured' },
  'bangle-hollow': { length: 'tube' },
  'rivet-wire': { head: 'half-diameter' },
  'rivet-tube': { flare: 'two-walls' },
  'rivet-ball': { back: 'half-diameter' },
}
/** The height of a bezel has a lip of fixed height over the stone's turn: its length is alike, its mass is not. */
const LIKE_IN_LENGTH_ONLY = new Set(['bezel'])

function atScale(form: Form, scale: number): FormResult {
  const lengths = Object.fromEntries(Object.entries(lengthsOf(form)).map(([name, mm]) => [name, mm * scale]))
  const schools = WITHOUT_FIXED[form.id]
  const run = form.run({ ...form.example, ...lengths, roundUpMm: 0.01, ...(schools ? { schools } : {}) })
  if (!run.ok) throw new Error(`${form.id}: ${JSON.stringify(run.issues)}`)
  return run.result
}

// Rounding up to 0.01 mm moves the mark, and with it the mass, by up to a few parts in a thousand.
describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (id, form) => {
  const [one, large] = [atScale(form, 1), atScale(form, 1.5)]
  it('half as large again in every length is half as long again', () =>
    expect(Math.abs(large.answer.value / one.answer.value / 1.5 - 1)).toBeLessThan(1e-3))
  it('and weighs the cube of it', () => {
    if (LIKE_IN_LENGTH_ONLY.has(id)) return
    const mass = (result: FormResult) => result.results.massG?.value ?? Number.NaN
    expect(Math.abs(mass(large) / mass(one) / 1.5 ** 3 - 1)).toBeLessThan(5e-3)
  })
  it('its drawing keeps its shape: every view grows alike both ways', () => {
    for (const [i, view] of one.drawing.views.entries()) {
      const grown = large.drawing.views[i]
      expect(grown?.id).toBe(view.id)
      const region = (of: typeof view | undefined) => of?.shapes.find((shape) => shape.kind === 'region')
      const [small, big] = [region(view), region(grown)]
      // The leather of a strap has ends of fixed length.
      if (!small || !big || view.id === 'strap' || LIKE_IN_LENGTH_ONLY.has(id)) continue
      const size = (outline: readonly (readonly [number, number])[], axis: 0 | 1) => {
        const values = outline.map((point) => point[axis])
        return Math.max(...values) - Math.min(...values)
      }
      for (const axis of [0, 1] as const) expect(Math.abs(size(big.outer, axis) / size(small.outer, axis) / 1.5 - 1)).toBeLessThan(0.01)
    }
  })
})
