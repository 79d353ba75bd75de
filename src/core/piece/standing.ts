import { type AssemblyView, type DrawnPart, type StandingBody, standingBodies, viewsOfBodies } from '../assembly/assembly-views'
import type { StandingJoint } from '../assembly/stand-together'
import type { Place, Vector } from '../drawing/place'
import { finishedMesh, type Pose } from '../drawing/solid/stand'
import { solidsOf } from '../forms/solids-of'
import { type Bounds, boundsOf, type Point } from '../geometry/point'
import { recent } from '../working/recent'
import type { DesignJoint, JointPose, PieceDesign } from './design'
import type { PiecePlan, PlannedPart } from './plan-piece'

/** How many of one part are drawn at most; the others are counted. */
const MOST_DRAWN = 60
/** Many of one part that stand on another without poses stand round its rim, at this share of the way out. */
const RIM_SHARE = 0.84

/** Places that lie underneath, by the names smiths give them; any other that a form does not describe is taken to lie on top. */
const UNDERNEATH: ReadonlySet<string> = new Set(['back', 'foot', 'base', 'rim', 'bottom', 'end', 'ends', 'sides', 'left', 'right'])

/** Joints that set what is no metal in a part. */
const SETTING: ReadonlySet<string> = new Set(['bezel', 'tabs'])

const X: Vector = [1, 0, 0]

/** A place that the form does not describe: the top or the underside of the finished part. */
function plainPlace(id: string, part: PlannedPart & { readonly result: object }, box: Bounds, lowMm: number, highMm: number): Place {
  const isUnder = UNDERNEATH.has(id)
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  return {
    id,
    title: id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' '),
    kind: 'face',
    blankCurve: [],
    finishedFrame: { origin: [middle[0], middle[1], isUnder ? lowMm : highMm], x: X, y: isUnder ? [0, -1, 0] : [0, 1, 0] },
    finishedCurve: [
      [box.minX, box.minY],
      [box.maxX, box.minY],
      [box.maxX, box.maxY],
      [box.minX, box.maxY],
    ],
    thicknessMm: part.metal?.thicknessMm ?? 1,
  }
}

/** A part as it is drawn: the places of its form, and plain ones for the others that joints name. */
function drawnPart(part: PlannedPart, asked: readonly string[], holds: DrawnPart['holds']): DrawnPart | undefined {
  const { id, name, result } = part
  if (!result) return undefined
  const solids = solidsOf(result)
  const own = result.places ?? []
  const { positions } = finishedMesh(solids)
  const points: Point[] = []
  let [lowMm, highMm] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY]
  for (let i = 0; i < positions.length; i += 3) {
    points.push([positions[i] ?? 0, positions[i + 1] ?? 0])
    lowMm = Math.min(lowMm, positions[i + 2] ?? 0)
    highMm = Math.max(highMm, positions[i + 2] ?? 0)
  }
  const box = boundsOf(points)
  const missing = asked.filter((place) => !own.some((one) => one.id === place))
  return {
    id,
    name,
    solids,
    holds,
    places: [...own, ...missing.map((place) => plainPlace(place, { ...part, result }, box, lowMm, highMm))],
  }
}

const poseOf = ({ u, v, angleDeg, offsetMm }: JointPose): Pose => ({
  ...(u === undefined ? {} : { uMm: u }),
  ...(v === undefined ? {} : { vMm: v }),
  ...(angleDeg === undefined ? {} : { angleRad: (angleDeg * Math.PI) / 180 }),
  ...(offsetMm === undefined ? {} : { offsetMm }),
})

/** Where one of several, or what a piece hangs by, stands on a place when nothing was said: round its rim, one after another from the top. */
function roundTheRim(target: Place | undefined, { role, kind }: DesignJoint, index: number, count: number): Pose {
  const hangs = role === 'bail' || kind === 'link'
  if ((count < 2 && !hangs) || !target?.finishedCurve) return {}
  const box = boundsOf(target.finishedCurve)
  const turn = Math.PI / 2 + (2 * Math.PI * index) / count
  return { uMm: (RIM_SHARE * (box.maxX - box.minX) * Math.cos(turn)) / 2, vMm: (RIM_SHARE * (box.maxY - box.minY) * Math.sin(turn)) / 2 }
}

