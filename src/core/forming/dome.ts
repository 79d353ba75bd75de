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

/** Height of the middle of the metal when a disc of this size lies on a sphere at equal area: d²/8R. */
export function capHeightOnSphereMm(discMm: number, sphereRadiusMm: number): number {
  return (discMm * discMm) / (8 * sphereRadiusMm)
}

/** Radius of the sphere on which a disc of this size rises so high at equal area: d²/8h, both through the middle of the metal. */
export function sphereForHeightMm(discMm: number, heightMm: number): number {
  return (discMm * discMm) / (8 * heightMm)
}
