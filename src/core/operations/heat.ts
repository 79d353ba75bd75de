import * as z from 'zod'
import { recommendedAnnealS } from '../forming/anneal'
import { ALLOY_IDS, ALLOYS, type Alloy, type AlloyId } from '../metals/alloys'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import { formatPlain } from '../units/format'
import { defineOperation, UNWORKED } from './contract'

const HEAT_CAUTION =
  'Eye protection, ventilation, hair and sleeves tied back, a clear fireproof bench. Follow the torch maker’s and the flux’s safety sheets and local rules.'

/** The heat asked for, or the one that leaves this metal soft. */
function annealOf({ tempC, timeS }: { readonly tempC?: number | undefined; readonly timeS?: number | undefined }, alloy: Alloy) {
  const target = tempC ?? alloy.torchTargetC
  return { tempC: target, timeS: timeS ?? recommendedAnnealS(alloy, target) }
}

export const anneal = defineOperation({
  id: 'anneal',
  title: 'Anneal',
  kind: 'heat',
  together: true,
  handsOnS: 120,
  waitS: 0,
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
      ? `Bring the whole piece up evenly to ${alloy.annealCue} and hold it there for ${formatPlain(annealOf(params, alloy).timeS, 0)} seconds, a slow count. A bright workshop hides the glow: shade the work.`
      : `Warm the whole piece evenly with a soft flame: ${alloy.annealCue}. A temperature crayon or soap tells when it is there; keep it there for ${formatPlain(annealOf(params, alloy).timeS, 0)} seconds and take the flame away.`,
    facts: [
      { label: 'Aim for', value: `${params.tempC ?? alloy.torchTargetC} °C, ± 40` },
      { label: 'Then', value: alloy.quench },
    ],
    watch: `Solidus is ${alloy.solidusC} °C. If the surface starts to shimmer, take the flame away.`,
  }),
})

export const melt = defineOperation({
  id: 'melt',
  title: 'Melt',
  kind: 'heat',
  together: false,
  handsOnS: 90,
  waitS: 0,
  caution: `${HEAT_CAUTION} Brass and nickel silver give off zinc fume when they melt: extraction, or leave them.`,
  params: z.object({ what: z.string().default('the end into a ball'), timeS: z.number().min(1).max(600).default(10) }),
  /** What stays solid beside the ball is as hot as it can be and stay so. */
  effect: ({ timeS }, { alloy }) => ({ elsewhere: UNWORKED, heat: { tempC: alloy.annealHighC, timeS } }),
  words: ({ what }, { alloy }) => ({
    title: `Melt ${what}`,
    say: 'A little flux, the end down in the flame, hottest just over the blue cone. When it draws up and spins bright, lift the flame away slowly and let it set.',
    facts: [
      { label: 'Melts from', value: `${alloy.solidusC} to ${alloy.liquidusC} °C` },
      { label: 'Afterwards', value: 'the wire beside it is soft' },
    ],
    watch: 'A ball that pits was overheated or dirty: pickle, flux and draw it up again. Let go before it grows heavy enough to drop.',
  }),
})

/** Which metal of the heat melts first, and how far over the solder that is. */
function meltsFirst(alloy: Alloy, to: AlloyId | undefined, flowC: number): string {
  const other = to ? ALLOYS[to] : alloy
  const first = other.solidusC < alloy.solidusC ? other : alloy
  const overC = formatPlain(first.solidusC - flowC, 0)
  return `${first.title} starts to melt at ${formatPlain(first.solidusC, 0)} °C, ${overC} degrees above the solder. Even heat, and away with the flame when the seam flashes.`
}

export const solder = defineOperation({
  id: 'solder',
  title: 'Solder',
  kind: 'heat',
  together: false,
  handsOnS: 240,
  waitS: 0,
  caution: HEAT_CAUTION,
  params: z.object({
    solder: z.enum(SOLDER_IDS).default('hard-75'),
    what: z.string().optional(),
    /** What it is soldered to, where that is another metal. */
    to: z.enum(ALLOY_IDS).optional(),
    timeS: z.number().min(1).max(3600).default(20),
  }),
  effect: ({ solder, timeS, to }) => ({
    elsewhere: UNWORKED,
    heat: {
      ...(to ? { otherSolidusC: ALLOYS[to].solidusC } : {}),
      tempC: SOLDERS[solder].liquidusC,
      timeS,
      marginsC: { amber: -40, red: -40 },
    },
  }),
  words: ({ solder, what, to }, { alloy }) => ({
    title: `Solder ${what ?? 'the joint'}`,
    say: 'Faces clean and touching all along: solder does not bridge a gap. Flux, heat the whole piece, and let the metal pull the solder through.',
    facts: [
      { label: 'Solder', value: SOLDERS[solder].title },
      { label: 'Flows at', value: `${SOLDERS[solder].liquidusC} °C` },
      { label: 'Afterwards', value: 'the piece is soft again' },
    ],
    watch: meltsFirst(alloy, to, SOLDERS[solder].liquidusC),
  }),
})
