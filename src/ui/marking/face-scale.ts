import { boundsOf, type Outline, type Point } from '@/core/geometry'

const AROUND_PX = 70
const MOST_PX_PER_MM = 40

/** Millimetres of a face on the screen: the face in the middle, as large as there is room. */
export function faceScale(outer: Outline, width: number, height: number) {
  const { minX, minY, maxX, maxY } = boundsOf(outer)
  const pxPerMm = Math.min((width - AROUND_PX) / (maxX - minX), (height - AROUND_PX) / (maxY - minY), MOST_PX_PER_MM)
  const [left, top] = [(width - (maxX - minX) * pxPerMm) / 2, (height - (maxY - minY) * pxPerMm) / 2]
  const toX = (x: number) => left + (x - minX) * pxPerMm
  const toY = (y: number) => top + (maxY - y) * pxPerMm
  const path = (ring: Outline) => `M${ring.map(([x, y]) => `${toX(x).toFixed(2)} ${toY(y).toFixed(2)}`).join('L')}Z`
  const toMm = (px: number, py: number): Point => [minX + (px - left) / pxPerMm, maxY - (py - top) / pxPerMm]
  return { pxPerMm, toX, toY, toMm, path }
}
export type FaceScale = ReturnType<typeof faceScale>
