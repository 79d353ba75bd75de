import { describe, expect, it } from 'vitest'
import { meshVolumeMm3 } from '../../../tests/support/mesh-volume'
import { cross, type Frame, outOf, type Place, type Vector } from '../drawing/place'
import { planOf, sectionOf } from '../drawing/solid/slice'
import { AS_MADE, placed, standingMesh, standOn, turned } from '../drawing/solid/stand'
import type { FormResult } from '../forms/contract'
import { findForm } from '../forms/registry'
import { solidsOf } from '../forms/solids-of'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { assemblyViews, type DrawnPart, standingBodies } from './assembly-views'
import { type StandingJoint, standTogether } from './stand-together'

function resultOf(form: string, input: Readonly<Record<string, unknown>>): FormResult {
  const run = findForm(form)?.run(input)
  if (!run?.ok) throw new Error(JSON.stringify(run))
  return run.result
}

function drawn(id: string, form: string, input: Readonly<Record<string, unknown>>): DrawnPart {
  const result = resultOf(form, input)
  return { id, name: id, places: result.places ?? [], solids: solidsOf(result) }
}

const BEZEL = { shape: 'oval', stoneLengthMm: 15, stoneWidthMm: 11, stoneHeightMm: 4, turnMm: 1.2, alloy: 'fine-silver', thicknessMm: 0.3 }
const PLATE = { shape: 'oval', lengthMm: 21, widthMm: 17, alloy: 'sterling-925', thicknessMm: 0.8 }
const RING = { insideDiameterMm: 17, alloy: 'sterling-925', thicknessMm: 1.5, widthMm: 4 }
const FOOT: StandingJoint = { id: 'foot', small: { thing: 'bezel', place: 'foot' }, target: { thing: 'plate', place: 'face' } }
const ON_RING: StandingJoint = { id: 'on-ring', small: { thing: 'plate', place: 'back' }, target: { thing: 'ring', place: 'outside' } }

const length = ([x, y, z]: Vector) => Math.hypot(x, y, z)
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

describe('places', () => {
  const all: readonly (readonly [string, Place])[] = [
    ['plate', { ...PLATE, holeMm: 1.5, holeCount: 1 }],
    ['bezel', BEZEL],
    ['ring-band', RING],
  ].flatMap(([form, input]) =>
    (resultOf(form as string, input as never).places ?? []).map((place) => [`${form} ${place.id}`, place] as const),
  )
  it.each(all)(
    '%s stands in a frame of right angles, and is as long or as large as it says',
    (_, { finishedFrame, lengthMm, areaMm2, thicknessMm }) => {
      const { x, y } = finishedFrame
      for (const direction of [x, y, outOf(finishedFrame)]) expect(length(direction)).toBeCloseTo(1, 9)
      expect(dot(x, y)).toBeCloseTo(0, 9)
      expect(lengthMm ?? areaMm2).toBeGreaterThan(0)
      expect(thicknessMm).toBeGreaterThan(0)
    },
  )
  it('are those a smith names', () => {
    const ids = (form: string, input: object) => (resultOf(form, input as never).places ?? []).map(({ id }) => id)
    expect(ids('bezel', BEZEL)).toEqual(['foot', 'lip', 'inside', 'outside', 'seam'])
    expect(ids('ring-band', RING)).toEqual(['outside', 'inside', 'seam'])
    expect(ids('plate', { ...PLATE, holeMm: 1.5, holeCount: 1 })).toEqual(['face', 'back', 'edge', 'hole-1'])
  })
  it('the foot of a bezel is as long as the middle of its wall: for a round one π·(stone + wall) (closed form)', () => {
    const round = resultOf('bezel', { ...BEZEL, shape: 'oval', stoneLengthMm: 10, stoneWidthMm: 10 })
    expect(round.places?.find(({ id }) => id === 'foot')?.lengthMm).toBeCloseTo(Math.PI * 10.3, 1)
  })
})

describe('a part that stands on another', () => {
  const up: Frame = { origin: [3, -2, 1], x: [1, 0, 0], y: [0, 1, 0] }
  const down: Frame = { origin: [0, 0, -0.5], x: [1, 0, 0], y: [0, -1, 0] }
  it('meets it face to face: the places coincide, and what points out of the one points into the other', () => {
    const stand = standOn(down, up, { uMm: 2, vMm: 1, angleRad: 0.7, offsetMm: 0.25 })
    expect(placed(stand, down.origin)).toEqual([5, -1, 1.25].map((value) => expect.closeTo(value, 9)))
    expect(turned(stand, outOf(down))).toEqual([0, 0, -1].map((value) => expect.closeTo(value, 9)))
  })
  it('is turned and shifted, and neither stretched nor mirrored', () => {
    const { rows } = standOn(down, up, { angleRad: 1.1 })
    for (const row of rows) expect(length(row)).toBeCloseTo(1, 9)
    expect(dot(cross(rows[0], rows[1]), rows[2])).toBeCloseTo(1, 9)
  })
})

