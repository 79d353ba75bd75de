import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { jigsaw } from '../../../../tests/support/jigsaw'
import { intersectRegions, type Region, subtractRegions } from '../../geometry/clip'
import { isInside, outlineToOutlineMm, pointToOutlineMm } from '../../geometry/distance'
import { circleOutline, netAreaMm2, rectangleOutline } from '../../geometry/outline'
import { type Outline, placeOutline } from '../../geometry/point'
import { boxLayout } from '../box-layout'
import { placedRegion } from '../item'
import { findIllegal } from '../legal'
import { packLayout, placementsOf } from '../pack'
import { type LayoutItem, layoutInput } from '../schema'
import type { Pose } from '../shape'
import { type Placement, placementsIn } from '../spread'
import { bodyOf, placesOf, posesOf } from './body'
import { Contacts } from './contact'
import { FELT, feel, fieldOf } from './field'
import { groundOf } from './ground'
import { hullsOf, keptOff } from './hulls'
import type { Lot } from './stand'

const read = (input: object) => layoutInput.parse({ kerfMm: 0.4, marginMm: 1, ...input })
const control = { shouldStop: () => false, elapsedS: () => 0 }
/** As a page has it: the plain first layout gets its share of the time and no more. */
function clocked(seconds: number) {
  const began = performance.now()
  const elapsedS = () => (performance.now() - began) / 1000
  return { elapsedS, shouldStop: () => elapsedS() > seconds }
}
const moved = (outline: Outline, x: number, y: number) => placeOutline(outline, 0, x, y)

/** Metal that any two blanks share, or have off the sheet, mm²: by booleans, which the search does not use. */
function stolenMm2(input: ReturnType<typeof read>, { placements }: ReturnType<typeof packLayout>): number {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const area = (regions: readonly Region[]) => regions.reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0)
  let sum = 0
  for (const sheet of input.sheets ?? []) {
    const blanks = placements.flatMap((place) => {
      const item = items.get(place.id)
      return item && place.sheet === sheet.id ? [placedRegion(item, place)] : []
    })
    blanks.forEach((blank, i) => {
      sum += area(subtractRegions([blank], [sheet]))
      for (const other of blanks.slice(0, i)) sum += area(intersectRegions([blank], [other]))
    })
  }
  return sum
}

const outline = fc
  .array(fc.double({ min: 3, max: 20, noNaN: true }), { minLength: 3, maxLength: 14 })
  .map(
    (radii): Outline =>
      radii.map((r, i) => [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)]),
  )
const place = fc.double({ min: -30, max: 30, noNaN: true })
const angle = fc.double({ min: -3, max: 3, noNaN: true })
/** Places that are drawn as round numbers lie on the lines of a grid, where a slope has a kink. */
const OFF_GRID = 0.01237
const MAKING = { gapMm: 0.4, largestDiscMm: 5 }
const itemOf = (outer: Outline, rotations?: number[]) =>
  read({ sheets: [], items: [{ id: 'a', outer: outer.map(([x, y]) => [x, y]), ...(rotations ? { rotations } : {}) }] })
    .items[0] as LayoutItem
const discOf = (radiusMm: number) => read({ sheets: [], items: [{ id: 'd', circle: { radiusMm } }] }).items[0] as LayoutItem

/** Two blanks and a disc on a ground that has a hollow, or one with straight walls where they are held. */
function lotOf(a: Outline, b: Outline, held: boolean): Lot {
  const items = held ? [itemOf(a), itemOf(b)] : [itemOf(a), itemOf(b), discOf(5)]
  const hollow: Outline = [
    [-40, -40],
    [40, -40],
    [40, 40],
    [0, 5],
    [-40, 40],
  ]
  return {
    bodies: items.map((item) => bodyOf(item, MAKING)),
    moved: items.length,
    angles: items.map(() => (held ? [0, 1] : undefined)),
    ground: groundOf(held ? rectangleOutline(60, 60) : hollow, 1),
    gapMm: MAKING.gapMm,
  }
}

