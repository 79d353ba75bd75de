/** Tempers as sheet is bought and as the metal is named on screen; each is a B&S-number reduction from annealed. */
export const TEMPERS = [
  'annealed',
  'quarter-hard',
  'half-hard',
  'three-quarter-hard',
  'hard',
  'extra-hard',
  'spring',
  'extra-spring',
] as const
export type Temper = (typeof TEMPERS)[number]

/** B&S numbers rolled from annealed: H01 is one number, H02 two, H04 four (ASTM B601 convention). */
const NUMBERS_ROLLED: Readonly<Record<Temper, number>> = {
  annealed: 0,
  'quarter-hard': 1,
  'half-hard': 2,
  'three-quarter-hard': 3,
  hard: 4,
  'extra-hard': 6,
  spring: 8,
  'extra-spring': 10,
}

/** Stock as bought: the tempers, or unknown. */
export const BOUGHT_TEMPERS = {
  annealed: 'annealed',
  'quarter-hard': 'quarter hard',
  'half-hard': 'half hard',
  hard: 'hard',
  unknown: 'not known',
} as const
export type BoughtTemper = keyof typeof BOUGHT_TEMPERS
export const BOUGHT_TEMPER_IDS = Object.keys(BOUGHT_TEMPERS) as [BoughtTemper, ...BoughtTemper[]]

/** Share of thickness rolled away to reach a temper: half-hard is 0.207. */
export function temperReduction(temper: Temper): number {
  return 1 - 92 ** (-NUMBERS_ROLLED[temper] / 39)
}

/** Equivalent strain of a temper, rolled: (2/√3)·ln(1/(1 − r)). */
export function temperStrain(temper: Temper): number {
  return (2 / Math.sqrt(3)) * Math.log(1 / (1 - temperReduction(temper)))
}

/** The temper whose strain is nearest; a derived name for display. */
export function temperOfStrain(strain: number): Temper {
  return TEMPERS.reduce((best, temper) => (Math.abs(temperStrain(temper) - strain) < Math.abs(temperStrain(best) - strain) ? temper : best))
}

/** The temper stock is taken to have: unknown stock counts as half-hard, the usual way sheet is sold. */
export function takenTemper(temper: BoughtTemper): Exclude<BoughtTemper, 'unknown'> {
  return temper === 'unknown' ? 'half-hard' : temper
}

/** Strain stock starts with, unknown stock as it is taken to be. */
export function boughtStrain(temper: BoughtTemper): number {
  return temperStrain(takenTemper(temper))
}
