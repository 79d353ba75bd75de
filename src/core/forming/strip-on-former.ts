import type { Point } from '../geometry/point'

const ARC_POINTS = 48

/** Half of the middle line of a strip that is bent round a former from its middle: an arc, then an end that is still straight; mm. */
export function stripOnFormer(radiusMm: number, bentMm: number, straightMm: number): Point[] {
  const turn = bentMm / radiusMm
  const arc = Array.from({ length: ARC_POINTS + 1 }, (_, i): Point => {
    const angle = (turn * i) / ARC_POINTS
    return [radiusMm * Math.sin(angle), radiusMm * (1 - Math.cos(angle))]
  })
  const [x, y] = arc.at(-1) ?? [0, 0]
  return straightMm > 1e-6 ? [...arc, [x + straightMm * Math.cos(turn), y + straightMm * Math.sin(turn)]] : arc
}

/** How finely it is looked for. */
const SHARES = 200

/** How much of a strip can be bent on a former before its ends meet: on one of its size all of it, on a smaller one less. */
export function mostBentShare(lengthMm: number, thicknessMm: number, formerRadiusMm: number): number {
  const gap = (share: number) => {
    const bentMm = (share * lengthMm) / 2
    return (stripOnFormer(formerRadiusMm, bentMm, lengthMm / 2 - bentMm).at(-1)?.[0] ?? 0) + thicknessMm
  }
  const crossed = Array.from({ length: SHARES }, (_, i) => (i + 1) / SHARES).findIndex((share) => gap(share) < 0)
  return crossed < 0 ? 1 : crossed / SHARES
}
