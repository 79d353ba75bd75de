/** Words of two letters or more. */
const WORD = /\p{L}{2,}/gu
const LEAST_WORDS = 2

/** What a reason has to be. */
export const REASON_HELP =
  'Say why in a few words: the tray may then go to the bench against the order of work. They are kept with the piece.'

/** Whether a text gives a reason: a letter, a sign or a single word is none. */
export function isReason(text: string | undefined): boolean {
  return (text?.match(WORD)?.length ?? 0) >= LEAST_WORDS
}
