import type { AlloyId } from '../metals'
import { screenColour, seenInDaylight, WAVELENGTHS_NM } from './observer'
import { type Material, surenessOf } from './optical-constants'
import { type Film, filmReflects } from './thin-film'

/** The metal whose light an alloy reflects about like; none where a film is not coloured by it. */
const LIKE: Readonly<Partial<Record<AlloyId, Material>>> = {
  'copper-c110': 'copper',
  'red-brass-c230': 'brass',
  'yellow-brass-c260': 'brass',
  'bronze-c220': 'bronze',
  'phosphor-bronze-c510': 'bronze',
  'nickel-silver-c752': 'nickelSilver',
  'fine-silver': 'silver',
  'sterling-925': 'silver',
  'ge-sterling': 'silver',
  'mild-steel-1008': 'iron',
}

const FILMS = {
  sulphide: { silver: 'silverSulphide', iron: undefined, other: 'copperSulphide' },
  oxide: { silver: undefined, iron: 'ironOxide', other: 'cuprousOxide' },
} as const satisfies Readonly<Record<string, Readonly<Record<'silver' | 'iron' | 'other', Material | undefined>>>>

/** What a film grows from: a sulphide dip, or heat in air. */
export type FilmKind = keyof typeof FILMS

/** A film of so many nanometres, and how it looks in daylight. */
export interface Swatch {
  readonly thicknessNm: number
  readonly colour: string
  /** The share of daylight it gives back, as the eye weighs it. */
  readonly lightness: number
}

export interface FilmColours {
  readonly swatches: readonly Swatch[]
  readonly sure: 'medium' | 'low'
}

/** Films that are told apart by eye, thinnest first, nm. */
const STEP_NM = 5
const MOST_NM: Readonly<Record<FilmKind, number>> = { sulphide: 150, oxide: 120 }

function swatchOf(film: Film): Swatch {
  const seen = seenInDaylight(WAVELENGTHS_NM.map((nm) => filmReflects(film, nm)))
  return { thicknessNm: film.thicknessNm, colour: screenColour(seen), lightness: seen.y }
}

/** The film that grows on an alloy; undefined where none does that colours it. */
export function filmOn(kind: FilmKind, alloy: AlloyId): Pick<Film, 'film' | 'metal'> | undefined {
  const metal = LIKE[alloy]
  if (metal === undefined) return undefined
  const film = FILMS[kind][metal === 'silver' || metal === 'iron' ? metal : 'other']
  return film && { film, metal }
}

/**
 * The colours a growing film goes through on an alloy, from bare metal on: approximate, for films and alloys are known roughly and a surface is
 * never flat. Undefined where no film colours it.
 */
export function filmColours(kind: FilmKind, alloy: AlloyId): FilmColours | undefined {
  const on = filmOn(kind, alloy)
  if (!on) return undefined
  const swatches = Array.from({ length: MOST_NM[kind] / STEP_NM + 1 }, (_, i) => swatchOf({ ...on, thicknessNm: i * STEP_NM }))
  const sure = [on.film, on.metal].every((material) => surenessOf(material) === 'medium') ? 'medium' : 'low'
  return { swatches, sure }
}
