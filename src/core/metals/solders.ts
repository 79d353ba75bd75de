import type { Confidence } from '../sources/sources'

export const SOLDER_IDS = ['hard-75', 'medium-70', 'easy-65', 'extra-easy-56'] as const
export type SolderId = (typeof SOLDER_IDS)[number]

/** Typical silver solders; the supplier's sheet wins. */
export const SOLDERS: Readonly<
  Record<SolderId, { readonly title: string; readonly solidusC: number; readonly liquidusC: number; readonly confidence: Confidence }>
> = {
  'hard-75': { title: 'Hard (75 % silver)', solidusC: 740, liquidusC: 788, confidence: 'medium' },
  'medium-70': { title: 'Medium (70 % silver)', solidusC: 690, liquidusC: 738, confidence: 'high' },
  'easy-65': { title: 'Easy (65 % silver)', solidusC: 671, liquidusC: 718, confidence: 'high' },
  'extra-easy-56': { title: 'Extra easy (56 % silver)', solidusC: 618, liquidusC: 652, confidence: 'high' },
}
