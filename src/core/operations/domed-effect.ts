import { domedMetal } from '../forming/dapping/domed-metal'
import { COMPRESSION_WEIGHT } from '../forming/work-used'
import type { Alloy } from '../metals/alloys'
import { type Effect, UNWORKED } from './contract'

interface Domed {
  readonly alloy: Alloy
  readonly discMm: number
  readonly sphereRadiusMm: number
  readonly thicknessMm: number
}

/** What lying on a sphere has done to a disc, at its crown, half way and at its rim. Its surface is bent as well, by the same both ways. */
export function domedEffect({ alloy, discMm, sphereRadiusMm, thicknessMm }: Domed): Effect {
  const { crown, middle, rim } = domedMetal(alloy, discMm, sphereRadiusMm)
  const bent = thicknessMm / sphereRadiusMm
  return {
    elsewhere: UNWORKED,
    at: {
      crown: { strain: crown.strain + bent, weight: 1, held: 'dome', through: crown.thicknessStrain },
      middle: { strain: middle.strain + bent, weight: COMPRESSION_WEIGHT, held: 'dome', through: middle.thicknessStrain },
      rim: { strain: rim.strain + bent, weight: COMPRESSION_WEIGHT, held: 'dome', through: rim.thicknessStrain },
    },
  }
}
