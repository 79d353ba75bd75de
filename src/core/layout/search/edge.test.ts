import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rectangleOutline } from '../../geometry/outline'
import type { Outline } from '../../geometry/point'
import { layoutInput } from '../schema'
import { type Body, bodyOf } from './body'
import { Contacts } from './contact'
import { edgeAlong } from './edge'
import { FELT, type Field, feel } from './field'
import { groundOf } from './ground'

const GAP_MM = 0.4
/** Each blank has a window of its own shape, so much of its size. */
const WINDOW = 0.45
const outline = fc
  .array(fc.double({ min: 3, max: 20, noNaN: true }), { minLength: 3, maxLength: 30 })
  .map((radii): [number, number][] =>
    radii.map((r, i) => [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)]),
  )
const off = fc.double({ min: -30, max: 30, noNaN: true })
const turn = fc.double({ min: -3, max: 3, noNaN: true })

function bodyFrom(outer: [number, number][]): Body {
  const [item] = layoutInput.parse({
    kerfMm: GAP_MM,
    marginMm: 1,
    sheets: [],
    items: [{ id: 'a', outer, holes: [outer.map(([x, y]) => [WINDOW * x, WINDOW * y])] }],
  }).items
  if (!item) throw new Error('no item')
  return bodyOf(item, { gapMm: GAP_MM, largestDiscMm: 0 })
}

interface Put {
  readonly x: number
  readonly y: number
  readonly turnRad: number
}

/** Squares of how deep each single place of an edge lies in another blank, and the deepest: none of them passed over. */
function eachPlaceIn(one: Body, here: Put, other: Body, there: Put) {
  let [sum, deepest] = [0, 0]
  const { places } = one.edge
  for (let k = 0; k < places.length; k += 2) {
    const [ex, ey] = [places[k] ?? 0, places[k + 1] ?? 0]
    const x = here.x - there.x + ex * Math.cos(here.turnRad) - ey * Math.sin(here.turnRad)
    const y = here.y - there.y + ex * Math.sin(here.turnRad) + ey * Math.cos(here.turnRad)
    const [c, s] = [Math.cos(there.turnRad), Math.sin(there.turnRad)]
    if (!feel(other.field as Field, x * c + y * s, y * c - x * s)) continue
    const deep = Math.max(0, FELT.depth + GAP_MM)
    sum += deep * deep
    deepest = Math.max(deepest, deep)
  }
  return { sum, deepest }
}

describe('the edge of a blank', () => {
  it('has a place at every corner and none further from the next than asked, ring by ring, and says how far that is', () =>
    fc.assert(
      fc.property(fc.array(outline, { minLength: 1, maxLength: 3 }), fc.double({ min: 0.5, max: 9, noNaN: true }), (rings, asked) => {
        const { places, ends, spacingMm } = edgeAlong(rings as Outline[], asked)
        expect(spacingMm).toBeLessThan(asked + 1e-9)
        expect(ends.length).toBe(rings.length)
        expect(ends.at(-1)).toBe(places.length)
        rings.forEach((of, ring) => {
          const all = Array.from({ length: ((ends[ring] ?? 0) - (ends[ring - 1] ?? 0)) / 2 }, (_, k) => {
            const at = (ends[ring - 1] ?? 0) + 2 * k
            return [places[at] ?? 0, places[at + 1] ?? 0] as const
          })
          for (const [x, y] of of) expect(all.some(([px, py]) => Math.hypot(px - x, py - y) < 1e-12)).toBe(true)
          all.forEach(([x, y], k) => {
            const [nx, ny] = all[(k + 1) % all.length] ?? [0, 0]
            const away = Math.hypot(nx - x, ny - y)
            expect(away).toBeLessThan(asked + 1e-9)
            if (k + 1 < all.length) expect(away).toBeLessThan(spacingMm + 1e-12)
          })
        })
      }),
    ))
  it('is felt in another blank as if every place of it were asked, though most are passed over', () =>
    fc.assert(
      fc.property(outline, outline, fc.tuple(off, off), fc.tuple(turn, turn), (a, b, [x, y], [first, second]) => {
        const bodies = [bodyFrom(a), bodyFrom(b)]
        const [one, other] = bodies as [Body, Body]
        const ground = groundOf(rectangleOutline(1000, 1000), 0)
        const contacts = new Contacts({ bodies, moved: 2, angles: [undefined, undefined], ground, gapMm: GAP_MM })
        contacts.look(Float64Array.of(500 + x, 500 + y, first * one.reachMm, 500, 500, second * other.reachMm))
        const puts = [
          { x, y, turnRad: first },
          { x: 0, y: 0, turnRad: second },
        ] as const
        const [own, its] = [eachPlaceIn(one, puts[0], other, puts[1]), eachPlaceIn(other, puts[1], one, puts[0])]
        expect(contacts.of(0, 1)).toBeCloseTo(own.sum + its.sum, 6)
        expect(contacts.deepestOf(0, 1)).toBeCloseTo(Math.max(own.deepest, its.deepest), 9)
      }),
      { numRuns: 300 },
    ))
})
