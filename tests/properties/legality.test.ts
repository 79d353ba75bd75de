import fc from 'fast-check'
import polygonClipping from 'polygon-clipping'
import { describe, expect, it } from 'vitest'
import { findIllegal, type LayoutInput, type Placement, packLayout } from '@/core/layout'

type Ring = [number, number][]

/** Runs of the whole suite; every one draws layouts of its own, the seed is printed where one fails. */
const RUNS = Number(process.env.LEGALITY_RUNS ?? 3_000)

/**
 * The same question by other means: blanks and sheet as polygons of another library, clearances by sampled distance. It says by how much a
 * placement is wrong: metal shared or off the sheet in mm², and how much too near in mm.
 */
/** That library loses its way where corners differ by floating point only. */
const rounded = (value: number) => Math.round(value * 1e6) / 1e6

function turned(ring: Ring, place: Placement): Ring {
  const [c, s] = [Math.cos((place.rotationDeg * Math.PI) / 180), Math.sin((place.rotationDeg * Math.PI) / 180)]
  return ring.map(([x, y]) => [rounded(c * x - s * y + place.x), rounded(s * x + c * y + place.y)])
}

function ringArea(ring: Ring): number {
  return Math.abs(
    ring.reduce((sum, [x, y], i) => {
      const [a, b] = ring[(i + 1) % ring.length] ?? [0, 0]
      return sum + x * b - a * y
    }, 0) / 2,
  )
}
const areaOf = (polygons: Ring[][]) =>
  polygons.reduce((sum, [outer, ...holes]) => sum + ringArea(outer ?? []) - holes.reduce((h, hole) => h + ringArea(hole), 0), 0)

/** Least distance between two polygons' edges: corners against edges both ways, enough where nothing crosses. */
function ringGap(first: Ring, second: Ring): number {
  const toEdge = ([px, py]: [number, number], [ax, ay]: [number, number], [bx, by]: [number, number]) => {
    const [dx, dy] = [bx - ax, by - ay]
    const t = Math.max(0, Math.min(1, ((px - ax) * dx + (py - ay) * dy) / (dx * dx + dy * dy || 1)))
    return Math.hypot(px - ax - t * dx, py - ay - t * dy)
  }
  const oneWay = (from: Ring, onto: Ring) =>
    Math.min(...from.flatMap((p) => onto.map((a, i) => toEdge(p, a, onto[(i + 1) % onto.length] ?? a))))
  return Math.min(oneWay(first, second), oneWay(second, first))
}

interface Wrong {
  readonly areaMm2: number
  readonly tooNearMm: number
}

function wrongOf(input: LayoutInput, placements: readonly Placement[]): Wrong {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const [sheet] = input.sheets ?? []
  if (!sheet) throw new Error('no sheet')
  const metal = [sheet.outer as Ring, ...(sheet.holes as Ring[])]
  const blanks = placements.map((place) => {
    const item = items.get(place.id)
    if (!item?.outer) throw new Error('no outline')
    return [item.outer as Ring, ...(item.holes as Ring[])].map((ring) => turned(ring, place))
  })
  let [areaMm2, tooNearMm] = [0, 0]
  blanks.forEach((blank, i) => {
    areaMm2 = Math.max(areaMm2, areaOf(polygonClipping.difference([blank], [metal]) as Ring[][]))
    tooNearMm = Math.max(tooNearMm, input.marginMm - Math.min(...blank.flatMap((ring) => metal.map((edge) => ringGap(ring, edge)))))
    for (const other of blanks.slice(0, i)) {
      areaMm2 = Math.max(areaMm2, areaOf(polygonClipping.intersection([blank], [other]) as Ring[][]))
      tooNearMm = Math.max(tooNearMm, input.kerfMm - Math.min(...blank.flatMap((ring) => other.map((edge) => ringGap(ring, edge)))))
    }
  })
  return { areaMm2, tooNearMm }
}

