import { formatPlain } from '../units/format'
import { saysOff } from './says-off'

/** What an entry is called that holds a look at the check piece: a thing of known size between the jaws. */
export const CHECK_PIECE = 'check piece'
/** What the stand-in for calipers goes by in the ledger. */
export const STAND_IN_CALIPERS = 'simulated-calipers'
/** What is read further from the known size than this is of something else, mm. */
const MOST_OFF_MM = 1

/** The check piece between the jaws: its known size, what the calipers showed, and when. */
export interface InstrumentCheck {
  readonly knownMm: number
  readonly readMm: number
  readonly at: string
}

const WORDS = /^check piece of (\d+(?:\.\d+)?) mm: (\d+(?:\.\d+)?)$/

/** A check as it is kept in the ledger, in words. */
export const checkWords = ({ knownMm, readMm }: Pick<InstrumentCheck, 'knownMm' | 'readMm'>): string =>
  `${CHECK_PIECE} of ${formatPlain(knownMm, 3)} mm: ${formatPlain(readMm, 3)}`

/** Reads a check out of its words; undefined where they are of something else. */
export function readCheck(text: string, at: string): InstrumentCheck | undefined {
  const [, known, read] = WORDS.exec(text) ?? []
  if (known === undefined || read === undefined) return undefined
  return { knownMm: Number(known), readMm: Number(read), at }
}

/** Why a figure cannot be of the check piece; undefined where it can. */
export function checkFault({ knownMm, readMm }: Pick<InstrumentCheck, 'knownMm' | 'readMm'>): string | undefined {
  if (Math.abs(readMm - knownMm) <= MOST_OFF_MM) return undefined
  return `${formatPlain(readMm, 2)} mm is not of a check piece of ${formatPlain(knownMm, 3)} mm: measure that, or give its size in the settings`
}

/** By how much the calipers read too much, mm; below nothing too little. */
export const offMm = ({ knownMm, readMm }: Pick<InstrumentCheck, 'knownMm' | 'readMm'>): number => readMm - knownMm

/** What the calipers tell, give or take: their own error, or what the last check found where that is more. */
export const tellsWithinMm = (errorMm: number, check: InstrumentCheck | undefined): number =>
  Math.max(errorMm, check ? Math.abs(offMm(check)) : 0)

const CALIPERS = { reads: 'They read', unit: 'mm', mend: 'wipe the jaws, set them to zero, and check them again.' } as const

/** What a check says, and what is to be done about it. */
export function checkSays(
  check: Pick<InstrumentCheck, 'knownMm' | 'readMm'>,
  errorMm: number,
): { readonly isOff: boolean; readonly says: string } {
  return saysOff(offMm(check), errorMm, CALIPERS)
}
