import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { maskOf, maskOnWhole, partAbout, placesIn } from './part'

const [WIDE, HIGH] = [13, 9]

describe('the part of a field about a thing', () => {
  const masks = fc.array(fc.nat(WIDE * HIGH - 1), { minLength: 1, maxLength: 12 }).map((places) => {
    const on = new Uint8Array(WIDE * HIGH)
    for (const at of places) on[at] = 1
    return { width: WIDE, height: HIGH, on }
  })

  it('holds all of it with as much about it as there is, and gives it back where it was', () => {
    fc.assert(
      fc.property(masks, fc.nat(4), (mask, beyond) => {
        const part = partAbout(mask, beyond)
        const cut = maskOf(part, mask)
        expect(cut.on.length).toBe(part.width * part.height)
        expect([...maskOnWhole(part, cut, mask).on]).toEqual([...mask.on])
        const xs = [...mask.on].flatMap((value, at) => (value ? [at % WIDE] : []))
        expect(part.left).toBe(Math.max(0, Math.min(...xs) - beyond))
        expect(part.left + part.width).toBe(Math.min(WIDE, Math.max(...xs) + beyond + 1))
      }),
    )
  })

  it('knows a place of the field by its own number, and leaves out those outside', () => {
    fc.assert(
      fc.property(masks, (mask) => {
        const part = partAbout(mask, 0)
        const on = [...mask.on].flatMap((value, at) => (value ? [at] : []))
        const cut = maskOf(part, mask)
        const places = placesIn(part, on, WIDE)
        expect(places.length).toBe(on.length)
        for (const at of places) expect(cut.on[at]).toBe(1)
        const outside = [...mask.on.keys()].filter((at) => at % WIDE < part.left)
        expect(placesIn(part, outside, WIDE)).toEqual([])
      }),
    )
  })
})