describe('a bezel on its plate', () => {
  const parts = [drawn('plate', 'plate', PLATE), drawn('bezel', 'bezel', BEZEL)]
  const { stands, undrawn } = standTogether(parts, [FOOT])
  const meshOf = (i: number) => standingMesh(parts[i]?.solids ?? [], stands.get(parts[i]?.id ?? '') ?? AS_MADE)
  const heightMm = resultOf('bezel', BEZEL).results.heightMm?.value ?? 0
  it('stands on its face, foot down, in the middle', () => {
    expect(undrawn).toEqual([])
    const wall = boundsOf(sectionOf(meshOf(1)).flatMap(({ outer }) => outer))
    expect(wall.minY).toBeCloseTo(0.4, 6)
    expect(wall.maxY).toBeCloseTo(0.4 + heightMm, 6)
    expect(wall.minX).toBeCloseTo(-7.8, 1)
    expect(wall.maxX).toBeCloseTo(7.8, 1)
  })
  it('in section it is two walls on a bar, as thick and as high as they are', () => {
    const [plate, wall] = [sectionOf(meshOf(0)), sectionOf(meshOf(1))]
    const areaOf = (regions: typeof plate) => regions.reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0)
    expect(plate).toHaveLength(1)
    expect(areaOf(plate)).toBeCloseTo(21 * 0.8, 2)
    expect(wall).toHaveLength(2)
    expect(areaOf(wall)).toBeCloseTo(2 * 0.3 * heightMm, 1)
  })
  it('from above the wall is a ring as wide as the metal, round the stone', () => {
    const [region] = planOf(meshOf(1))
    const areaMm2 = region ? netAreaMm2(region.outer, region.holes) : 0
    const footMm = parts[1]?.places.find(({ id }) => id === 'foot')?.lengthMm ?? 0
    expect(areaMm2).toBeCloseTo(footMm * 0.3, 0)
    expect(region?.holes).toHaveLength(1)
  })
  it('is drawn whole and taken apart: apart, the wall stands off by as much', () => {
    const top = (apartMm: number) => {
      const [section] = assemblyViews(parts, [FOOT], apartMm)
      const shapes = section?.shapes.flatMap((shape) => (shape.kind === 'region' ? [boundsOf(shape.outer).minY] : [])) ?? []
      return Math.max(...shapes)
    }
    expect(top(0)).toBeCloseTo(0.4, 6)
    expect(top(6)).toBeCloseTo(6.4, 6)
    expect(assemblyViews(parts, [FOOT]).map(({ notes }) => notes.map(({ text }) => text))).toEqual([
      ['plate', 'bezel'],
      ['plate', 'bezel'],
    ])
  })
  it('goes with its plate onto a ring: the plate’s back on the outside of the band', () => {
    const all = [drawn('ring', 'ring-band', RING), ...parts]
    const standing = standTogether(all, [FOOT, ON_RING])
    expect(standing.undrawn).toEqual([])
    const lip = parts[1]?.places.find(({ id }) => id === 'lip')?.finishedFrame.origin ?? [0, 0, 0]
    const at = placed(standing.stands.get('bezel') ?? AS_MADE, lip)
    const insideMm = (resultOf('ring-band', RING).results.insideDiameterMm?.value ?? 0) / 2
    expect(at[1]).toBeCloseTo(insideMm + 1.5 + 0.8 + heightMm, 6)
  })
  it('a joint to a place that is not there is named, and the part stays where it was made', () => {
    const { stands: as, undrawn: named } = standTogether(parts, [{ ...FOOT, target: { thing: 'plate', place: 'lid' } }])
    expect(named).toEqual(['foot'])
    expect(as.get('bezel')).toEqual(AS_MADE)
  })
  it('parts that stand on one another in a circle are named, not followed for ever', () => {
    const round = [FOOT, { id: 'back', small: { thing: 'plate', place: 'back' }, target: { thing: 'bezel', place: 'lip' } }]
    expect(standTogether(parts, round).undrawn).toEqual(['foot', 'back'])
  })
})

describe('a stone in its setting', () => {
  const { holds = [] } = resultOf('bezel', { ...BEZEL, stepMm: 0.5 })
  const bezel: DrawnPart = { ...drawn('bezel', 'bezel', { ...BEZEL, stepMm: 0.5 }), holds: { id: 'stone', name: 'Stone', solids: holds } }
  const plate = drawn('plate', 'plate', PLATE)
  const heights = (apartMm: number) => {
    const { bodies } = standingBodies([bezel, plate], [FOOT], apartMm)
    return Object.fromEntries(
      bodies.map(({ id, mesh }) => {
        const zs = mesh.positions.filter((_, i) => i % 3 === 2)
        return [id, [Math.min(...zs), Math.max(...zs)] as const]
      }),
    )
  }
  it('has the volume of its wall and a half ellipsoid: π·a·b·(u + 2/3·(h − u)) (closed form)', () => {
    const mesh = standingMesh(holds, AS_MADE)
    const asked = Math.PI * 7.5 * 5.5 * (1.2 + (2 / 3) * (4 - 1.2))
    expect(meshVolumeMm3(mesh) / asked).toBeGreaterThan(0.98)
    expect(meshVolumeMm3(mesh) / asked).toBeLessThanOrEqual(1)
  })
  it('lies on its bearing, over the plate, and stands out of the wall', () => {
    const { stone, bezel: wall, plate: under } = heights(0)
    expect(stone?.[0]).toBeCloseTo((wall?.[0] ?? 0) + 0.5, 6)
    expect(stone?.[1]).toBeCloseTo((wall?.[0] ?? 0) + 4.5, 6)
    expect(wall?.[0]).toBeCloseTo(under?.[1] ?? 0, 6)
  })
  it('is lifted out of it where the piece is taken apart', () => {
    const [together, apart] = [heights(0), heights(6)]
    const over = (of: typeof apart) => (of.stone?.[0] ?? 0) - (of.bezel?.[0] ?? 0)
    expect(over(apart) - over(together)).toBeCloseTo(6, 6)
  })
})
