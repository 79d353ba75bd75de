import type { Outline, Point } from '../../geometry/point'
import type { DapStageResult, ProfilePoint } from './dap'

/** A point of the middle of the metal moved along its normal, which points from the sphere's middle. */
function offset({ rMm, zMm, thicknessMm }: ProfilePoint, sphereMm: number, floorMm: number, side: 1 | -1): Point {
  const share = 1 + (side * thicknessMm) / 2 / sphereMm
  return [rMm * share, (zMm + floorMm) * share - floorMm]
}

/** The closed outline (radius, height) of a dome at a stage, each ring as thick as it has become: inside from the axis to the rim, outside back (counter-clockwise). */
export function domeProfile({
  profile,
  sphereRadiusMm,
  rimAngleRad,
}: Pick<DapStageResult, 'profile' | 'sphereRadiusMm' | 'rimAngleRad'>): Outline {
  const floorMm = sphereRadiusMm * Math.cos(rimAngleRad)
  const [first, last] = [profile[0], profile.at(-1)]
  if (!first || !last) return []
  // the rings lie half a step off the axis and off the rim
  const pole: ProfilePoint = { ...first, rMm: 0, zMm: sphereRadiusMm - floorMm }
  const rim: ProfilePoint = { ...last, rMm: sphereRadiusMm * Math.sin(rimAngleRad), zMm: 0 }
  const whole = [pole, ...profile, rim]
  const side = (way: 1 | -1) => whole.map((point) => offset(point, sphereRadiusMm, floorMm, way))
  return [...side(-1), ...side(1).reverse()]
}
