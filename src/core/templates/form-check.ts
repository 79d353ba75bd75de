import type { Region } from '../geometry/clip'
import { edgesOf, isInside } from '../geometry/distance'
import type { Outline, Point } from '../geometry/point'
import { differenceOf, farOf, spreadAlong } from './pair'

/** A place of the outline that was asked for, and how far the thing stands out over it there, mm; less than nothing where it falls short. */
export interface FormPlace {
  readonly at: Point
  readonly overMm: number
}

/** A measured outline laid on the one it should have. */
export interface FormCheck {
  /** The measured outline where it is laid. */
  readonly laid: Outline
  /** Whether it fits better turned over: it was measured lying on its face. */
  readonly isTurnedOver: boolean
  readonly places: readonly FormPlace[]
  readonly most: FormPlace
  readonly least: FormPlace
  /** Root of the mean square of all places, mm. */
  readonly usualMm: number
  /** The measured area over the one asked for, less one. */
  readonly areaShare: number
}

/** Places along the outline that are told. */
const PLACES = 180
/** Turned over it has to fit so much better to be taken for it; shapes that are alike both ways lie as they are. */
const BETTER = 0.8

/**
 * How a measured outline differs from the one a piece should have: laid on it by the middles of their areas and turned as well as it goes, over
 * or not. What stands out is counted up, what falls short down. Holes are not compared.
 */
export function formCheck(asked: Region, measured: Outline): FormCheck {
  const [whole, seen] = [asked.outer, measured].map((outer): Region => ({ outer, holes: [] })) as [Region, Region]
  const [upright, over] = [differenceOf(whole, seen, false), differenceOf(whole, seen, true)]
  const isTurnedOver = over.usualMm < BETTER * upright.usualMm
  const { laid, usualMm, areaShare } = isTurnedOver ? over : upright
  const edges = edgesOf(laid.outer)
  const places = spreadAlong(asked.outer, PLACES).map(
    (at): FormPlace => ({ at, overMm: (isInside(at, laid.outer) ? 1 : -1) * farOf(at, edges) }),
  )
  const [first] = places
  const start = first ?? { at: [0, 0], overMm: 0 }
  return {
    laid: laid.outer,
    isTurnedOver,
    places,
    most: places.reduce((a, b) => (b.overMm > a.overMm ? b : a), start),
    least: places.reduce((a, b) => (b.overMm < a.overMm ? b : a), start),
    usualMm,
    areaShare,
  }
}
