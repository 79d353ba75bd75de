/** How a notch concentrates what is strained round it: 1 + 2·√(depth/root radius), at most four times (source: estimated, low). */
export function notchFactor(depthMm: number, rootMm: number): number {
  return Math.min(MOST_CONCENTRATED, 1 + 2 * Math.sqrt(depthMm / rootMm))
}
const MOST_CONCENTRATED = 4

/** A round hole near the crown, whose edge is strained twice as far as the metal round it (Kirsch, equal both ways). */
export const HOLE_FACTOR = 2

/** What a hole near the crown opens to as the metal stretches both ways, mm: d·e^(−ε/2), ε the strain through the thickness. */
export const openedHoleMm = (holeMm: number, crownThicknessStrain: number) => holeMm * Math.exp(-crownThicknessStrain / 2)

/** A free lip folds where it is wider than this many thicknesses and pressed together by more than this; narrower than one thickness it splits. */
const FOLDS_FROM = 2.5
const FOLDS_STRAIN = 0.02

export type LipRisk = 'sound' | 'folds' | 'splits'

/** What becomes of the lip between an opening and the rim as the rim draws in (source: estimated, low). */
export function lipRisk(lip: { readonly bridgeMm: number; readonly thicknessMm: number; readonly rimStrain: number }): LipRisk {
  const { bridgeMm, thicknessMm, rimStrain } = lip
  if (bridgeMm < thicknessMm) return 'splits'
  return bridgeMm > FOLDS_FROM * thicknessMm && rimStrain > FOLDS_STRAIN ? 'folds' : 'sound'
}
