import type { Alloy } from '../metals'
import type { FinishId } from './schema'

/** How a finish is made: how fine the papers go, what comes after them, and what it means for the metal. */
export interface Finish {
  readonly title: string
  /** The grain the papers end at, µm; none where papers are not used at all. */
  readonly targetMicron: number | undefined
  readonly after: readonly string[]
  readonly why: string
}

/** Finishes by how they are made (grains medium, the rest common practice). */
export const FINISHES: Readonly<Record<FinishId, Finish>> = {
  mirror: {
    title: 'mirror',
    targetMicron: 12.6,
    after: ['cut compound (tripoli)', 'degrease', 'colour compound (rouge)', 'degrease'],
    why: 'Compounds take out what P1500 leaves; a coarser last paper shows through the shine.',
  },
  'fine-satin': {
    title: 'fine satin',
    targetMicron: 15.3,
    after: [],
    why: 'It stops at the scratches of P1200, all one way.',
  },
  satin: { title: 'satin', targetMicron: 21.8, after: [], why: 'It stops at the scratches of P800, all one way.' },
  'brush-glow': {
    title: 'brushed glow',
    targetMicron: 25.8,
    after: ['brass brush with soap and water'],
    why: 'The brush burnishes rather than cuts: it needs no finer paper than P600.',
  },
  'abrasive-texture': {
    title: 'texture by abrasive',
    targetMicron: 35,
    after: ['coarse pad or disc, short strokes'],
    why: 'The texture is deeper than the scratches of P400: finer is wasted.',
  },
  tumbled: {
    title: 'tumbled',
    targetMicron: 25.8,
    after: ['tumble in steel shot with soap', 'rinse and dry'],
    why: 'Shot burnishes what is there: scratches deeper than P600 stay in sight.',
  },
  'as-formed': { title: 'as formed', targetMicron: undefined, after: [], why: 'Nothing is taken off: burrs and sharp edges alone.' },
}

/** Finishes that take nothing off. */
const GENTLE: readonly FinishId[] = ['as-formed', 'brush-glow', 'tumbled']

/** Why a finish is not made on a metal; undefined where it may be. */
export function finishRefusal(finish: FinishId, { behaviour, title }: Alloy): string | undefined {
  return behaviour.finish === 'thin-layer' && !GENTLE.includes(finish)
    ? `${title}: the wear layer is hundredths of a millimetre, and paper or compound goes through it. Clean and brush it only.`
    : undefined
}

/** What a finish means for a metal, where it means something. */
export function finishNotes(finish: FinishId, { composition }: Alloy): readonly string[] {
  const silver = /Ag (9\d|8\d)/.test(composition)
  return [
    ...(finish === 'brush-glow' && silver ? ['A dry brass brush leaves brass on silver: plenty of soap and water.'] : []),
    ...(finish === 'mirror' && silver && /Cu/.test(composition)
      ? ['Fire stain shows as a grey shadow once it is bright: sand it away, or leave it satin.']
      : []),
    ...(finish === 'tumbled' ? ['Nothing with hollows that hold shot, and no stone under 7 on the Mohs scale.'] : []),
  ]
}
