import { ALLOYS, type AlloyId, coolsSlowly } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import { FLUXES, GLOW, isFluxRight } from '../tables/heat/fillers'

/** One moment of a heat: what is seen, at about which temperature, and what is done then. */
export interface Cue {
  readonly atC: number
  readonly see: string
  readonly act: string
}

/** Fluxes that a smith may say is the workshop's own: how each looks when it has melted, and at about which temperature (from memory, medium). */
export const WORKSHOP_FLUXES = {
  'white-paste': { clearC: 595, look: 'clear and watery' },
  borax: { clearC: 745, look: 'glassy and smooth' },
  liquid: { clearC: 610, look: 'as a thin clear film' },
} as const
export type WorkshopFlux = keyof typeof WORKSHOP_FLUXES

/** How metal that is so hot looks in a dim room. */
function glowAt(tempC: number): string {
  return GLOW.findLast(({ lowC }) => lowC <= tempC)?.name ?? 'no glow yet'
}

/** Metal that glows so late that its colour warns of nothing. */
const GLOWS_TOO_LATE: ReadonlySet<AlloyId> = new Set(['yellow-brass-c260'])

/** What is looked for in a heat, in order: the flux first, then the metal, then the solder; and what to do at each. */
export function cuesOf(solder: SolderId, metals: readonly AlloyId[], flux: WorkshopFlux): Cue[] {
  const { liquidusC, solidusC } = SOLDERS[solder]
  const { clearC, look } = WORKSHOP_FLUXES[flux]
  const range = FLUXES.find(({ id }) => id === flux)
  const late = metals.filter((alloy) => GLOWS_TOO_LATE.has(alloy)).map((alloy) => ALLOYS[alloy].title.toLowerCase())
  const glow = glowAt(liquidusC)
  const cues: Cue[] = [
    { atC: 100, see: 'the flux foams and dries white', act: 'Slowly: the flame far off, round about. Push chips back that have moved.' },
    {
      atC: clearC,
      see: `the flux lies ${look}`,
      act: 'Closer now, on the heavier side; this is the place to look whether both sides are as hot.',
    },
    {
      atC: solidusC,
      see: `${glow} comes up`,
      act: 'The chips begin to slump. Keep the flame moving; solder runs to where it is hottest.',
    },
    { atC: liquidusC, see: 'a bright line runs along the seam', act: 'Draw it along once with the flame and take the flame off at once.' },
  ]
  const watch: Cue[] = [
    ...(late.length > 0
      ? [
          {
            atC: 650,
            see: `${late.join(' and ')} glows late`,
            act: 'Go by the flux and the solder, not by the colour: when it glows it is nearly gone.',
          },
        ]
      : []),
    ...(range && !isFluxRight(range, SOLDERS[solder])
      ? [
          {
            atC: liquidusC,
            see: 'the flux is no match',
            act: `${range.name} works from ${range.lowC} to ${range.highC} °C: choose another for this solder.`,
          },
        ]
      : []),
  ]
  return [...cues, ...watch].sort((a, b) => a.atC - b.atC)
}

interface Cooling {
  /** The answer to the question of cooling (S05). */
  readonly answer: string | undefined
  readonly metals: readonly AlloyId[]
  /** Whether a cup stands on a plate: the thin wall cools first and pulls at the joint. */
  readonly isCupOnPlate: boolean
}

/** How a piece cools after a heat: slowly by choice, where a quench may crack its metal, or where a cup stands on its plate. */
export function coolDownOf({ answer, metals, isCupOnPlate }: Cooling): string {
  const slow = metals.find(coolsSlowly)
  if (slow) return `Let it lie on the brick until it can be touched, then pickle: ${ALLOYS[slow].title.toLowerCase()} cracks in a quench.`
  if (answer === 'B') return 'Let it lie on the brick until it can be touched, then pickle.'
  if (isCupOnPlate)
    return 'Let it lie on the charcoal until the colour is black, then water, then pickle: quenched hot, the thin wall pulls at the joint.'
  return metals.some((alloy) => alloy.includes('brass'))
    ? 'Wait until the red is gone and a little longer, then quench: brass cracks from a hot quench.'
    : 'Wait until the red is gone, quench in water, not in pickle, then pickle.'
}

/** Tests of a joint in order, and what to do where one fails. */
export const JOINT_TESTS: readonly { readonly test: string; readonly fails: string }[] = [
  {
    test: 'Look along the seam with a lens: bright and whole, from both sides.',
    fails: 'Gap or pinhole: clean, pickle, flux again and reheat with one chip more.',
  },
  {
    test: 'Pluck it with a fingernail or tweezers: it does not move.',
    fails: 'It moves: the solder never ran. Clean, pickle, flux, again.',
  },
  {
    test: 'A ring or a bezel on the steel block: it rings when it is dropped from a finger’s height.',
    fails: 'It rattles: a seam is open. Look again with the lens.',
  },
]