describe('blanks as the search feels them', () => {
  it('are as deep at a place as the plain geometry says, but for what a grid leaves out', () =>
    fc.assert(
      fc.property(outline, place, place, (of, x, y) => {
        const field = fieldOf(of, [], { pastMm: 6, stepMm: 0.3 })
        if (!feel(field, x, y)) return
        const distance = pointToOutlineMm([x, y], of)
        const depth = isInside([x, y], of) ? distance : -distance
        // between two points of the grid a distance cannot change by more than the way between them
        expect(Math.abs(FELT.depth - depth)).toBeLessThan(distance > 2 ? 0.6 : 0.3 * Math.SQRT2)
      }),
    ))
  it.each([
    ['by how deep places lie in them, at any angle', false],
    ['by their pieces, at angles of a few', true],
  ])('are pushed along the slope of what is in the way: %s', (_, held) =>
    fc.assert(
      fc.property(
        outline,
        outline,
        fc.array(place, { minLength: 6, maxLength: 6 }),
        fc.array(angle, { minLength: 3, maxLength: 3 }),
        (a, b, spots, turns) => {
          const lot = lotOf(a, b, held)
          const contacts = new Contacts(lot)
          const at = Float64Array.from(
            lot.bodies.flatMap(({ reachMm }, i) => [
              (spots[2 * i] ?? 0) + OFF_GRID,
              (spots[2 * i + 1] ?? 0) - OFF_GRID,
              (held ? i % 2 : (turns[i] ?? 0) + OFF_GRID) * reachMm,
            ]),
          )
          const slope = new Float64Array(at.length)
          const value = contacts.value(at, slope)
          const step = 1e-6
          const idle = new Float64Array(at.length)
          at.forEach((here, k) => {
            if (held && k % 3 === 2) return
            at[k] = here + step
            const above = contacts.value(at, idle)
            at[k] = here - step
            const below = contacts.value(at, idle)
            at[k] = here
            // where two edges are as deep, or a place crosses from one cell of the grid to the next, the slope has a kink
            const [one, other] = [(above - value) / step, (value - below) / step]
            if (Math.abs(one - other) > 0.02 * (1 + Math.abs(one))) return
            expect(Math.abs((slope[k] ?? 0) - (one + other) / 2)).toBeLessThan(2e-3 * (10 + Math.abs(one)))
          })
        },
      ),
      { numRuns: 60 },
    ),
  )
  it('are in the way wherever they share metal, and out of it where they are a kerf and a hair apart', () =>
    fc.assert(
      fc.property(outline, outline, place, place, fc.boolean(), (a, b, x, y, held) => {
        const lot = { ...lotOf(a, b, held), ground: groundOf(rectangleOutline(1000, 1000), 0) }
        const items = [itemOf(a), itemOf(b)]
        const poses = [
          { x: 500, y: 500, rotationDeg: 0 },
          { x: 500 + x, y: 500 + y, rotationDeg: 0 },
          { x: 900, y: 900, rotationDeg: 0 },
        ]
        const bodies = lot.bodies
        const contacts = new Contacts({ ...lot, angles: bodies.map(() => (held ? [0] : undefined)) })
        contacts.look(placesOf(bodies, poses.slice(0, bodies.length)))
        const found = contacts.of(0, 1)
        const [first, second] = items.map((item, i) => placedRegion(item, poses[i] as Pose))
        if (!first || !second) throw new Error('no regions')
        const shared = intersectRegions([first], [second]).reduce((sum, { outer }) => sum + netAreaMm2(outer, []), 0)
        if (shared > 0.5) expect(found).toBeGreaterThan(0)
        if (shared === 0 && outlineToOutlineMm(first.outer, second.outer) > 0.4 + 0.4) expect(found).toBeLessThan(1e-3)
      }),
      { numRuns: 200 },
    ))
  it('come back as they were given, their middles aside', () =>
    fc.assert(
      fc.property(outline, place, place, fc.double({ min: -170, max: 170, noNaN: true }), (of, x, y, rotationDeg) => {
        const bodies = [bodyOf(itemOf(moved(of, 100, 50)), MAKING)]
        const [pose] = posesOf(bodies, placesOf(bodies, [{ x, y, rotationDeg }]))
        expect(pose?.x).toBeCloseTo(x, 6)
        expect(pose?.y).toBeCloseTo(y, 6)
        expect(pose?.rotationDeg).toBeCloseTo(rotationDeg, 6)
      }),
    ))
})