const rectangle = (w: number, h: number): Ring => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const SHEETS: readonly (readonly Ring[])[] = [
  [rectangle(60, 40)],
  [
    [
      [0, 0],
      [60, 0],
      [60, 18],
      [24, 18],
      [24, 40],
      [0, 40],
    ],
  ],
  [
    rectangle(60, 40),
    [
      [20, 12],
      [20, 28],
      [36, 28],
      [36, 12],
    ],
  ],
  [
    [
      [0, 0],
      [50, 6],
      [62, 30],
      [30, 44],
      [4, 36],
    ],
  ],
]
const SHAPES: readonly (readonly Ring[])[] = [
  [rectangle(12, 8)],
  [rectangle(20, 20)],
  [
    [
      [0, 0],
      [14, 0],
      [7, 11],
    ],
  ],
  [
    [
      [0, 0],
      [16, 0],
      [16, 5],
      [6, 5],
      [6, 14],
      [0, 14],
    ],
  ],
  [
    rectangle(22, 16),
    [
      [4, 4],
      [4, 12],
      [18, 12],
      [18, 4],
    ],
  ],
  [
    [
      [0, 0],
      [10, 2],
      [12, 12],
      [2, 10],
    ],
  ],
]
/** Places on a coarse grid touch and coincide often; fine ones hardly ever. */
const coarse = fc.integer({ min: -4, max: 16 }).map((n) => n * 4)
const fine = fc.double({ min: -10, max: 60, noNaN: true })
const place = fc.record({
  shape: fc.nat({ max: SHAPES.length - 1 }),
  x: fc.oneof(coarse, fine),
  y: fc.oneof(coarse, fine),
  rotationDeg: fc.oneof(fc.constantFrom(0, 90, 180, 270), fc.double({ min: 0, max: 360, noNaN: true })),
})
const layout = fc.record({
  sheet: fc.nat({ max: SHEETS.length - 1 }),
  kerfMm: fc.constantFrom(0, 0, 0.3, 1),
  marginMm: fc.constantFrom(0, 0, 1, 2.5),
  places: fc.array(place, { minLength: 1, maxLength: 4 }),
})

function instanceOf({
  sheet,
  kerfMm,
  marginMm,
  places,
}: {
  sheet: number
  kerfMm: number
  marginMm: number
  places: readonly { shape: number }[]
}): LayoutInput {
  const [outer = [], ...holes] = SHEETS[sheet] ?? []
  return {
    name: '',
    objective: 'place',
    kerfMm,
    marginMm,
    seconds: 1,
    iterations: null,
    seed: 1,
    sheets: [{ id: 's', outer, holes: [...holes], alloy: '', thicknessMm: 0, rollingDirectionDeg: null, costRank: 0 }],
    items: [...new Set(places.map((item) => item.shape))].map((shape) => {
      const [own = [], ...windows] = SHAPES[shape] ?? []
      return { id: `shape-${shape}`, qty: 9, outer: own, holes: [...windows], alloy: '', thicknessMm: 0, rotations: [0, 90] }
    }),
  }
}

/** Below these a difference is the arithmetic's, not metal: a thousandth of a millimetre along an edge of a blank. */
const SURE = { areaMm2: 0.09, tooNearMm: 0.0021 }
const SURELY_RIGHT = { areaMm2: 1e-9, tooNearMm: 1e-9 }

describe('what may be cut, asked of another library', () => {
  it(`${RUNS} layouts placed at random are legal where that one finds no metal shared or off the sheet, and illegal where it does`, () => {
    let [legal, illegal] = [0, 0]
    fc.assert(
      fc.property(layout, (drawn) => {
        const input = instanceOf(drawn)
        const placements = drawn.places.map((item, copy) => ({
          id: `shape-${item.shape}`,
          copy,
          sheet: 's',
          x: item.x,
          y: item.y,
          rotationDeg: item.rotationDeg,
        }))
        const wrong = wrongOf(input, placements)
        const found = findIllegal(input, placements)
        if (wrong.areaMm2 > SURE.areaMm2 || wrong.tooNearMm > SURE.tooNearMm) {
          illegal++
          expect(found, JSON.stringify({ drawn, wrong })).not.toEqual([])
        }
        if (wrong.areaMm2 < SURELY_RIGHT.areaMm2 && wrong.tooNearMm < SURELY_RIGHT.tooNearMm) {
          legal++
          expect(found, JSON.stringify({ drawn, wrong })).toEqual([])
        }
      }),
      { numRuns: RUNS },
    )
    expect(legal).toBeGreaterThan(RUNS / 100)
    expect(illegal).toBeGreaterThan(RUNS / 4)
  }, 240_000)
  it('what the packer places is legal there too, margin and kerf of nothing included', () => {
    let placed = 0
    fc.assert(
      fc.property(layout, (drawn) => {
        const input = instanceOf(drawn)
        const { placements } = packLayout(
          { ...input, seconds: 0.04, items: input.items.map((item) => ({ ...item, qty: 3 })) },
          { shouldStop: () => false, elapsedS: () => 0 },
        )
        placed += placements.length
        const wrong = wrongOf(input, placements)
        expect(wrong.areaMm2).toBeLessThan(SURE.areaMm2)
        expect(wrong.tooNearMm).toBeLessThan(SURE.tooNearMm)
        expect(findIllegal(input, placements)).toEqual([])
      }),
      { numRuns: Math.ceil(RUNS / 100) },
    )
    expect(placed).toBeGreaterThan(RUNS / 50)
  }, 240_000)
})

