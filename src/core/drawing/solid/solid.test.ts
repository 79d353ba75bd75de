import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { meshVolumeMm3 } from '../../../../tests/support/mesh-volume'
import { circleHole, circleOutline, rectangleOutline } from '../../geometry/outline'
import { triangulate } from '../../geometry/triangulate'
import { meshOf, piecesMesh } from './mesh'
import type { Mesh, Solid, SolidPart } from './solid'

const strip = (widthMm: number, thicknessMm: number) =>
  rectangleOutline(widthMm, thicknessMm).map(([x, y]) => [x - widthMm / 2, y - thicknessMm / 2] as const)

const RING: Solid = { kind: 'swept', bends: [{ radiusMm: 9, turnRad: 2 * Math.PI }], section: strip(4, 1.2) }
const TUBE: Solid = { kind: 'swept', bends: [{ radiusMm: 33, turnRad: 2 * Math.PI }], section: strip(13, 0.7), curlRad: 1.9 * Math.PI }
const DOME: Solid = { kind: 'cap', discMm: 30, halfAngleRad: 1.1, thicknessMm: 0.6, facing: 1 }
const CONE: Solid = { kind: 'cone', nearMm: 8, farMm: 30, sectorRad: 2.4, thicknessMm: 0.5 }
const BOX: Solid = { kind: 'box', lengthMm: 30, widthMm: 20, wallMm: 8, thicknessMm: 0.8 }
const STAR: Solid = { kind: 'star', rays: 6, reachMm: 20, liftRad: 0.5, thicknessMm: 0.4 }
const PLATE: Solid = { kind: 'plate', outline: rectangleOutline(30, 20), holes: [circleHole(3, [10, 10])], thicknessMm: 1 }
const BALL: Solid = {
  kind: 'turned',
  profile: circleOutline(4)
    .filter(([x]) => x >= 0)
    .sort((a, b) => a[1] - b[1]),
}

const PRESSED: Solid = {
  kind: 'pressed',
  outline: rectangleOutline(40, 30).map(([x, y]) => [x - 20, y - 15] as const),
  impression: circleOutline(11),
  depthMm: 4,
  thicknessMm: 0.7,
}

const ALL = { RING, TUBE, DOME, CONE, BOX, STAR, PLATE, BALL, PRESSED }

function extents({ positions }: Mesh): [number, number, number] {
  const along = (axis: number) => positions.filter((_, i) => i % 3 === axis)
  const spread = (axis: number) => Math.max(...along(axis)) - Math.min(...along(axis))
  return [spread(0), spread(1), spread(2)]
}

/** Every edge is used once each way: no gap, nothing inside out. */
function isClosed({ triangles }: Mesh): boolean {
  const edges = new Map<string, number>()
  for (let i = 0; i < triangles.length; i += 3)
    for (const [a, b] of [
      [triangles[i], triangles[i + 1]],
      [triangles[i + 1], triangles[i + 2]],
      [triangles[i + 2], triangles[i]],
    ])
      edges.set(`${a}>${b}`, (edges.get(`${a}>${b}`) ?? 0) + 1)
  return [...edges].every(([edge, times]) => times === 1 && edges.get(edge.split('>').reverse().join('>')) === 1)
}

describe('solids', () => {
  it.each(Object.entries(ALL))('%s is a closed surface, outside out, at every stage of forming', (_, solid) => {
    for (const formed of [0, 0.3, 0.7, 1]) {
      const mesh = meshOf(solid, formed)
      expect(isClosed(mesh)).toBe(true)
      expect(meshVolumeMm3(mesh)).toBeGreaterThan(0)
      expect(mesh.positions.every(Number.isFinite)).toBe(true)
    }
  })

  it.each([
    ['RING', RING, 2 * Math.PI * 9 * 4 * 1.2],
    ['TUBE', TUBE, 2 * Math.PI * 33 * 13 * 0.7],
    ['DOME', DOME, Math.PI * 15 ** 2 * 0.6],
    ['CONE', CONE, (2.4 / 2) * (30 ** 2 - 8 ** 2) * 0.5],
    ['STAR', STAR, 6 * 20 ** 2 * Math.tan(Math.PI / 6) * 0.4],
    ['BOX', BOX, (30 * 20 + 2 * 8 * 30 + 2 * 8 * 20) * 0.8],
  ])('%s keeps the volume of its blank while it is formed (Pappus; area of a cap, a sector, a polygon)', (_, solid, blankMm3) => {
    for (const formed of [0, 0.25, 0.6, 1]) expect(Math.abs(meshVolumeMm3(meshOf(solid, formed)) / blankMm3 - 1)).toBeLessThan(0.02)
  })

  it('a ring unrolls into its cut length, width and thickness', () => {
    const [x, y, z] = extents(meshOf(RING, 0))
    expect(x).toBeCloseTo(2 * Math.PI * 9, 6)
    expect(y).toBeCloseTo(1.2, 9)
    expect(z).toBeCloseTo(4, 9)
  })

  it('a finished ring is its outside across', () => expect(extents(meshOf(RING, 1))[0]).toBeCloseTo(2 * 9.6, 1))

  it('a dome at half angle π/2 is a half sphere: as high as half its width', () => {
    const [x, , z] = extents(meshOf({ ...DOME, halfAngleRad: Math.PI / 2 }, 1))
    expect(z / (x / 2)).toBeCloseTo(1, 1)
  })

  it('a cone closes: its rim is a circle of slant times sector over a full turn', () =>
    expect(extents(meshOf(CONE, 1))[0] / 2).toBeCloseTo((30 * 2.4) / (2 * Math.PI), 0))

  it('no face of a folded star is stretched, however far it is lifted', () => {
    const sides = (formed: number) => {
      const { positions } = meshOf({ ...STAR, thicknessMm: 1e-6 }, formed)
      const at = (i: number) => positions.slice(3 * i, 3 * i + 3)
      const apart = (a: number, b: number) => Math.hypot(...at(a).map((value, axis) => value - (at(b)[axis] ?? 0)))
      return [apart(0, 1), apart(1, 2), apart(2, 0)]
    }
    for (const formed of [0.2, 0.6, 1]) for (const [i, side] of sides(formed).entries()) expect(side).toBeCloseTo(sides(0)[i] ?? 0, 5)
  })

  it('parts stand where they are put', () => {
    const mesh = piecesMesh(
      [
        { solid: PLATE, at: [0, 0, 0] },
        { solid: PLATE, at: [0, 0, 5] },
      ],
      1,
    )
    expect(extents(mesh)[2]).toBeCloseTo(6, 9)
    expect(meshVolumeMm3(mesh)).toBeCloseTo(2 * (600 - meshHole()), 6)
  })
})