describe('pieces without hollows', () => {
  it('make up the outline they were cut from, and none has a hollow', () =>
    fc.assert(
      fc.property(outline, (of) => {
        const hulls = hullsOf(of)
        const area = hulls.reduce((sum, hull) => sum + netAreaMm2(hull, []), 0)
        expect(area).toBeCloseTo(netAreaMm2(of, []), 5)
        for (const hull of hulls)
          hull.forEach((p, i) => {
            const [a, b] = [hull.at(i - 1) ?? p, hull[(i + 1) % hull.length] ?? p]
            expect((p[0] - a[0]) * (b[1] - p[1]) - (p[1] - a[1]) * (b[0] - p[0])).toBeGreaterThan(-1e-6)
          })
      }),
    ))
  it('two squares are kept off each other by the sum of their halves', () => {
    const square = moved(rectangleOutline(10, 10), -5, -5)
    const rows = [...keptOff(square, square, 0)]
    const deep = (x: number, y: number) =>
      Math.min(
        ...Array.from({ length: rows.length / 3 }, (_, k) => (rows[3 * k + 2] ?? 0) - (rows[3 * k] ?? 0) * x - (rows[3 * k + 1] ?? 0) * y),
      )
    expect(deep(10, 0)).toBeCloseTo(0, 9)
    expect(deep(7, 3)).toBeCloseTo(3, 9)
    expect(deep(10, 10)).toBeCloseTo(0, 9)
    expect(deep(12, 0)).toBeCloseTo(-2, 9)
  })
})

/** Radii of the largest equal discs known to lie in a square of side 1: from memory of published tables of packings, sure to the last figure. */
const LARGEST_DISCS: readonly (readonly [number, number])[] = [
  [5, 0.207107],
  [7, 0.174458],
  [10, 0.148204],
  [13, 0.133994],
  [20, 0.111382],
  [30, 0.091671],
]

describe('discs in a square', () => {
  it.each(LARGEST_DISCS)('%i of the largest radius known, %f of its side, go into one a ten-thousandth larger', (count, radius) => {
    const side = 80
    const input = read({
      objective: 'value',
      kerfMm: 0,
      marginMm: 0,
      seconds: 8,
      sheets: [{ id: 'S', outer: rectangleOutline(side * 1.0001, side * 1.0001) }],
      items: [{ id: 'd', qty: count, circle: { radiusMm: radius * side } }],
    })
    const { placements } = packLayout(input, clocked(12))
    expect(placements).toHaveLength(count)
    placements.forEach(({ x, y }, i) => {
      for (const end of [x, y]) {
        expect(end).toBeGreaterThan(radius * side - 1e-6)
        expect(end).toBeLessThan(side * 1.0001 - radius * side + 1e-6)
      }
      for (const other of placements.slice(0, i)) expect(Math.hypot(x - other.x, y - other.y)).toBeGreaterThan(2 * radius * side - 1e-6)
    })
  })
  it('two in a square have the closed form r = 1 / (2 + √2), and no more go in', () => {
    const side = 50
    const fits = (by: number) =>
      packLayout(
        read({
          kerfMm: 0,
          marginMm: 0,
          seconds: 0.3,
          sheets: [{ id: 'S', outer: rectangleOutline(side, side) }],
          items: [{ id: 'd', qty: 2, circle: { radiusMm: (by * side) / (2 + Math.SQRT2) } }],
        }),
        control,
      ).placements.length
    expect([fits(0.9999), fits(1.001)]).toEqual([2, 1])
  })
})

