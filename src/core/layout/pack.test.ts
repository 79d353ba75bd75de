import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleOutline, netAreaMm2, perimeterMm, rectangleOutline } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import { findIllegal } from './legal'
import { packLayout, placementsOf } from './pack'
import { remnantsOf } from './remnants'
import { layoutInput } from './schema'

const control = { shouldStop: () => false, elapsedS: () => 0 }
/** Without a clock, seconds are rounds of moves: as few as a test can wait for. */
const read = (input: object) => layoutInput.parse({ seconds: 0.2, ...input })
const sheet = (width: number, height: number, id = 'S1') => ({ id, outer: rectangleOutline(width, height) })
const moved = (outline: Outline, x: number, y: number): Outline => outline.map(([px, py]) => [px + x, py + y])
const placed = (input: object) => packLayout(read(input), control)

describe('what must fit, by plain arithmetic', () => {
  it.each([2, 3, 5, 8])('%i discs in a row fit a strip of exactly their diameters, kerfs and margins, and not a hair less', (count) => {
    const [radiusMm, kerfMm, marginMm] = [6, 0.4, 1.5]
    const long = count * 2 * radiusMm + (count - 1) * kerfMm + 2 * marginMm
    const row = (length: number) =>
      placed({
        kerfMm,
        marginMm,
        sheets: [sheet(length, 2 * radiusMm + 2 * marginMm)],
        items: [{ id: 'd', qty: count, circle: { radiusMm } }],
      })
    expect(row(long).unplaced).toEqual([])
    expect(row(long - 0.02).unplaced).toEqual([{ id: 'd', qty: 1 }])
    expect(row(long).lengthUsedMm).toBeCloseTo(long, 6)
  })
  it.each([
    [4, 3],
    [2, 5],
    [6, 1],
  ])('a grid of %i by %i squares fills a sheet made for it', (columns, rows) => {
    const [side, kerfMm, marginMm] = [9, 0.3, 1]
    const over = (count: number) => count * side + (count - 1) * kerfMm + 2 * marginMm
    const solution = placed({
      kerfMm,
      marginMm,
      sheets: [sheet(over(columns), over(rows))],
      items: [{ id: 's', qty: columns * rows + 1, outer: rectangleOutline(side, side), rotations: [0] }],
    })
    expect(solution.placements).toHaveLength(columns * rows)
    expect(solution.unplaced).toEqual([{ id: 's', qty: 1 }])
    expect(solution.utilisation).toBeCloseTo((columns * rows * side * side) / (over(columns) * over(rows)), 9)
  })
  it('a strip too long to lie along is turned, unless it may not be', () => {
    const strip = (rotations: number[] | 'free') =>
      placed({ sheets: [sheet(12, 60)], items: [{ id: 's', outer: rectangleOutline(50, 6), rotations }] })
    expect(strip([0]).placements).toEqual([])
    expect(strip([0, 90]).placements[0]?.rotationDeg).toBe(90)
    expect(strip('free').placements[0]?.rotationDeg).toBe(90)
  })
  it('discs that another job has lying are as good as own ones that lie there: touched exactly, a kerf apart', () => {
    const [radiusMm, kerfMm, marginMm] = [6, 0.4, 1.5]
    const lying = [0, 1].map((n): [number, number] => [marginMm + radiusMm + n * (2 * radiusMm + kerfMm), marginMm + radiusMm])
    const taken = lying.map((centre) => ({ outer: moved(circleOutline(radiusMm), ...centre), circle: { centre, radiusMm } }))
    const long = 4 * 2 * radiusMm + 3 * kerfMm + 2 * marginMm
    const on = (length: number) =>
      placed({
        kerfMm,
        marginMm,
        sheets: [{ ...sheet(length, 2 * radiusMm + 2 * marginMm), taken }],
        items: [{ id: 'd', qty: 2, circle: { radiusMm } }],
      })
    expect(on(long).unplaced).toEqual([])
    expect(on(long - 0.02).unplaced).toEqual([{ id: 'd', qty: 1 }])
  })
  it('a disc lies in the window of a frame, a kerf from its edge', () => {
    const frame = { id: 'frame', outer: rectangleOutline(40, 40), holes: [moved(rectangleOutline(20, 20), 10, 10)] }
    const inside = (radiusMm: number) =>
      placed({
        kerfMm: 0.5,
        marginMm: 1,
        sheets: [sheet(42, 42)],
        items: [
          { ...frame, rotations: [0] },
          { id: 'd', circle: { radiusMm } },
        ],
      })
    expect(inside(9.4).unplaced).toEqual([])
    expect(inside(9.6).unplaced).toEqual([{ id: 'd', qty: 1 }])
  })
  it('keeps a margin from the holes already in a sheet', () => {
    const holed = { ...sheet(24, 24), holes: [moved(circleOutline(4), 12, 12)] }
    const holding = (radiusMm: number) => placed({ marginMm: 1, kerfMm: 0.3, sheets: [holed], items: [{ id: 'd', circle: { radiusMm } }] })
    // In the corner: distance of the centre to the hole (11 − r)·√2 must be r + 4 + 1.
    const most = (11 * Math.SQRT2 - 5) / (1 + Math.SQRT2)
    expect(holding(most - 0.02).placements).toHaveLength(1)
    expect(holding(most + 0.05).placements).toHaveLength(0)
  })
})

