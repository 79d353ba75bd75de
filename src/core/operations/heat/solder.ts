import * as z from 'zod'
import { ALLOY_IDS, ALLOYS, type Alloy, type AlloyId } from '../../metals/alloys'
import { SOLDER_IDS, SOLDERS } from '../../metals/solders'
import { formatPlain } from '../../units/format'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation, UNWORKED } from '../contract'

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
  resource: 'torch',
  together: false,
  handsOnS: 240,
  waitS: 0,
  includes: 'fit-joint, degrease, flux (flux!=spray), dry-flux, place-solder (!placed; school.S08=A), *, look-test, cool',
  heatC: 'flow',
  joins: 'hot',
  caution: HEAT_CAUTION,
  params: z.object({
    solder: z.enum(SOLDER_IDS).default('hard-75'),
    what: z.string().optional(),
    /** What it is soldered to, where that is another metal. */
    to: z.enum(ALLOY_IDS).optional(),
    flux: z.enum(['paste', 'spray']).optional(),
    placed: z.boolean().optional(),
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
    say: 'Faces clean and touching all along: solder does not bridge a gap. Flux, heat the piece and not the solder, and let the metal pull the solder through.',
    facts: [
      { label: 'Solder', value: SOLDERS[solder].title },
      { label: 'Flows at', value: `${SOLDERS[solder].liquidusC} °C` },
      { label: 'Afterwards', value: 'the piece is soft again' },
    ],
    watch: meltsFirst(alloy, to, SOLDERS[solder].liquidusC),
  }),
})