/** A joint that puts one part on another; seams and what holds a stone put nothing anywhere. */
function putsOn({ members }: DesignJoint): readonly [DesignJoint['members'][number], DesignJoint['members'][number]] | undefined {
  const [small, target] = members
  return small && target && small.thing !== target.thing ? [small, target] : undefined
}

const copyOf = (id: string, index: number) => (index === 0 ? id : `${id}#${index + 1}`)
/** The part that a drawn copy is of. */
export const partOfCopy = (id: string) => id.split('#')[0] ?? id

export interface StandingPiece {
  readonly bodies: readonly StandingBody[]
  /** Joints that could not be drawn: a part has no size yet, or another joint has put it elsewhere. */
  readonly undrawn: readonly string[]
  readonly isApart: boolean
}

/** Pieces as they stand, by how they are joined and drawn, kept as long as their plan is. */
const STANDING = new WeakMap<PiecePlan, ReturnType<typeof recent<StandingPiece>>>()

/** The parts of a piece where they stand together; `apartMm` draws them taken apart. */
export function standingPiece(plan: PiecePlan, { joints, others }: Joined, apartMm = 0): StandingPiece {
  const known = STANDING.get(plan) ?? recent<StandingPiece>(4)
  STANDING.set(plan, known)
  return known(JSON.stringify([joints, others, apartMm]), () => stand(plan, { joints, others }, apartMm))
}

/** What the parts of a piece are joined by, and what goes on them. */
type Joined = Pick<PieceDesign, 'joints' | 'others'>

/** What a part holds, where a joint sets a stone or its like in it. */
function heldBy(part: PlannedPart, { joints, others }: Joined): DrawnPart['holds'] {
  const { holds } = part.result ?? {}
  const set = joints.find(({ kind, members }) => SETTING.has(kind) && members.some(({ thing }) => thing === part.id))
  const held = others.find(({ id }) => set?.members.some(({ thing }) => thing === id))
  return holds && held ? { id: held.id, name: held.name || held.id, solids: holds } : undefined
}

function stand({ parts }: PiecePlan, joined: Joined, apartMm: number): StandingPiece {
  const { joints } = joined
  const asked = (id: string) =>
    joints.flatMap(({ members }) => members.flatMap((ref) => (ref.thing === id && ref.place ? [ref.place] : [])))
  const drawn = parts.flatMap((part) => {
    const one = drawnPart(part, asked(part.id), heldBy(part, joined))
    return one ? [{ one, count: Math.min(MOST_DRAWN, part.count) }] : []
  })
  const countOf = (id: string) => drawn.find(({ one }) => one.id === id)?.count ?? 1
  const placeOf = (thing: string, place: string) => drawn.find(({ one }) => one.id === thing)?.one.places.find(({ id }) => id === place)
  const standing = joints.flatMap((joint): StandingJoint[] => {
    const pair = putsOn(joint)
    if (!pair || !drawn.some(({ one }) => one.id === pair[0].thing) || !drawn.some(({ one }) => one.id === pair[1].thing)) return []
    const [small, target] = pair
    const count = countOf(small.thing)
    const [smallPlace, targetPlace] = [small.place ?? 'back', target.place ?? 'face']
    return Array.from({ length: count }, (_, i) => ({
      id: joint.id,
      small: { thing: copyOf(small.thing, i), place: smallPlace },
      target: { thing: target.thing, place: targetPlace },
      pose: joint.poses?.[i] ? poseOf(joint.poses[i]) : roundTheRim(placeOf(target.thing, targetPlace), joint, i, count),
    }))
  })
  const smalls = new Set(standing.map(({ small }) => partOfCopy(small.thing)))
  const copies = drawn.flatMap(({ one, count }) =>
    Array.from({ length: smalls.has(one.id) ? count : 1 }, (_, i) => ({
      ...one,
      id: copyOf(one.id, i),
      holds: i === 0 ? one.holds : undefined,
    })),
  )
  const { bodies, undrawn } = standingBodies(copies, standing, apartMm)
  return { bodies, undrawn: [...new Set(undrawn)], isApart: apartMm > 0 }
}

/** The views of what stands, kept as long as that is. */
const VIEWS = new WeakMap<StandingPiece, AssemblyView[]>()

/** A piece of several parts in section and from above. */
export function standingViews(piece: StandingPiece): AssemblyView[] {
  const views = VIEWS.get(piece) ?? viewsOfBodies(piece.bodies, piece.isApart)
  VIEWS.set(piece, views)
  return views
}