describe('what a layout says of itself', () => {
  const orders = fc.record({
    discs: fc.integer({ min: 0, max: 5 }),
    plates: fc.integer({ min: 0, max: 4 }),
    radiusMm: fc.double({ min: 2, max: 9, noNaN: true }),
    long: fc.double({ min: 5, max: 26, noNaN: true }),
  })
  const instance = ({ discs, plates, radiusMm, long }: { discs: number; plates: number; radiusMm: number; long: number }) =>
    read({
      kerfMm: 0.3,
      marginMm: 1,
      sheets: [sheet(60, 40), { ...sheet(50, 50, 'S2'), costRank: 1 }],
      items: [
        { id: 'd', qty: discs, circle: { radiusMm } },
        { id: 'p', qty: plates, outer: rectangleOutline(long, 8) },
      ],
    })
  it('every blank asked for is either placed or named as left over', () =>
    fc.assert(
      fc.property(orders, (order) => {
        const input = instance(order)
        const solution = packLayout(input, control)
        for (const item of input.items) {
          const lies = solution.placements.filter((place) => place.id === item.id)
          const left = solution.unplaced.find((entry) => entry.id === item.id)?.qty ?? 0
          expect(lies.length + left).toBe(item.qty)
          expect(new Set(lies.map((place) => place.copy)).size).toBe(lies.length)
        }
      }),
      { numRuns: 25 },
    ))
  it('its cut length is the sum of the edges, its use the area placed of the sheets begun', () =>
    fc.assert(
      fc.property(orders, (order) => {
        const solution = packLayout(instance(order), control)
        const [discs, plates] = ['d', 'p'].map((id) => solution.placements.filter((place) => place.id === id).length) as [number, number]
        const edges = discs * perimeterMm(circleOutline(order.radiusMm)) + plates * 2 * (order.long + 8)
        expect(solution.cutLengthMm).toBeCloseTo(edges, 6)
        const sheets = new Set(solution.placements.map((place) => place.sheet))
        const begun = [...sheets].reduce((sum, id) => sum + (id === 'S1' ? 2400 : 2500), 0)
        const area = discs * Math.PI * order.radiusMm ** 2 + plates * order.long * 8
        expect(solution.utilisation).toBeCloseTo(begun === 0 ? 0 : area / begun, 9)
      }),
      { numRuns: 25 },
    ))
  it('what stays and what was taken are no more than the sheet, and little is lost beside the kerf', () =>
    fc.assert(
      fc.property(orders, (order) => {
        const solution = packLayout(instance(order), control)
        for (const [id, whole] of [
          ['S1', 2400],
          ['S2', 2500],
        ] as const) {
          const here = solution.placements.filter((place) => place.sheet === id)
          if (here.length === 0) continue
          const taken = here.reduce((sum, place) => sum + (place.id === 'd' ? Math.PI * order.radiusMm ** 2 : order.long * 8), 0)
          const stays = solution.remnants
            .filter((remnant) => remnant.sheet === id)
            .reduce((sum, remnant) => sum + netAreaMm2(remnant.outer, remnant.holes), 0)
          expect(stays + taken).toBeLessThanOrEqual(whole + 0.5)
        }
      }),
      { numRuns: 20 },
    ))
  it('asked only where blanks lie, they may be cut there, and no more of them lie than after all was tried', () =>
    fc.assert(
      fc.property(orders, (order) => {
        const input = instance(order)
        const first = placementsOf(input, control)
        expect(findIllegal(input, first)).toEqual([])
        expect(packLayout(input, control).placements.length).toBeGreaterThanOrEqual(first.length)
      }),
      { numRuns: 10 },
    ))
  it('stops after as many blanks as it is allowed', () =>
    expect(
      placed({ iterations: 3, sheets: [sheet(90, 90)], items: [{ id: 'd', qty: 9, circle: { radiusMm: 5 } }] }).placements,
    ).toHaveLength(3))
})

