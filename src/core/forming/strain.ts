const PLANE = 2 / Math.sqrt(3)

/**
 * Equivalent strain of two principal in-plane strains at constant volume (source: von-mises). Plane strain gives 2/√3 of it. `smoothing`
 * keeps a slope where nothing is formed.
 */
export function equivalentStrain(strain1: number, strain2: number, smoothing = 0): number {
  return Math.hypot(PLANE * Math.sqrt(strain1 ** 2 + strain1 * strain2 + strain2 ** 2), smoothing)
}

/** Strain of rolling from one thickness to another, wide stock. Rolling to half is 0.80. */
export function rollingStrain(fromMm: number, toMm: number): number {
  return equivalentStrain(Math.log(fromMm / toMm), 0)
}

/** Strain of the outer fibre of a bend to an inside radius; plane strain where the stock is wider than 8 thicknesses. */
export function bendStrain(insideRadiusMm: number, thicknessMm: number, widthMm: number): number {
  const fibre = Math.log(1 + thicknessMm / (2 * (insideRadiusMm + thicknessMm / 2)))
  return widthMm > 8 * thicknessMm ? PLANE * fibre : fibre
}

/** Strain under a blow that thins the metal by a share of its thickness, spread both ways. */
export function hammerStrain(thinnedFraction: number): number {
  return Math.log(1 / (1 - thinnedFraction))
}
