import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { intersectRegions, type Region, subtractRegions } from '../../geometry/clip'
import { isInside, outlineToOutlineMm, pointToOutlineMm } from '../../geometry/distance'
import { circleOutline, netAreaMm2, rectangleOutline } from '../../geometry/outline'
import { type Outline, placeOutline } from '../../geometry/point'
import { seededRandom } from '../../numerics/random'
import { packLayout, placedRegion, placementsOf } from '../pack'
import { layoutInput } from '../schema'
import { placeItem } from '../shape'
import { collides } from './overlap'
import { pieceOf, polesOf } from './piece'
import { distanceSqToRings, isInRings, ringOf, thinned } from './rings'
import { isInRoom, roomOf } from './room'

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

/** A rectangle cut by straight cuts through the middle of its largest piece: pieces that are known to fit together. */
function jigsaw(wide: number, high: number, count: number, seed: number): Outline[] {
  const random = seededRandom(seed)
  const pieces: Outline[] = [rectangleOutline(wide, high)]
  while (pieces.length < count) {
    pieces.sort((a, b) => netAreaMm2(b, []) - netAreaMm2(a, []))
    const piece = pieces.shift() ?? []
    const [cx, cy] = piece.reduce(([x, y], [px, py]) => [x + px / piece.length, y + py / piece.length], [0, 0])
    const angle = Math.PI * random()
    const side = ([x, y]: readonly [number, number]) => (x - cx) * Math.cos(angle) + (y - cy) * Math.sin(angle)
    const half = (way: 1 | -1) =>
      piece.flatMap((point, i): Outline => {
        const next = piece[(i + 1) % piece.length] ?? point
        const [a, b] = [way * side(point), way * side(next)]
        const t = a / (a - b)
        const own: Outline = a >= 0 ? [point] : []
        return a * b < 0 ? [...own, [point[0] + t * (next[0] - point[0]), point[1] + t * (next[1] - point[1])]] : own
      })
    pieces.push(half(1), half(-1))
  }
  return pieces
}

describe('shapes as the search knows them', () => {
  const outline = fc
    .array(fc.double({ min: 3, max: 20, noNaN: true }), { minLength: 3, maxLength: 14 })
    .map(
      (radii): Outline =>
        radii.map((r, i) => [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)]),
    )
  it('are inside and as far from an edge as the plain geometry says', () =>
    fc.assert(
      fc.property(outline, fc.double({ min: -25, max: 25, noNaN: true }), fc.double({ min: -25, max: 25, noNaN: true }), (of, x, y) => {
        const distance = Math.sqrt(distanceSqToRings(x, y, [ringOf(of)]))
        expect(distance).toBeCloseTo(pointToOutlineMm([x, y], of), 6)
        if (distance > 1e-6) expect(isInRings(x, y, [ringOf(of)])).toBe(isInside([x, y], of))
      }),
    ))
  it('are filled by circles that lie in them and not in one another', () =>
    fc.assert(
      fc.property(outline, (of) => {
        const poles = polesOf([ringOf(of)])
        for (let i = 0; i < poles.length; i += 3) {
          const [x, y, r] = [poles[i] ?? 0, poles[i + 1] ?? 0, poles[i + 2] ?? 0]
          expect(pointToOutlineMm([x, y], of)).toBeGreaterThanOrEqual(r - 1e-9)
          for (let j = 0; j < i; j += 3)
            expect(Math.hypot(x - (poles[j] ?? 0), y - (poles[j + 1] ?? 0))).toBeGreaterThanOrEqual(r + (poles[j + 2] ?? 0) - 1e-9)
        }
      }),
    ))
  it('collide where they share metal, and never do where they are a kerf and a hair apart', () =>
    fc.assert(
      fc.property(
        outline,
        outline,
        fc.double({ min: -45, max: 45, noNaN: true }),
        fc.double({ min: -45, max: 45, noNaN: true }),
        (a, b, dx, dy) => {
          const item = (outer: Outline) => read({ sheets: [], items: [{ id: 'a', outer: outer.map(([x, y]) => [x, y]) }] }).items[0]
          const shape = (outer: Outline) => {
            const one = item(outer)
            return one && pieceOf(placeItem(one, { x: 0, y: 0, rotationDeg: 0 }), 0.4)?.at(0)
          }
          const [first, second] = [shape(a), shape(b)]
          if (!first || !second) throw new Error('no piece')
          const there = moved(b, dx, dy)
          const isShared = intersectRegions([{ outer: a, holes: [] }], [{ outer: there, holes: [] }]).length > 0
          const found = collides(first, second, dx, dy)
          if (isShared) expect(found).toBe(true)
          else if (outlineToOutlineMm(a, there) > 0.4 + 0.1) expect(found).toBe(false)
        },
      ),
      { numRuns: 200 },
    ))
  it('thinned, no corner of an outline is further from it than it may be', () => {
    const round = circleOutline(10)
    const few = thinned(round, 0.05)
    expect(few.length).toBeLessThan(round.length)
    for (const point of round) expect(pointToOutlineMm(point, few)).toBeLessThanOrEqual(0.05)
  })
  it('are in the room of an offcut only where they are clear of its edge and of its holes', () => {
    const sheet = { outer: rectangleOutline(60, 40), holes: [moved(circleOutline(6), 40, 20)] }
    const room = roomOf(sheet, { marginMm: 1, kerfMm: 0.4 })
    const disc = pieceOf({ kind: 'circle', centre: [0, 0], radiusMm: 5, bounds: { minX: -5, minY: -5, maxX: 5, maxY: 5 } }, 0.4)?.at(0)
    if (!room || !disc) throw new Error('no room')
    const isFree = (x: number, y: number) => isInRoom(room, disc, x, y)
    // margin 1 and radius 5 from the edge; radius 5, margin 1 and radius 6 from the hole
    expect([isFree(6.1, 20), isFree(5.9, 20)]).toEqual([true, false])
    expect([isFree(40 - 12.1, 20), isFree(40 - 11.9, 20)]).toEqual([true, false])
    expect(room.depthAt(12, 20)).toBeGreaterThan(7)
    expect(room.depthAt(40, 20)).toBeLessThan(0)
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
  it('more rounds never lay less', () => {
    const shares = [0.02, 0.05, 0.1, 0.2, 0.4].map((seconds) => packLayout(order(4, seconds), control).utilisation)
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
