import { ALLOY_TITLES, type AlloyId } from '../metals/alloys'

/** Words for metals as they are spoken, longest first; plain "brass" is yellow brass and is said to be. */
export const METAL_WORDS: readonly (readonly [string, AlloyId])[] = [
  ['nickel silver', 'nickel-silver-c752'],
  ['yellow brass', 'yellow-brass-c260'],
  ['sterling silver', 'sterling-925'],
  ['fine silver', 'fine-silver'],
  ['red brass', 'red-brass-c230'],
  ['sterling', 'sterling-925'],
  ['925', 'sterling-925'],
  ['999', 'fine-silver'],
  ['copper', 'copper-c110'],
  ['brass', 'yellow-brass-c260'],
  ['silver', 'sterling-925'],
  ...Object.keys(ALLOY_TITLES).map((id) => [id, id as AlloyId] as const),
]

/** Words that may stand anywhere and change nothing. */
export const FILLER = new Set(['a', 'an', 'the', 'of', 'in', 'from', 'for', 'with', 'and', 'at', 'sheet', 'size', 'thick', 'mm', 'please'])