function meshHole(): number {
  return 600 - meshVolumeMm3(meshOf(PLATE, 1))
}

it('triangles of an outline with a hole cover its net area (shoelace)', () =>
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 9, noNaN: true }), (radius) => {
      const hole = circleHole(radius, [10, 10])
      const { points, triangles } = triangulate(rectangleOutline(20, 20), [hole])
      let area = 0
      for (let i = 0; i < triangles.length; i += 3) {
        const [p, q, r] = [0, 1, 2].map((k) => points[triangles[i + k] ?? 0] ?? [0, 0])
        if (p && q && r) area += ((q[0] - p[0]) * (r[1] - p[1]) - (r[0] - p[0]) * (q[1] - p[1])) / 2
      }
      const holeArea = Math.abs(
        hole.reduce(
          (sum, [x, y], i) => sum + x * (hole[(i + 1) % hole.length]?.[1] ?? 0) - (hole[(i + 1) % hole.length]?.[0] ?? 0) * y,
          0,
        ) / 2,
      )
      expect(area).toBeCloseTo(400 - holeArea, 6)
    }),
    { numRuns: 50 },
  ))

describe('a strip that leaves a plate and bends up from it', () => {
  const bends = [{ radiusMm: 0.6, turnRad: Math.PI / 2 }, { straightMm: 4 }]
  const section = [
    [-1, -0.25],
    [1, -0.25],
    [1, 0.25],
    [-1, 0.25],
  ] as const
  const strip = (along: readonly [number, number]): SolidPart => ({ solid: { kind: 'swept', bends, section }, at: [0, 0, 0], along })
  const box = (parts: readonly SolidPart[], formed: number) => {
    const { positions } = piecesMesh(parts, formed)
    const axis = (k: number) => positions.filter((_, i) => i % 3 === k)
    return [0, 1, 2].map((k) => [Math.min(...axis(k)), Math.max(...axis(k))] as const)
  }
  it('lies flat with the plate before it is bent, along the way it leaves', () => {
    const [x, y, z] = box([strip([1, 0])], 0)
    expect(x?.[1]).toBeCloseTo(4 + 0.3 * Math.PI, 6)
    expect(y?.[1]).toBeCloseTo(1, 6)
    expect(z?.[1]).toBeCloseTo(0.25, 6)
  })
  it('stands up when it is bent', () => {
    const [x, , z] = box([strip([1, 0])], 1)
    expect(z?.[1]).toBeCloseTo(4.6, 1)
    expect(x?.[1]).toBeCloseTo(0.85, 1)
  })
  it.each([0, 1, 2.2, -2.9])('turned by %f it is as high, as heavy and as far out', (angle) => {
    const turned = strip([Math.cos(angle), Math.sin(angle)])
    expect(meshVolumeMm3(piecesMesh([turned], 1))).toBeCloseTo(meshVolumeMm3(piecesMesh([strip([1, 0])], 1)), 9)
    const [, , z] = box([turned], 1)
    expect(z?.[1]).toBeCloseTo(box([strip([1, 0])], 1)[2]?.[1] ?? 0, 9)
    const flat = piecesMesh([turned], 0).positions
    const reach = Math.max(...flat.map((x, i) => (i % 3 === 0 ? x * Math.cos(angle) + (flat[i + 1] ?? 0) * Math.sin(angle) : 0)))
    expect(reach).toBeCloseTo(4 + 0.3 * Math.PI, 6)
  })
})

describe('an impression', () => {
  it('has the volume of its sheet, however deep (every point goes straight up)', () => {
    for (const depthMm of [0.5, 4, 9]) expect(meshVolumeMm3(meshOf({ ...PRESSED, depthMm }, 1))).toBeCloseTo(40 * 30 * 0.7, 6)
  })
  it('is as deep as it is said, in its middle and nowhere else', () => {
    const { positions } = meshOf(PRESSED, 1)
    const heights = positions.filter((_, i) => i % 3 === 2)
    expect(Math.max(...heights)).toBeCloseTo(4.35, 9)
    expect(Math.min(...heights)).toBeCloseTo(-0.35, 9)
    for (let i = 0; i < positions.length; i += 3)
      if (Math.hypot(positions[i] ?? 0, positions[i + 1] ?? 0) > 11.01) expect(Math.abs(positions[i + 2] ?? 0)).toBeCloseTo(0.35, 9)
  })
  it('is flat before it is pressed', () =>
    expect(Math.max(...meshOf(PRESSED, 0).positions.filter((_, i) => i % 3 === 2))).toBeCloseTo(0.35, 9))
})