describe('sheets and metals', () => {
  const disc = { id: 'd', circle: { radiusMm: 5 }, alloy: 'copper-c110', thicknessMm: 1 }
  it.each([
    ['another metal', { alloy: 'fine-silver', thicknessMm: 1 }, 0],
    ['the same metal, twenty hundredths thinner', { alloy: 'copper-c110', thicknessMm: 0.8 }, 0],
    ['the same metal, three hundredths thinner', { alloy: 'copper-c110', thicknessMm: 0.97 }, 1],
    ['a sheet nobody has measured', { alloy: 'copper-c110', thicknessMm: 0 }, 1],
    ['a sheet of unknown metal', { alloy: '', thicknessMm: 1 }, 1],
  ])('%s', (_, stock, count) => expect(placed({ sheets: [{ ...sheet(20, 20), ...stock }], items: [disc] }).placements).toHaveLength(count))
  it('of equal rank the smallest that takes it is cut first', () =>
    expect(placed({ sheets: [sheet(90, 90, 'large'), sheet(20, 20, 'small')], items: [disc] }).placements[0]?.sheet).toBe('small'))
  it('goes on to the next sheet when one is full', () => {
    const solution = placed({ marginMm: 1, sheets: [sheet(12, 12, 'a'), sheet(12.1, 12, 'b')], items: [{ ...disc, qty: 2 }] })
    expect(solution.placements.map((place) => place.sheet).sort()).toEqual(['a', 'b'])
  })
  it('takes one container for one sheet', () =>
    expect(placed({ container: { outer: rectangleOutline(20, 20) }, items: [disc] }).placements[0]?.sheet).toBe('container'))
})

describe('which metal a blank is cut from', () => {
  const order = (item: object, stock: object) =>
    placed({
      kerfMm: 0,
      marginMm: 0,
      sheets: [{ ...sheet(20, 20), ...stock }],
      items: [{ id: 'd', qty: 1, circle: { radiusMm: 5 }, ...item }],
    }).placements.length
  const copper = { alloy: 'copper-c110' }
  it.each([
    ['the same metal, as thick', { ...copper, thicknessMm: 1 }, { ...copper, thicknessMm: 1 }, 1],
    ['another metal', { ...copper, thicknessMm: 1 }, { alloy: 'sterling-925', thicknessMm: 1 }, 0],
    ['a sheet of no named metal', { ...copper, thicknessMm: 1 }, { alloy: '', thicknessMm: 1 }, 1],
    ['a blank of no named metal', { alloy: '', thicknessMm: 1 }, { ...copper, thicknessMm: 1 }, 1],
    ['a twentieth thinner', { ...copper, thicknessMm: 1 }, { ...copper, thicknessMm: 0.95 }, 1],
    ['a little more than a twentieth thinner', { ...copper, thicknessMm: 1 }, { ...copper, thicknessMm: 0.949 }, 0],
    ['thicker by as much', { ...copper, thicknessMm: 0.949 }, { ...copper, thicknessMm: 1 }, 0],
    ['a sheet of no known thickness', { ...copper, thicknessMm: 1 }, { ...copper, thicknessMm: 0 }, 1],
    ['a blank of no known thickness', { ...copper, thicknessMm: 0 }, { ...copper, thicknessMm: 1 }, 1],
  ])('%s', (_, item, stock, count) => expect(order(item, stock)).toBe(count))
})