describe('what was asked for besides a place', () => {
  const tags = (qty: number) => [{ id: 'tag', qty, outer: rectangleOutline(20, 10), rotations: [0, 90] }]
  const reach = ({ placements }: ReturnType<typeof packLayout>) => placements.length
  it('the least length is no more than a plain layout takes, and close to the metal’s own where pieces tile', () => {
    const input = read({
      kerfMm: 0,
      objective: 'length',
      seconds: 1,
      sheets: [{ id: 'S', outer: rectangleOutline(200, 42) }],
      items: tags(16),
    })
    const solution = packLayout(input, control)
    expect(solution.unplaced).toEqual([])
    expect(stolenMm2(input, solution)).toBeLessThan(1e-3)
    // 16 tags of 200 mm² on 40 mm between the margins: 80 mm, and a margin at each end
    expect(solution.lengthUsedMm).toBeLessThan(80 + 2 + 3)
    expect(solution.lengthUsedMm).toBeGreaterThanOrEqual(82 - 1e-6)
  })
  it('the sheet that costs most stays whole where the others take all', () => {
    const sheet = (id: string, wide: number, costRank: number) => ({ id, outer: rectangleOutline(wide, 24), costRank })
    const input = read({
      seconds: 2,
      sheets: [sheet('offcut', 66, 0), sheet('second', 66, 1), sheet('whole', 200, 2)],
      items: [
        { id: 'disc', qty: 6, circle: { radiusMm: 5 } },
        { id: 'tag', qty: 8, outer: rectangleOutline(15, 10) },
      ],
    })
    const solution = packLayout(input, control)
    expect(solution.unplaced).toEqual([])
    expect(solution.placements.filter(({ sheet: on }) => on === 'whole')).toEqual([])
    expect(stolenMm2(input, solution)).toBeLessThan(1e-3)
  })
  it('no attempt is spent on emptying a sheet whose blanks the others have no metal for', () => {
    const input = read({
      seconds: 1000,
      sheets: [
        { id: 'offcut', outer: rectangleOutline(30, 24) },
        { id: 'sheet', outer: rectangleOutline(200, 50) },
      ],
      items: [{ id: 'disc', qty: 20, circle: { radiusMm: 6 } }],
    })
    const never = { shouldStop: () => false, elapsedS: () => 0 }
    const [laid, drawnIn] = [20, 22].map((iterations) => packLayout({ ...input, iterations }, never).lengthUsedMm)
    expect(drawnIn).toBeLessThan(laid as number)
  })
  it('each better way to lay them is told as it is found, none with less on it than the one before, the last as it is given', () => {
    const told: number[] = []
    let last: readonly Placement[] = []
    const input = read({
      seconds: 0.4,
      sheets: [{ id: 'S', outer: rectangleOutline(62, 44) }],
      items: [{ id: 'disc', qty: 30, circle: { radiusMm: 4.4 } }],
    })
    const solution = packLayout(input, {
      ...control,
      tell: (placements) => {
        told.push(placements.length)
        last = placements
      },
    })
    expect(told.length).toBeGreaterThan(0)
    for (const [i, count] of told.entries()) expect(count).toBeGreaterThanOrEqual(told[i - 1] ?? 0)
    expect(last).toEqual(solution.placements)
    expect(reach(solution)).toBe(told.at(-1))
  })
  it('however many there are, boxes in columns are a first layout at once', () => {
    const items = Array.from({ length: 40 }, (_, i) => ({ id: `p${i}`, qty: 2, outer: rectangleOutline(6 + (i % 7), 4 + (i % 5)) }))
    const input = read({ sheets: [{ id: 'S', outer: rectangleOutline(120, 80) }], items })
    const { sheets, left } = boxLayout(input, input.sheets ?? [])
    expect([...left.values()].every((count) => count === 0)).toBe(true)
    const placements = placementsIn({ sheets, left })
    expect(findIllegal(input, placements)).toEqual([])
  })
})

