import type { BentSegment, SolidPart } from '../../drawing/solid/solid'
import { circleOutline, rectangleOutline } from '../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../geometry/point'

const ORIGIN = [0, 0, 0] as const

/** The section of a strip about its middle layer. */
export function stripSection(widthMm: number, thicknessMm: number): Outline {
  return rectangleOutline(widthMm, thicknessMm).map(([x, y]) => [x - widthMm / 2, y - thicknessMm / 2] as const)
}

/** A strip or wire bent along segments. */
export function bentSolid(bends: readonly BentSegment[], section: Outline, taper?: readonly Point[]): SolidPart[] {
  return [{ solid: { kind: 'swept', bends, section, ...(taper ? { taper } : {}) }, at: ORIGIN }]
}

/** A wire bent along segments. */
export function wireSolid(bends: readonly BentSegment[], wireMm: number): SolidPart[] {
  return bentSolid(bends, circleOutline(wireMm / 2))
}

/** A section bent once round an inside diameter, about its own middle; how far its kept layer lies over the inside. */
export function ringSolid(insideMm: number, keptMm: number, section: Outline, taper?: readonly Point[]): SolidPart[] {
  const radiusMm = insideMm / 2 + keptMm
  return bentSolid([{ radiusMm, turnRad: 2 * Math.PI }], section, taper).map((part) => ({ ...part, at: [0, -radiusMm, 0] as const }))
}

/** The bends of a strip that follows a closed outline, counter-clockwise, its middle layer on it; it begins in the middle of a side. */
export function bendsAlong(outline: Outline): BentSegment[] {
  const count = outline.length
  const at = (i: number): Point => outline[i % count] ?? [0, 0]
  const edge = (i: number) => [at(i + 1)[0] - at(i)[0], at(i + 1)[1] - at(i)[1]] as const
  return outline.flatMap((_, i): BentSegment[] => {
    const [here, next] = [edge(i), edge(i + 1)]
    const [a, b] = [Math.hypot(...here), Math.hypot(...next)]
    const turn = Math.atan2(here[0] * next[1] - here[1] * next[0], here[0] * next[0] + here[1] * next[1])
    return [{ straightMm: a / 2 }, { radiusMm: 1e-4, turnRad: turn }, { straightMm: b / 2 }]
  })
}

/** As many corners make a smooth outline for the eye. */
const SEEN_CORNERS = 96

/** A strip or wire that goes once round an outline and stands on it; `baseMm` is how high its lower edge lies. */
export function aroundSolid(middle: Outline, section: Outline, baseMm = 0): SolidPart[] {
  const every = Math.ceil(middle.length / SEEN_CORNERS)
  const seen = middle.filter((_, i) => i % every === 0)
  const [[ax, ay], [bx, by]] = [seen[0] ?? [0, 0], seen[1] ?? [1, 0]]
  const riseMm = Math.max(...section.map(([across]) => across))
  return bentSolid(bendsAlong(seen), section).map((part) => ({
    ...part,
    // the strip begins in the middle of the first side and runs along it
    at: [(ax + bx) / 2, (ay + by) / 2, baseMm + riseMm] as const,
    turnRad: Math.atan2(by - ay, bx - ax),
  }))
}

const SHARES = 40

/** How wide an outline that is alike above and below its long axis is along it, as factor on its greatest width. */
export function taperOf(outline: Outline): Point[] {
  const box = boundsOf(outline)
  const [long, wide] = [box.maxX - box.minX, box.maxY - box.minY]
  const middle = (box.minY + box.maxY) / 2
  const reach = (x: number) =>
    outline.reduce((most, [ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay]
      if ((ax > x && bx > x) || (ax < x && bx < x)) return most
      const y = ax === bx ? Math.max(ay, by) : ay + ((by - ay) * (x - ax)) / (bx - ax)
      return Math.max(most, y - middle)
    }, 0)
  return Array.from({ length: SHARES + 1 }, (_, i): Point => {
    const share = i / SHARES
    return [share, Math.max(0.02, (2 * reach(box.minX + long * Math.min(0.9999, Math.max(0.0001, share)))) / wide)]
  })
}

/** Two flat sheets of a stack seen as round pieces about a rivet, one over the other, and the rivet turned between them. */
export function stackSolid(
  stack: {
    readonly upperMm: number
    readonly lowerMm: number
    readonly betweenMm: number
    readonly holeMm: number
    readonly edgeMm: number
  },
  profile: Outline,
): SolidPart[] {
  const grip = stack.upperMm + stack.betweenMm + stack.lowerMm
  const around = Math.max(stack.edgeMm, stack.holeMm)
  const ring = (fromMm: number, toMm: number): SolidPart => ({
    solid: {
      kind: 'turned',
      profile: [
        [stack.holeMm / 2, fromMm],
        [around, fromMm],
        [around, toMm],
        [stack.holeMm / 2, toMm],
      ],
    },
    at: ORIGIN,
  })
  return [
    ring(0, stack.lowerMm),
    ...(stack.betweenMm > 0 ? [ring(stack.lowerMm, stack.lowerMm + stack.betweenMm)] : []),
    ring(grip - stack.upperMm, grip),
    { solid: { kind: 'turned', profile }, at: ORIGIN },
  ]
}
