import type { Confidence } from '../sources/sources'

export const SOLDER_IDS = [
  'it-80',
  'hard-75',
  'medium-70',
  'easy-65',
  'extra-easy-56',
  'uk-enamelling',
  'uk-hard',
  'uk-medium',
  'uk-easy',
  'uk-extra-easy',
] as const
export type SolderId = (typeof SOLDER_IDS)[number]

/** Two families share the names and not the temperatures: silver by percentage, and the British grades. */
export const SOLDER_FAMILIES = { percent: 'by silver content', british: 'British grades' } as const
export type SolderFamily = keyof typeof SOLDER_FAMILIES

export interface Solder {
  readonly title: string
  readonly family: SolderFamily
  readonly composition: string
  readonly silverPercent?: number
  readonly solidusC: number
  readonly liquidusC: number
  readonly confidence: Confidence
}

/** Typical silver solders, highest flowing first within a family; the supplier's sheet wins. From memory. */
export const SOLDERS: Readonly<Record<SolderId, Solder>> = {
  'it-80': {
    title: 'IT (80 % silver)',
    family: 'percent',
    composition: 'Ag 80 Cu 16 Zn 4',
    silverPercent: 80,
    solidusC: 730,
    liquidusC: 808,
    confidence: 'low',
  },
  'hard-75': {
    title: 'Hard (75 % silver)',
    family: 'percent',
    composition: 'Ag 75 Cu 22 Zn 3',
    silverPercent: 75,
    solidusC: 740,
    liquidusC: 788,
    confidence: 'medium',
  },
  'medium-70': {
    title: 'Medium (70 % silver)',
    family: 'percent',
    composition: 'Ag 70 Cu 20 Zn 10',
    silverPercent: 70,
    solidusC: 690,
    liquidusC: 738,
    confidence: 'high',
  },
  'easy-65': {
    title: 'Easy (65 % silver)',
    family: 'percent',
    composition: 'Ag 65 Cu 20 Zn 15',
    silverPercent: 65,
    solidusC: 671,
    liquidusC: 718,
    confidence: 'high',
  },
  'extra-easy-56': {
    title: 'Extra easy (56 % silver)',
    family: 'percent',
    composition: 'Ag 56 Cu 22 Zn 17 Sn 5',
    silverPercent: 56,
    solidusC: 618,
    liquidusC: 652,
    confidence: 'high',
  },
  'uk-enamelling': { title: 'British enamelling', family: 'british', composition: '', solidusC: 730, liquidusC: 800, confidence: 'medium' },
  'uk-hard': { title: 'British hard', family: 'british', composition: '', solidusC: 745, liquidusC: 778, confidence: 'medium' },
  'uk-medium': { title: 'British medium', family: 'british', composition: '', solidusC: 720, liquidusC: 765, confidence: 'medium' },
  'uk-easy': { title: 'British easy', family: 'british', composition: '', solidusC: 705, liquidusC: 723, confidence: 'medium' },
  'uk-extra-easy': { title: 'British extra easy', family: 'british', composition: '', solidusC: 667, liquidusC: 709, confidence: 'medium' },
}
