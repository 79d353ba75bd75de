import type { Alloy } from '../../metals/alloys'
import { recent } from '../../working/recent'
import { hardeningOf } from '../hardening'
import { dapStep } from './dap-step'
import { atPole, atRim, type DappedSheet, flatSheet, thicknessStrain } from './sheet'

/** What doming has done to one place of the metal: the strain through its thickness, and the strain added up on the way. */
export interface DomedSpot {
  readonly thicknessStrain: number
  readonly strain: number
}

/** A dome at its crown, half way down its profile, and at its rim. */
export interface DomedMetal {
  readonly crown: DomedSpot
  readonly middle: DomedSpot
  readonly rim: DomedSpot
}

const RINGS = 20
const STEPS = 12
/** The radius of a disc over that of its sphere: √2 is a hemisphere, a little more is trimmed off. */
export const MOST_WRAP = 1.05 * Math.SQRT2
const FLAT: DomedSpot = { thicknessStrain: 0, strain: 0 }

function spotsOf({ rings }: DappedSheet): DomedMetal {
  const half = Math.floor(rings.length / 2)
  const place = (by: (values: readonly number[]) => number): DomedSpot => ({
    thicknessStrain: by(rings.map(thicknessStrain)),
    strain: Math.max(0, by(rings.map(({ strain }) => strain))),
  })
  return { crown: place(atPole), middle: place((values) => values[half] ?? 0), rim: place(atRim) }
}

/** A disc of radius 1 followed from flat until it lies past a hemisphere, in even steps of the square of its wrap. */
function followed(alloy: Alloy): readonly DomedMetal[] {
  const hardening = hardeningOf(alloy)
  let sheet = flatSheet(1, RINGS)
  return [
    { crown: FLAT, middle: FLAT, rim: FLAT },
    ...Array.from({ length: STEPS }, (_, k) => {
      sheet = dapStep(sheet, { sphereRadiusMm: 1 / (MOST_WRAP * Math.sqrt((k + 1) / STEPS)), hardening, friction: 0 })
      return spotsOf(sheet)
    }),
  ]
}

/** Discs that have been followed, by the shape of their metal's curve: how strong it is moves nothing. */
const FOLLOWED = recent<readonly DomedMetal[]>(100)

function followedOnce(alloy: Alloy): readonly DomedMetal[] {
  const { s0MPa, qMPa, b, hMPa } = alloy.flow
  const shape = [qMPa / s0MPa, hMPa / s0MPa, b].map((share) => share.toPrecision(6)).join(' ')
  return FOLLOWED(shape, () => followed(alloy))
}

const between = (low: DomedSpot, high: DomedSpot, share: number): DomedSpot => ({
  thicknessStrain: low.thicknessStrain + share * (high.thicknessStrain - low.thicknessStrain),
  strain: low.strain + share * (high.strain - low.strain),
})

/** Thinning as this smith's hand does it; thickening is hardly moved by the hand. */
export const thinnedByHand = (strainThrough: number, { crownThinning = 1 }: Alloy) =>
  strainThrough < 0 ? crownThinning * strainThrough : strainThrough

/**
 * The metal of a disc laid on a sphere, wherever it is asked for: the simulated disc with its rim free to draw in, by how far it wraps its
 * sphere (disc over four radii; past 1.05 of a hemisphere as there). Sterling at a hemisphere: crown −0.117, rim +0.174 (source: dap-fit;
 * crown low, rim medium).
 */
export function domedMetal(alloy: Alloy, discMm: number, sphereRadiusMm: number): DomedMetal {
  const table = followedOnce(alloy)
  const at = STEPS * Math.min(1, (discMm / (2 * sphereRadiusMm * MOST_WRAP)) ** 2)
  const low = Math.min(STEPS - 1, Math.floor(at))
  const [a, b] = [table[low], table[low + 1]]
  if (!a || !b) return { crown: FLAT, middle: FLAT, rim: FLAT }
  const crown = between(a.crown, b.crown, at - low)
  return {
    crown: { ...crown, thicknessStrain: thinnedByHand(crown.thicknessStrain, alloy) },
    middle: between(a.middle, b.middle, at - low),
    rim: between(a.rim, b.rim, at - low),
  }
}