describe('how many there are of a blank', () => {
  const input = read({ kerfMm: 0, marginMm: 0, sheets: [sheet(60, 20)], items: [{ id: 'd', qty: 2, circle: { radiusMm: 5 } }] })
  const at = (copy: number) =>
    findIllegal(input, [{ id: 'd', copy, sheet: 'S1', x: 10, y: 10, rotationDeg: 0 }]).map(({ reason }) => reason)
  it.each([
    [0, []],
    [1, []],
    [2, ['unknown']],
    [-1, ['unknown']],
  ])('copy %i of two: %j', (copy, reasons) => expect(at(copy)).toEqual(reasons))
})

describe('what stays of a sheet', () => {
  const whole = { id: 'S', outer: rectangleOutline(60, 40), holes: [] }
  it('a window gives back its middle, less a kerf inside', () => {
    const window = moved(rectangleOutline(16, 16), 20, 12)
    const remnants = remnantsOf(whole, [{ outer: moved(rectangleOutline(30, 30), 13, 5), holes: [window] }], 0.4)
    const middle = remnants.find((remnant) => netAreaMm2(remnant.outer, remnant.holes) < 300)
    expect(netAreaMm2(middle?.outer ?? [], [])).toBeCloseTo(15.2 ** 2, 1)
  })
  it('slivers nowhere wider than six millimetres are scrap', () => {
    const slivers = remnantsOf(whole, [{ outer: moved(rectangleOutline(60, 34.2), 0, 0), holes: [] }], 0.4)
    expect(slivers).toEqual([])
    expect(remnantsOf(whole, [{ outer: rectangleOutline(60, 32), holes: [] }], 0.4)).toHaveLength(1)
  })
  it('a cut right across leaves two pieces', () =>
    expect(remnantsOf(whole, [{ outer: moved(rectangleOutline(10, 40), 25, 0), holes: [] }], 0.4)).toHaveLength(2))
  it('nothing cut leaves the sheet as it was', () => {
    const [rest] = remnantsOf(whole, [], 0.4)
    expect(netAreaMm2(rest?.outer ?? [], rest?.holes ?? [])).toBeCloseTo(2400, 3)
  })
})

describe('what is no layout', () => {
  const good = { sheets: [sheet(20, 20)], items: [{ id: 'd', circle: { radiusMm: 5 } }] }
  it.each([
    ['neither circle nor outline', { ...good, items: [{ id: 'd' }] }],
    ['both at once', { ...good, items: [{ id: 'd', circle: { radiusMm: 5 }, outer: rectangleOutline(4, 4) }] }],
    [
      'an outline of two points',
      {
        ...good,
        items: [
          {
            id: 'd',
            outer: [
              [0, 0],
              [1, 1],
            ],
          },
        ],
      },
    ],
    ['a disc of no size', { ...good, items: [{ id: 'd', circle: { radiusMm: 0 } }] }],
    ['half a disc', { ...good, items: [{ id: 'd', qty: 0.5, circle: { radiusMm: 5 } }] }],
    ['a kerf below nothing', { ...good, kerfMm: -0.1 }],
    ['no sheet at all', { items: good.items }],
    ['sheets and a container', { ...good, container: { outer: rectangleOutline(4, 4) } }],
    ['a field nobody knows', { ...good, nest: true }],
  ])('%s is refused', (_, input) => expect(layoutInput.safeParse(input).success).toBe(false))
  it('names a placement of a blank or a sheet that is not there', () => {
    const place = { id: 'x', copy: 0, sheet: 'S1', x: 10, y: 10, rotationDeg: 0 }
    expect(findIllegal(read(good), [place])).toEqual([{ index: 0, reason: 'unknown' }])
    expect(findIllegal(read(good), [{ ...place, id: 'd', sheet: 'S9' }])).toEqual([{ index: 0, reason: 'unknown' }])
  })
})

