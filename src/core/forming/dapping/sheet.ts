/** A disc as it is followed through its stages: rings of metal between nodes, the pole first. Lengths in mm, strains true. */
export interface DappedSheet {
  /** Where the nodes lay on the flat disc, from 0 to its radius. */
  readonly flatMm: readonly number[]
  /** Polar angle of each node on the sphere it lies on, rad; none while it is flat. */
  readonly anglesRad: readonly number[] | undefined
  readonly sphereRadiusMm: number | undefined
  readonly rings: readonly Ring[]
}

/** One ring of metal: its length along the profile, its radius, and what it has gone through. */
export interface Ring {
  readonly flatAreaMm2: number
  readonly lengthMm: number
  readonly radiusMm: number
  /** Along the profile, round the ring, and through the thickness: they add up to 0. */
  readonly alongStrain: number
  readonly roundStrain: number
  /** Equivalent strain added up over all stages, with what it had when it was flat. */
  readonly strain: number
}

/** A flat disc of so many rings; `strain` is what it has hardened by before. */
export function flatSheet(radiusMm: number, rings: number, strain = 0): DappedSheet {
  const step = radiusMm / rings
  return {
    flatMm: Array.from({ length: rings + 1 }, (_, i) => step * i),
    anglesRad: undefined,
    sphereRadiusMm: undefined,
    rings: Array.from({ length: rings }, (_, i) => ({
      flatAreaMm2: 2 * Math.PI * step * (i + 0.5) * step,
      lengthMm: step,
      radiusMm: step * (i + 0.5),
      alongStrain: 0,
      roundStrain: 0,
      strain,
    })),
  }
}

/** Strain through the thickness: what is longer and wider is thinner. */
export const thicknessStrain = ({ alongStrain, roundStrain }: Ring) => -(alongStrain + roundStrain)

/** A value at the pole from those of the rings, which lie half a step off (even extrapolation). */
export function atPole(values: readonly number[]): number {
  return (9 * (values[0] ?? 0) - (values[1] ?? 0)) / 8
}

/** A value at the rim from those of the rings. */
export function atRim(values: readonly number[]): number {
  const n = values.length
  return (15 * (values[n - 1] ?? 0) - 10 * (values[n - 2] ?? 0) + 3 * (values[n - 3] ?? 0)) / 8
}
