export interface DomeMid {
  /** Base radius and height of the middle of the metal. */
  readonly baseRadiusMm: number
  readonly heightMm: number
}

/** Radius of the sphere a cap lies on: (a² + h²)/2h (source: spherical-cap). */
export function capRadiusMm({ baseRadiusMm: a, heightMm: h }: DomeMid): number {
  return (a * a + h * h) / (2 * h)
}

/** Half angle of a cap in rad: 2·atan(h/a); π/2 is a hemisphere. */
export function capHalfAngleRad({ baseRadiusMm: a, heightMm: h }: DomeMid): number {
  return 2 * Math.atan(h / a)
}

/** Rim diameter of a disc laid on a sphere at equal area: d·√(1 − d²/16R²). */
export function rimDiameterMm(discMm: number, sphereRadiusMm: number): number {
  return discMm * Math.sqrt(Math.max(0, 1 - (discMm / (4 * sphereRadiusMm)) ** 2))
}

/** mm of rim for 1 mm of disc in one cup: (1 − d²/8R²)/√(1 − d²/16R²); 0 at a hemisphere, where more disc only goes deeper. */
export function rimPerDisc(discMm: number, sphereRadiusMm: number): number {
  const share = (discMm / (4 * sphereRadiusMm)) ** 2
  return (1 - 2 * share) / Math.sqrt(Math.max(1e-12, 1 - share))
}

/** Hoop strain of the rim of a disc on a sphere; negative, −0.347 at a hemisphere. */
export function rimHoopStrain(discMm: number, sphereRadiusMm: number): number {
  return Math.log(Math.max(1e-9, rimDiameterMm(discMm, sphereRadiusMm) / discMm))
}

/**
 * Share of the rim's hoop strain by which the crown thins when the rim is free to draw in: −0.117 against 0.347 at a
 * hemisphere (source: dap-fit; technique moves it by a factor 0.4 to 1.8).
 */
export const CROWN_THINNING_RATIO = 0.117 / 0.3466

/** Height of the middle of the metal when a disc of this size lies on a sphere at equal area: d²/8R. */
export function capHeightOnSphereMm(discMm: number, sphereRadiusMm: number): number {
  return (discMm * discMm) / (8 * sphereRadiusMm)
}