const at = (x: number, y: number, copy = 0, id = 'shape-0', rotationDeg = 0): Placement => ({ id, copy, sheet: 's', x, y, rotationDeg })
const bare = (shapes: readonly number[], sheet = 0) =>
  instanceOf({ sheet, kerfMm: 0, marginMm: 0, places: shapes.map((shape) => ({ shape })) })
const reasons = (input: LayoutInput, placements: readonly Placement[]) => findIllegal(input, placements).map((item) => item.reason)

describe('at the limit', () => {
  it('a blank in the very corner is on the sheet; the same one outside along the edge is not', () => {
    expect(reasons(bare([0]), [at(0, 0)])).toEqual([])
    expect(reasons(bare([0]), [at(60, 0)])).toEqual(['off-sheet'])
    expect(reasons(bare([0]), [at(-12, 0)])).toEqual(['off-sheet'])
    expect(reasons(bare([0]), [at(0, -8)])).toEqual(['off-sheet'])
  })
  it('two in one place share their metal, two side by side do not', () => {
    expect(reasons(bare([0]), [at(8, 8), at(8, 8, 1)])).toEqual(['overlap'])
    expect(reasons(bare([0]), [at(8, 8), at(20, 8, 1)])).toEqual([])
    expect(reasons(bare([0]), [at(8, 8), at(19.99, 8, 1)])).toEqual(['overlap'])
  })
  it('a frame may lie round a hole of the sheet, and a blank in the frame’s window', () => {
    expect(reasons(bare([4], 2), [{ ...at(17, 12, 0, 'shape-4'), y: 12 }])).toEqual(['off-sheet'])
    expect(reasons(bare([4, 0]), [at(4, 4, 0, 'shape-4'), at(9, 8.1, 0, 'shape-0')])).toEqual(['overlap'])
    const small: LayoutInput = {
      ...bare([4]),
      items: [...bare([4]).items, { id: 'small', qty: 1, outer: rectangle(6, 4), holes: [], alloy: '', thicknessMm: 0, rotations: [0] }],
    }
    expect(reasons(small, [at(4, 4, 0, 'shape-4'), at(10, 9, 0, 'small')])).toEqual([])
  })
  it('a copy is there once, and only as many as there are to cut', () => {
    expect(reasons(bare([0]), [at(0, 0), at(30, 20)])).toEqual(['twice'])
    expect(reasons(bare([0]), [at(0, 0, 9)])).toEqual(['unknown'])
    expect(reasons(bare([0]), [at(0, 0, -1)])).toEqual(['unknown'])
  })
  it('what another job has there is taken, a kerf round it too', () => {
    const base = bare([0])
    const sheets = base.sheets?.map((sheet) => ({ ...sheet, taken: [{ outer: rectangle(20, 20), holes: [] }] }))
    expect(reasons({ ...base, sheets }, [at(10, 10)])).toEqual(['taken'])
    expect(reasons({ ...base, sheets }, [at(20, 0)])).toEqual([])
    expect(reasons({ ...base, sheets, kerfMm: 0.3 }, [at(20, 0)])).toEqual(['taken'])
  })
})
