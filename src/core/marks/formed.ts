import { dap } from '../forming/dapping/dap'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import { ALLOYS, type AlloyId } from '../metals'
import { footprint, type PlacedMark } from './placed'
import type { After } from './schema'

/** A mark once the blank is formed: how much longer and higher it has become, and its outline as it is looked at from straight above. */
export interface FormedMark {
  readonly order: number
  /** Along the foot of the mark, and up it, of 1. */
  readonly alongRatio: number
  readonly upRatio: number
  /** Its area on the metal over what was struck. */
  readonly areaRatio: number
  /** Of a dome: its corners from above. Of a bend: the same on the face rolled out flat. */
  readonly outline: Outline
  /** Of a bend: where it is round the ring, degrees from the middle of the strip. */
  readonly roundDeg?: number
}

/** What a formed face does to a place of the flat blank: where it goes, and how it stretches along two ways square to each other. */
interface Formed {
  readonly to: (at: Point) => Point
  /** Stretches at a place, and the way of the first of them, rad. */
  readonly stretch: (at: Point) => { readonly wayRad: number; readonly first: number; readonly second: number }
  readonly roundDeg?: (at: Point) => number
}

export type FormedFace = Formed | { readonly fault: string }

/** A blank is round where its box is square and it fills it as a disc does, to so much. */
const ROUND = 0.01

function between(nodes: readonly number[], values: readonly number[], at: number): number {
  const last = nodes.length - 1
  let i = 0
  while (i < last - 1 && (nodes[i + 1] as number) < at) i++
  const [from, to] = [nodes[i] as number, nodes[i + 1] as number]
  const share = (at - from) / (to - from)
  return (values[i] as number) + share * ((values[i + 1] as number) - (values[i] as number))
}

const RINGS = 40

function dome(
  outer: Outline,
  areaMm2: number,
  metal: { readonly alloy: AlloyId; readonly thicknessMm: number },
  after: Extract<After, { kind: 'dome' }>,
): FormedFace {
  const { minX, minY, maxX, maxY } = boundsOf(outer)
  const [x0, y0] = middleOf({ minX, minY, maxX, maxY })
  const radiusMm = (maxX - minX) / 2
  const isDisc = Math.abs(maxY - minY - 2 * radiusMm) < ROUND * radiusMm && Math.abs(areaMm2 / (Math.PI * radiusMm ** 2) - 1) < ROUND
  if (!isDisc) return { fault: 'only a round blank is followed into a dome' }
  const stages = after.punchesMm.map((punchMm) => ({ punchMm, annealBefore: false }))
  const last = dap({
    alloy: ALLOYS[metal.alloy],
    discMm: 2 * radiusMm,
    thicknessMm: metal.thicknessMm,
    strain: 0,
    stages,
    rings: RINGS,
  }).at(-1)
  if (!last) return { fault: 'a dome needs its punches' }
  const sphereMm = last.sphereRadiusMm
  const floorMm = sphereMm - last.heightMm
  // the profile tells of the middle of each ring; the pole and the rim are beyond the first and the last
  const flat = [0, ...last.profile.map((_, i) => (radiusMm * (i + 0.5)) / RINGS), radiusMm]
  const angles = [0, ...last.profile.map(({ rMm, zMm }) => Math.atan2(rMm, zMm + floorMm)), last.rimAngleRad]
  const angleAt = (flatMm: number) => between(flat, angles, flatMm)
  const half = radiusMm / RINGS / 2
  return {
    to: ([x, y]) => {
      const away = Math.hypot(x - x0, y - y0)
      const share = away < 1e-9 ? 1 : (sphereMm * Math.sin(angleAt(away))) / away
      return [x0 + share * (x - x0), y0 + share * (y - y0)]
    },
    stretch: ([x, y]) => {
      const away = Math.max(half, Math.min(radiusMm - half, Math.hypot(x - x0, y - y0)))
      return {
        wayRad: Math.atan2(y - y0, x - x0),
        first: (sphereMm * (angleAt(away + half) - angleAt(away - half))) / (2 * half),
        second: (sphereMm * Math.sin(angleAt(away))) / away,
      }
    },
  }
}

function bend(outer: Outline, thicknessMm: number, after: Extract<After, { kind: 'bend' }>, face: 'front' | 'back'): FormedFace {
  const box = boundsOf(outer)
  const [x0, y0] = middleOf(box)
  const isAlongX = box.maxX - box.minX >= box.maxY - box.minY
  const meanMm = after.insideDiameterMm / 2 + thicknessMm / 2
  // the face outside is longer than the middle of the metal, the one inside shorter
  const along = (meanMm + (face === after.outside ? 0.5 : -0.5) * thicknessMm) / meanMm
  return {
    to: ([x, y]) => (isAlongX ? [x0 + along * (x - x0), y] : [x, y0 + along * (y - y0)]),
    stretch: () => ({ wayRad: isAlongX ? 0 : Math.PI / 2, first: along, second: 1 }),
    roundDeg: ([x, y]) => ((isAlongX ? x - x0 : y - y0) / meanMm) * (180 / Math.PI),
  }
}

/** What forming does to one face of a blank; a fault where it cannot be followed. Source of domes: dap-fit; of bends: the kept middle length. */
export function formedFace(
  blank: { readonly outer: Outline; readonly areaMm2: number },
  metal: { readonly alloy?: AlloyId | undefined; readonly thicknessMm?: number | undefined },
  after: After,
  face: 'front' | 'back',
): FormedFace {
  const { alloy, thicknessMm } = metal
  if (thicknessMm === undefined) return { fault: 'what forming does to the marks needs the thickness' }
  if (after.kind === 'bend') return bend(blank.outer, thicknessMm, after, face)
  return alloy
    ? dome(blank.outer, blank.areaMm2, { alloy, thicknessMm }, after)
    : { fault: 'what doming does to the marks needs the metal' }
}

/** How a mark comes out of the forming. */
export function formedMark(mark: PlacedMark, { to, stretch, roundDeg }: Formed): FormedMark {
  const outline = footprint(mark)
  const middle = middleOf(boundsOf(outline))
  const { wayRad, first, second } = stretch(middle)
  const turnRad = (mark.turnDeg * Math.PI) / 180
  // a line at an angle to the two ways becomes longer by both
  const along = (off: number) => Math.hypot(first * Math.cos(off), second * Math.sin(off))
  return {
    order: mark.order,
    alongRatio: along(turnRad - wayRad),
    upRatio: along(turnRad + Math.PI / 2 - wayRad),
    areaRatio: first * second,
    outline: outline.map(to),
    ...(roundDeg ? { roundDeg: roundDeg(middle) } : {}),
  }
}