describe('how well it packs', () => {
  const rows = (wide: number, high: number, radiusMm: number) => {
    // discs in rows shifted by half, the closest packing there is, without kerf or margin
    const step = Math.sqrt(3) * radiusMm
    const each = Math.floor(wide / (2 * radiusMm) + 1e-9)
    const shifted = Math.floor((wide - radiusMm) / (2 * radiusMm) + 1e-9)
    const lines = Math.floor((high - 2 * radiusMm) / step + 1e-9) + 1
    return Math.ceil(lines / 2) * each + Math.floor(lines / 2) * shifted
  }
  it.each([
    [100, 60, 5],
    [80, 80, 7],
    [120, 40, 4.5],
  ])('discs on %d by %d of radius %d: nine tenths of what shifted rows hold, at least', (wide, high, radiusMm) => {
    const solution = placed({
      kerfMm: 0,
      marginMm: 0,
      sheets: [sheet(wide, high)],
      items: [{ id: 'd', qty: rows(wide, high, radiusMm) + 4, circle: { radiusMm } }],
    })
    expect(solution.placements.length).toBeGreaterThanOrEqual(0.9 * rows(wide, high, radiusMm))
  })
  it('a mixed order takes up seven tenths of its sheet at least', () => {
    const solution = placed({
      kerfMm: 0.3,
      marginMm: 1,
      sheets: [sheet(70, 50)],
      iterations: 46,
      items: [
        { id: 'bar', qty: 4, outer: rectangleOutline(40, 5) },
        { id: 'tag', qty: 12, outer: rectangleOutline(14, 9) },
        { id: 'disc', qty: 30, circle: { radiusMm: 3 } },
      ],
    })
    expect(solution.utilisation).toBeGreaterThan(0.7)
  })
  it('the same seed gives the same layout, and another order may place no less than the first', () => {
    const input = (seed: number, iterations: number | null) => ({
      kerfMm: 0.3,
      marginMm: 1,
      seed,
      iterations,
      sheets: [sheet(50, 24)],
      items: Array.from({ length: 9 }, (_, i) => ({
        id: `p${i}`,
        outer: rectangleOutline(9 + ((i * 5) % 11), 6 + ((i * 3) % 7)),
      })),
    })
    const [one, again, plain] = [placed(input(3, null)), placed(input(3, null)), placed(input(3, 9))]
    expect(again.placements).toEqual(one.placements)
    expect(one.utilisation).toBeGreaterThanOrEqual(plain.utilisation - 1e-9)
    expect(one.iterations).toBeGreaterThan(plain.iterations)
  })
  it('angles that are held count from the rolling direction of the sheet', () => {
    const lie = (rollingDirectionDeg: number | null) =>
      placed({
        sheets: [{ ...sheet(80, 80), rollingDirectionDeg }],
        items: [{ id: 's', outer: rectangleOutline(50, 6), rotations: [0] }],
      }).placements[0]?.rotationDeg
    expect([lie(null), lie(0), lie(90)]).toEqual([0, 0, 90])
  })
  it('an objective that the search does not have is refused by name', () => {
    const read = layoutInput.safeParse({ objective: 'beauty', sheets: [sheet(10, 10)], items: [] })
    expect(read.error?.issues[0]?.path).toEqual(['objective'])
    expect(read.error?.issues[0]?.message).toContain('"length"')
  })
})
