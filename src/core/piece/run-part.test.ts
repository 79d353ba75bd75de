import { describe, expect, it } from 'vitest'
import { FORMS, findForm } from '../forms/registry'
import { runPart } from './run-part'

const ring = findForm('ring-band')
if (!ring) throw new Error('no ring')
const INPUT = { ...ring.example }
const resultOf = (input: unknown, options = {}) => {
  const run = runPart(ring, input, options)
  return run.ok ? run.result : undefined
}

describe('a part that was worked out before', () => {
  it.each(FORMS.map((form) => [form.id, form] as const))('%s: is the result of its form', (_, form) => {
    for (let time = 0; time < 2; time++) expect(runPart(form, form.example, {})).toEqual(form.run(form.example))
  })
  it('is the same thing again for the same input, and another for another', () => {
    expect(resultOf({ ...INPUT })).toBe(resultOf({ ...INPUT }))
    expect(resultOf({ ...INPUT, widthMm: 5 })).not.toBe(resultOf({ ...INPUT, widthMm: 6 }))
    expect(resultOf({ ...INPUT, widthMm: 5 })?.blanks[0]?.massG).toBeLessThan(resultOf({ ...INPUT, widthMm: 6 })?.blanks[0]?.massG ?? 0)
  })
  it('knows the bench it was worked out at', () => {
    const dome = findForm('dome')
    if (!dome) throw new Error('no dome')
    const own = (size: number) => runPart(dome, dome.example, { tools: [{ kind: 'punch', label: String(size), size, count: 1 }] as never })
    expect(own(20)).not.toBe(own(30))
  })
  it('what is refused is said each time, a missing size and one that is no number alike', () => {
    const bad = { ...INPUT, widthMm: Number.NaN }
    const none = { ...INPUT, widthMm: null }
    expect(runPart(ring, bad, {})).toEqual(ring.run(bad))
    expect(runPart(ring, none, {})).toEqual(ring.run(none))
  })
  it('is forgotten when three hundred others were worked out since', () => {
    const first = resultOf({ ...INPUT, widthMm: 2.5 })
    for (let n = 0; n < 301; n++) resultOf({ ...INPUT, widthMm: 3 + n / 100 })
    const again = resultOf({ ...INPUT, widthMm: 2.5 })
    expect(again).not.toBe(first)
    expect(again).toEqual(first)
  })
})