describe('what is known to fit', () => {
  it.each([
    [8, 1.2, 3],
    [8, 1.1, 5],
    [12, 1.1, 7],
  ])('%i pieces of a cut rectangle go into %f of its area, unturned', (count, grown, seed) => {
    const by = Math.sqrt(grown)
    const items = jigsaw(120, 80, count, seed).map((outer, i) => ({ id: `p${i}`, outer, rotations: [0] }))
    const input = read({
      kerfMm: 0,
      marginMm: 0,
      seconds: 20,
      seed: 1,
      sheets: [{ id: 'S', outer: rectangleOutline(120 * by, 80 * by) }],
      items,
    })
    const solution = packLayout(input, control)
    expect(solution.unplaced).toEqual([])
    expect(stolenMm2(input, solution)).toBeLessThan(1e-3)
  })
  it('discs lie in the windows of washers, where nothing else would take them all', () => {
    const washer = { outer: circleOutline(14), holes: [circleOutline(9)] }
    const input = read({
      seconds: 20,
      sheets: [{ id: 'S', outer: rectangleOutline(62, 91) }],
      items: [
        { id: 'washer', qty: 6, ...washer },
        { id: 'large', qty: 6, circle: { radiusMm: 8 } },
        { id: 'small', qty: 6, circle: { radiusMm: 3 } },
      ],
    })
    const solution = packLayout(input, clocked(20))
    expect(solution.unplaced).toEqual([])
    expect(stolenMm2(input, solution)).toBeLessThan(1e-3)
  })
})

describe('room made for more', () => {
  const order = (seed: number, seconds: number) =>
    read({
      seed,
      seconds,
      sheets: [{ id: 'S', outer: rectangleOutline(62, 44) }],
      items: [
        { id: 'strip', qty: 4, outer: rectangleOutline(34, 5) },
        { id: 'disc', qty: 6, circle: { radiusMm: 6 } },
        { id: 'tag', qty: 7, outer: rectangleOutline(14, 9), rotations: [0, 90] },
      ],
    })
  it('is the same for the same seed, takes no metal twice, and lays more than the plain layout', () => {
    const laid = packLayout(order(2, 0.3), control)
    expect(packLayout(order(2, 0.3), control).placements).toEqual(laid.placements)
    expect(stolenMm2(order(2, 0.3), laid)).toBeLessThan(1e-3)
    expect(laid.placements.length).toBeGreaterThanOrEqual(placementsOf(order(2, 0.3), control).length)
  })
  it('told how many attempts to make, it gives the same layout however fast the clock goes', () => {
    const at = (speed: number) => {
      let asked = 0
      const elapsedS = () => (asked += speed)
      return packLayout({ ...order(3, 5), iterations: 24 }, { shouldStop: () => false, elapsedS }).placements
    }
    expect(at(0.01)).toEqual(at(0))
    expect(at(3)).toEqual(at(0))
  })
  it.each([4, 5])('more rounds never lay less, seed %i', (seed) => {
    const shares = [0.02, 0.05, 0.1, 0.2, 0.4].map((seconds) => packLayout(order(seed, seconds), control).utilisation)
    for (const [i, share] of shares.entries()) expect(share).toBeGreaterThanOrEqual((shares[i - 1] ?? 0) - 1e-9)
    expect(shares.at(-1)).toBeGreaterThan(shares[0] ?? 1)
  })
  it('stops at once when it is told to, with what it has', () => {
    let asked = 0
    const stopped = packLayout(order(1, 60), { elapsedS: () => 0, shouldStop: () => ++asked > 1500 })
    expect(asked).toBeLessThan(1800)
    expect(stolenMm2(order(1, 60), stopped)).toBeLessThan(1e-3)
  })
})
