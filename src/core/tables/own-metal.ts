import { ALLOYS, type Alloy, type AlloyId } from '../metals/alloys'
import { hardnessHv } from '../metals/flow'
import { figureOf, type OwnFigures } from './figures'
import { learnedSpread } from './learned'

/** Whether a metal can be worked out: an alloy that differs from maker to maker only by its maker's hardness. */
export function isMetalKnown(id: AlloyId, own: OwnFigures): boolean {
  return !ALLOYS[id].needsMakersSheet || own[`annealed-hv-${id}`] !== undefined
}

/** What is missing where a metal cannot be worked out. */
export function sayMetalUnknown(id: AlloyId): string {
  return `${ALLOYS[id].title} differs from maker to maker: give the hardness of the annealed metal by its maker's sheet (annealed-hv-${id}, HV)`
}

/**
 * A metal as this smith has it: the tables', corrected by own figures (source: own). A measured hardness of the annealed metal scales its
 * whole curve; a batch that hardens faster scales only what hardening adds.
 */
export function alloyWith(id: AlloyId, own: OwnFigures): Alloy {
  const alloy = ALLOYS[id]
  const ids = ['annealed-hv', 'hardening', 'reduction-limit', 'half-softening', 'modulus', 'crown-thinning'].map((name) => `${name}-${id}`)
  if (ids.every((name) => own[name] === undefined)) return alloy
  const figures = ids.map((name) => figureOf(name, own))
  const [hv, hardening, reduction, softening, modulus, crownThinning] = figures as [number, number, number, number, number, number]
  const scale = own[ids[0] ?? ''] === undefined ? 1 : hv / hardnessHv(alloy, 0)
  const { s0MPa, qMPa, hMPa } = alloy.flow
  return {
    ...alloy,
    flow: { ...alloy.flow, s0MPa: scale * s0MPa, qMPa: scale * hardening * qMPa, hMPa: scale * hardening * hMPa },
    reductionLimitFraction: reduction / 100,
    halfSofteningC: softening,
    elasticModulusGPa: modulus,
    crownThinning,
    learned: {
      curve: learnedSpread(own, 'annealed-hv', id),
      crownThinning: learnedSpread(own, 'crown-thinning', id),
      halfSofteningC: learnedSpread(own, 'half-softening', id),
      modulus: learnedSpread(own, 'modulus', id),
    },
  }
}
