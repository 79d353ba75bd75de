import type { Outline } from '../geometry/point'

export type Vector = readonly [x: number, y: number, z: number]

/** Where something stands: a point, and two directions of length 1 at right angles; the third points out of the metal. */
export interface Frame {
  readonly origin: Vector
  readonly x: Vector
  readonly y: Vector
}

/** A place of a part that another can be joined to, worked, or named: where it lies on the flat blank and where on the finished part. */
export interface Place {
  readonly id: string
  readonly title: string
  readonly kind: 'edge' | 'face' | 'end' | 'hole' | 'seam' | 'axis'
  /** Of a part with an inside: which side. */
  readonly side?: 'inside' | 'outside'
  /** The line or outline it is on the flat blank, mm. */
  readonly blankCurve: Outline
  readonly finishedFrame: Frame
  /** Its line on the finished part, in the plane of its frame; none where it is a face without one. */
  readonly finishedCurve?: Outline
  readonly lengthMm?: number
  readonly areaMm2?: number
  /** How thick the metal is there. */
  readonly thicknessMm: number
  /** Whether joining it shut closes a hollow: then an air hole comes first. */
  readonly closesHollow?: boolean
}

export function cross([ax, ay, az]: Vector, [bx, by, bz]: Vector): Vector {
  return [ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx]
}

/** The direction that points out of the metal at a frame. */
export function outOf({ x, y }: Frame): Vector {
  return cross(x, y)
}
