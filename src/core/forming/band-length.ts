import type { SourceId } from '../sources/sources'
import { derive, type Given, given, type WorkingLog } from '../working/derive'

export const BAND_LENGTH_SCHOOLS = ['mean-diameter', 'inside-plus-3.5t', 'inside-plus-4t'] as const
export type BandLengthSchool = (typeof BAND_LENGTH_SCHOOLS)[number]

interface SchoolText {
  readonly title: string
  readonly why: string
  readonly formula: string
  readonly source: SourceId
}

/** Ways to calculate how long to cut a strip that becomes a closed round band. */
export const BAND_LENGTH_TEXTS: Readonly<Record<BandLengthSchool, SchoolText>> = {
  'mean-diameter': {
    title: 'Middle of the metal',
    formula: 'π·(d + 2·k·t)',
    source: 'hill',
    why: 'The layer that keeps its length lies in the middle of the thickness; exact by volume at k = 0.5.',
  },
  'inside-plus-3.5t': {
    title: 'Inside, plus 3½ thicknesses',
    formula: 'π·d + 3.5·t',
    source: 'bench-practice',
    why: 'Carries a third of a thickness over the middle rule, for filing the ends true.',
  },
  'inside-plus-4t': {
    title: 'Inside, plus 4 thicknesses',
    formula: 'π·d + 4·t',
    source: 'bench-practice',
    why: 'Nearly one thickness over, for a sawn-through joint that is dressed afterwards.',
  },
}

export const PI_SCHOOLS = ['full', 'short'] as const
export type PiSchool = (typeof PI_SCHOOLS)[number]
export const PI_TEXTS: Readonly<Record<PiSchool, { readonly title: string; readonly why: string }>> = {
  full: { title: 'Full π', why: 'No error from the number itself.' },
  short: { title: '3.14', why: 'Quick on paper; a twentieth of a per cent short.' },
}

export interface BandLengthInput {
  readonly insideDiameterMm: number
  readonly thicknessMm: number
  readonly neutralAxisRatio: number
  readonly pi: PiSchool
}

/** Length in mm of the strip for a closed round band, before allowances. 16.51 inside of 1.63 metal: 56.99. */
export function bandLengthMm(log: WorkingLog, school: BandLengthSchool, input: BandLengthInput): number {
  const text = BAND_LENGTH_TEXTS[school]
  const formula = input.pi === 'short' ? text.formula.replace('π', '3.14') : text.formula
  const all: Record<string, Given> = {
    d: given('d', 'inside diameter', input.insideDiameterMm),
    t: given('t', 'thickness', input.thicknessMm),
    k: given('k', 'neutral axis, share of the thickness from the inside', input.neutralAxisRatio, 'ratio'),
  }
  const used = Object.values(all).filter((item) => new RegExp(`(^|[^A-Za-z])${item.symbol}([^A-Za-z]|$)`).test(formula))
  return derive(log, { label: text.title, formula, given: used, unit: 'mm', source: text.source })
}
