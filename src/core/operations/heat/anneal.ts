import * as z from 'zod'
import { recommendedAnnealS } from '../../forming/anneal'
import type { Alloy } from '../../metals/alloys'
import { formatPlain } from '../../units/format'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation, UNWORKED } from '../contract'

/** By eye a heat is met no closer than this (common practice). */
export const ANNEAL_WITHIN_C = 40

/** The heat asked for, or the one that leaves this metal soft. */
export function annealOf({ tempC, timeS }: { readonly tempC?: number | undefined; readonly timeS?: number | undefined }, alloy: Alloy) {
  const target = tempC ?? alloy.torchTargetC
  return { tempC: target, timeS: timeS ?? recommendedAnnealS(alloy, target) }
}

/** A time as it is counted at the torch. */
const counted = (timeS: number) => (timeS < 180 ? `${formatPlain(timeS, 0)} seconds` : `${formatPlain(timeS / 60, 0)} minutes`)

export const anneal = defineOperation({
  id: 'anneal',
  title: 'Anneal',
  kind: 'heat',
  resource: 'torch',
  together: true,
  handsOnS: 120,
  waitS: 0,
  includes: '*, quench (cooling=quenched), cool-slowly (cooling=slowly), dry (cooling=quenched)',
  heatC: 650,
  caution: HEAT_CAUTION,
  params: z.object({
    tempC: z
      .number({ error: 'a temperature in °C, 100 to 1000' })
      .min(100, { error: 'at least 100 °C' })
      .max(1000, { error: 'at most 1000 °C' })
      .optional(),
    timeS: z.number().min(1, { error: 'at least 1 s' }).max(36000, { error: 'at most 10 h' }).optional(),
  }),
  effect: (params, { alloy }) => ({ elsewhere: UNWORKED, heat: { ...annealOf(params, alloy), marginsC: { amber: 100, red: 50 } } }),
  words: (params, { alloy }) => ({
    title: 'Anneal',
    say: alloy.glows
      ? `Bring the whole piece up evenly to ${alloy.annealCue} and hold it there for ${counted(annealOf(params, alloy).timeS)}; count slowly. A bright workshop hides the glow: shade the work.`
      : `Warm the whole piece evenly with a soft flame: ${alloy.annealCue}. A temperature crayon or soap tells when it is there; keep it there for ${counted(annealOf(params, alloy).timeS)} and take the flame away.`,
    facts: [
      { label: 'Aim for', value: `${params.tempC ?? alloy.torchTargetC} °C, ± ${ANNEAL_WITHIN_C}` },
      { label: 'Then', value: alloy.quench },
    ],
    watch: `Solidus is ${alloy.solidusC} °C. If the surface starts to shimmer, take the flame away.`,
  }),
})
