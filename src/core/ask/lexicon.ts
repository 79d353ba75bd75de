import { ALLOY_TITLES, type AlloyId } from '../metals/alloys'

/** Words for metals as they are spoken, longest first; plain "brass" is yellow brass and is said to be. */
export const METAL_WORDS: readonly (readonly [string, AlloyId])[] = [
  ['nickel silver', 'nickel-silver-c752'],
  ['yellow brass', 'yellow-brass-c260'],
  ['germanium silver', 'ge-sterling'],
  ['germanium sterling', 'ge-sterling'],
  ['phosphor bronze', 'phosphor-bronze-c510'],
  ['commercial bronze', 'bronze-c220'],
  ['gold filled', 'gold-filled'],
  ['sterling silver', 'sterling-925'],
  ['fine silver', 'fine-silver'],
  ['red brass', 'red-brass-c230'],
  ['fine gold', 'fine-gold'],
  ['14k gold', 'gold-14k'],
  ['14 k gold', 'gold-14k'],
  ['mild steel', 'mild-steel-1008'],
  ['aluminium', 'aluminium-1100'],
  ['aluminum', 'aluminium-1100'],
  ['sterling', 'sterling-925'],
  ['925', 'sterling-925'],
  ['999', 'fine-silver'],
  ['copper', 'copper-c110'],
  ['bronze', 'bronze-c220'],
  ['brass', 'yellow-brass-c260'],
  ['14k', 'gold-14k'],
  ['silver', 'sterling-925'],
  ...Object.keys(ALLOY_TITLES).map((id) => [id, id as AlloyId] as const),
]

/** Words that may stand anywhere and change nothing. */
export const FILLER = new Set(['a', 'an', 'the', 'of', 'in', 'from', 'for', 'with', 'and', 'at', 'sheet', 'size', 'thick', 'mm', 'please'])
