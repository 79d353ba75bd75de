import type { Frame, Place, Vector } from '../../drawing/place'
import { netAreaMm2, perimeterMm } from '../../geometry/outline'
import type { Outline } from '../../geometry/point'

const X: Vector = [1, 0, 0]
const Y: Vector = [0, 1, 0]
const DOWN_Y: Vector = [0, -1, 0]

/** Level at a height, its metal under it or, turned over, above it. */
function levelAt(zMm: number, isTurnedOver = false): Frame {
  return { origin: [0, 0, zMm], x: X, y: isTurnedOver ? DOWN_Y : Y }
}

/** Places of a flat plate: both faces, the rim, and each hole. */
export function platePlaces(outline: Outline, holes: readonly Outline[], thicknessMm: number): Place[] {
  const areaMm2 = netAreaMm2(outline, holes)
  const half = thicknessMm / 2
  return [
    {
      id: 'face',
      title: 'Face',
      kind: 'face',
      blankCurve: outline,
      finishedFrame: levelAt(half),
      finishedCurve: outline,
      areaMm2,
      thicknessMm,
    },
    {
      id: 'back',
      title: 'Back',
      kind: 'face',
      blankCurve: outline,
      finishedFrame: levelAt(-half, true),
      finishedCurve: outline,
      areaMm2,
      thicknessMm,
    },
    {
      id: 'edge',
      title: 'Edge',
      kind: 'edge',
      blankCurve: outline,
      finishedFrame: levelAt(0),
      finishedCurve: outline,
      lengthMm: perimeterMm(outline),
      thicknessMm,
    },
    ...holes.map(
      (hole, i): Place => ({
        id: `hole-${i + 1}`,
        title: `Hole ${i + 1}`,
        kind: 'hole',
        blankCurve: hole,
        finishedFrame: levelAt(half),
        finishedCurve: hole,
        lengthMm: perimeterMm(hole),
        thicknessMm,
      }),
    ),
  ]
}

interface Wall {
  /** The middle of the metal, seen from above. */
  readonly middle: Outline
  readonly heightMm: number
  readonly thicknessMm: number
}

const line = (fromMm: number, toMm: number, atMm: number): Outline => [
  [fromMm, atMm],
  [toMm, atMm],
]

/** Places of a wall that stands round an outline: foot and lip, inside and outside, and the seam it closes with. */
export function wallPlaces({ middle, heightMm, thicknessMm }: Wall): Place[] {
  const lengthMm = perimeterMm(middle)
  const areaMm2 = lengthMm * heightMm
  const strip: Outline = [...line(0, lengthMm, 0), ...line(lengthMm, 0, heightMm)]
  const edge = (id: string, title: string, zMm: number, isTurnedOver: boolean): Place => ({
    id,
    title,
    kind: 'edge',
    blankCurve: line(0, lengthMm, zMm),
    finishedFrame: levelAt(zMm, isTurnedOver),
    finishedCurve: middle,
    lengthMm,
    thicknessMm,
  })
  const face = (id: 'inside' | 'outside', title: string): Place => ({
    id,
    title,
    kind: 'face',
    side: id,
    blankCurve: strip,
    finishedFrame: levelAt(heightMm / 2),
    finishedCurve: middle,
    areaMm2,
    thicknessMm,
  })
  return [
    edge('foot', 'Foot', 0, true),
    edge('lip', 'Lip', heightMm, false),
    face('inside', 'Inside'),
    face('outside', 'Outside'),
    seamPlace(middle[0] ?? [0, 0], heightMm / 2, heightMm, thicknessMm),
  ]
}

/** The seam of a strip that closes on itself: as long as the strip is wide. */
function seamPlace([x, y]: Outline[number], middleMm: number, widthMm: number, thicknessMm: number): Place {
  return {
    id: 'seam',
    title: 'Seam',
    kind: 'seam',
    blankCurve: [
      [0, 0],
      [0, widthMm],
    ],
    finishedFrame: { origin: [x, y, middleMm], x: X, y: [0, 0, 1] },
    lengthMm: widthMm,
    thicknessMm,
  }
}

interface Band {
  readonly insideDiameterMm: number
  readonly widthMm: number
  readonly thicknessMm: number
  readonly blankLengthMm: number
}

/** Places of a band round a finger or a wrist: outside at its top, inside, and its seam below. Its axis is upright. */
export function bandPlaces({ insideDiameterMm, widthMm, thicknessMm, blankLengthMm }: Band): Place[] {
  const insideMm = insideDiameterMm / 2
  const outsideMm = insideMm + thicknessMm
  const strip: Outline = [...line(0, blankLengthMm, -widthMm / 2), ...line(blankLengthMm, 0, widthMm / 2)]
  const face = (id: 'inside' | 'outside', title: string, radiusMm: number): Place => ({
    id,
    title,
    kind: 'face',
    side: id,
    blankCurve: strip,
    // at the top, facing away from the metal: out of the ring, or in towards the finger
    finishedFrame: { origin: [0, radiusMm, 0], x: X, y: id === 'outside' ? [0, 0, -1] : [0, 0, 1] },
    areaMm2: 2 * Math.PI * radiusMm * widthMm,
    thicknessMm,
  })
  return [
    face('outside', 'Outside', outsideMm),
    face('inside', 'Inside', insideMm),
    seamPlace([0, -(insideMm + outsideMm) / 2], 0, widthMm, thicknessMm),
  ]
}
