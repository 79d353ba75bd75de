import type { Outline, Point } from '../../geometry/point'

/** A stretch of a bent strip or wire along the middle of its metal: straight on, or round a circle by an angle (left when positive). */
export type BentSegment = { readonly straightMm: number } | { readonly radiusMm: number; readonly turnRad: number }

/** A section carried along a bent path: strips, wires, tubes. The section is (across, out), about the layer that keeps its length. */
interface Swept {
  readonly kind: 'swept'
  readonly bends: readonly BentSegment[]
  readonly section: Outline
  /** How wide it is along its length, as share of the length and factor on the section's width; 1 all along where it is not given. */
  readonly taper?: readonly Point[]
  /** The section itself is rolled up by this angle before the path is bent: a flat strip that becomes a tube. */
  readonly curlRad?: number
}

/** A flat piece. */
interface Plate {
  readonly kind: 'plate'
  readonly outline: Outline
  readonly holes: readonly Outline[]
  readonly thicknessMm: number
}

/** A disc laid on a sphere at equal area; half angle π/2 is a half sphere. */
interface Cap {
  readonly kind: 'cap'
  readonly discMm: number
  readonly halfAngleRad: number
  readonly thicknessMm: number
  /** Hole in the crown, on the flat disc. */
  readonly holeMm?: number
  readonly facing: 1 | -1
}

/** A sector of a ring rolled into a cone: inner and outer radius of the sector, and its angle. */
interface Cone {
  readonly kind: 'cone'
  readonly nearMm: number
  readonly farMm: number
  readonly sectorRad: number
  readonly thicknessMm: number
}

/** A bottom with four walls that fold up. */
interface Box {
  readonly kind: 'box'
  readonly lengthMm: number
  readonly widthMm: number
  readonly wallMm: number
  readonly thicknessMm: number
}

/** A closed profile (radius, height) turned once round its axis. */
interface Turned {
  readonly kind: 'turned'
  readonly profile: Outline
}

/** A regular sheet creased from its middle: ridges to its sides, valleys to its corners, raised by an angle. */
interface Star {
  readonly kind: 'star'
  readonly rays: number
  readonly reachMm: number
  readonly liftRad: number
  readonly thicknessMm: number
}

/** A flat sheet with an impression, about the same middle, pressed up out of it. */
interface Pressed {
  readonly kind: 'pressed'
  readonly outline: Outline
  readonly impression: Outline
  readonly depthMm: number
  readonly thicknessMm: number
}

/** A stone: its outline straight up to where it turns in, and domed from there to its height; its back lies at 0. */
interface Stone {
  readonly kind: 'stone'
  readonly outline: Outline
  readonly turnMm: number
  readonly heightMm: number
}

export type Solid = Swept | Plate | Cap | Cone | Box | Turned | Star | Pressed | Stone

/** A solid and where it stands when the piece is finished, mm. */
export interface SolidPart {
  readonly solid: Solid
  readonly at: readonly [number, number, number]
  /** A strip that leaves a flat piece along this direction, of length 1, and bends up from it; without it the solid stands as it is made. */
  readonly along?: Point
  /** Turned about the upright by this angle before it is put there. */
  readonly turnRad?: number
}

/** Triangles of a surface: three coordinates a vertex, mm, and three vertices a triangle, outward counter-clockwise. */
export interface Mesh {
  readonly positions: readonly number[]
  readonly triangles: readonly number[]
}
