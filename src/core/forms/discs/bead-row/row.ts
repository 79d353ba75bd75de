import type { Point } from '../../../geometry/point'
import { bisect } from '../../../numerics/bisect'

export const SEATS = { inside: 'Inside the border', on: 'On the border', outside: 'Outside the border' } as const

export interface RowSizes {
  readonly borderMm: number
  readonly beadMm: number
  readonly seat: keyof typeof SEATS
  readonly gapMm: number
  /** Diameter of the one larger bead in the middle of the row; 0 for none. */
  readonly largeMm: number
  /** How far the border goes round; 360 where it closes. */
  readonly spanDeg: number
}

export interface RowBead {
  readonly centre: Point
  readonly radiusMm: number
}

const isClosed = ({ spanDeg }: RowSizes) => spanDeg >= 360
const spanRad = ({ spanDeg }: RowSizes) => (Math.min(360, spanDeg) * Math.PI) / 180

/** Diameter of the circle through the middles of the small beads, mm. */
export function pitchCircleMm({ borderMm, beadMm, seat }: Pick<RowSizes, 'borderMm' | 'beadMm' | 'seat'>): number {
  if (seat === 'on') return borderMm
  return seat === 'inside' ? borderMm - beadMm : borderMm + beadMm
}

/** How far from the middle of the border the larger bead sits when the small ones stand on a pitch circle; both touch the border alike. */
function largeReachMm({ beadMm, largeMm, seat }: RowSizes, pitchMm: number): number {
  const side = seat === 'on' ? 0 : seat === 'inside' ? 1 : -1
  return (pitchMm + side * (beadMm - largeMm)) / 2
}

/** Angle between two small beads side by side, rad. */
const smallAngle = ({ beadMm, gapMm }: RowSizes, pitchMm: number) => 2 * Math.asin(Math.min(1, (beadMm + gapMm) / pitchMm))

/** Angle between the larger bead and the small one beside it, rad, by the law of cosines. */
function largeAngle(sizes: RowSizes, pitchMm: number): number {
  const [near, far] = [pitchMm / 2, largeReachMm(sizes, pitchMm)]
  const apart = (sizes.beadMm + sizes.largeMm) / 2 + sizes.gapMm
  return Math.acos(Math.max(-1, Math.min(1, (near ** 2 + far ** 2 - apart ** 2) / (2 * near * far))))
}

/** How many small beads go in; beside a larger one they stand in equal numbers where the border is open. */
export function smallBeads(sizes: RowSizes): number {
  const pitchMm = pitchCircleMm(sizes)
  const [step, whole] = [smallAngle(sizes, pitchMm), spanRad(sizes)]
  const fits = (angle: number) => Math.floor(angle / step + 1e-9)
  if (sizes.largeMm === 0) return fits(whole) + (isClosed(sizes) ? 0 : 1)
  const beside = largeAngle(sizes, pitchMm)
  return isClosed(sizes) ? 1 + fits(whole - 2 * beside) : 2 * (1 + fits(whole / 2 - beside))
}

/** The angle that the row takes on a pitch circle, rad, from middle to middle where it is open. */
function angleTaken(sizes: RowSizes, count: number, pitchMm: number): number {
  const step = smallAngle(sizes, pitchMm)
  if (sizes.largeMm === 0) return step * (isClosed(sizes) ? count : count - 1)
  return 2 * largeAngle(sizes, pitchMm) + step * (isClosed(sizes) ? count - 1 : count - 2)
}

/** Pitch circle on which the row takes exactly the way round that there is, mm. */
export function closingPitchMm(sizes: RowSizes, count: number): number {
  const given = pitchCircleMm(sizes)
  return bisect((pitchMm) => angleTaken(sizes, count, pitchMm) - spanRad(sizes), given / 8, given * 1.0001).x
}

/** Degrees left over on the border as it was given. */
export function leftOverDeg(sizes: RowSizes, count: number): number {
  return ((spanRad(sizes) - angleTaken(sizes, count, pitchCircleMm(sizes))) * 180) / Math.PI
}

/** Where each bead stands on a pitch circle, the larger one at the top; an open row lies about the top. */
export function placedBeads(sizes: RowSizes, count: number, pitchMm: number): RowBead[] {
  const step = smallAngle(sizes, pitchMm)
  const at = (angle: number, reachMm: number, radiusMm: number): RowBead => ({
    centre: [reachMm * Math.cos(Math.PI / 2 + angle), reachMm * Math.sin(Math.PI / 2 + angle)],
    radiusMm,
  })
  const small = (angle: number) => at(angle, pitchMm / 2, sizes.beadMm / 2)
  if (sizes.largeMm === 0) {
    const first = isClosed(sizes) ? 0 : -((count - 1) * step) / 2
    return Array.from({ length: count }, (_, i) => small(first + i * step))
  }
  const beside = largeAngle(sizes, pitchMm)
  const right = Array.from({ length: count }, (_, i) => -beside - i * step)
  const half = Array.from({ length: count / 2 }, (_, i) => beside + i * step)
  const smalls = isClosed(sizes) ? right : half.flatMap((angle) => [angle, -angle])
  return [at(0, largeReachMm(sizes, pitchMm), sizes.largeMm / 2), ...smalls.map(small)]
}
