import type { Confidence } from '../../sources/sources'

/** A filler, a flux or a base metal with the two temperatures that matter. */
export interface HeatRange {
  readonly id: string
  readonly name: string
  readonly lowC: number
  readonly highC: number
  readonly confidence: Confidence
  readonly note?: string
  readonly says?: readonly string[]
}

/** Fillers besides silver solder. From memory. */
export const OTHER_FILLERS: readonly HeatRange[] = [
  {
    id: 'bcup-5',
    name: '15 % silver copper-phosphorus',
    lowC: 643,
    highC: 802,
    confidence: 'high',
    note: 'Copper and its alloys; never steel, nickel alloys or sulphur service.',
    says: ['bcup-5', 'phosphorus'],
  },
  {
    id: 'bcup-2',
    name: 'copper-phosphorus',
    lowC: 710,
    highC: 793,
    confidence: 'high',
    note: 'Copper and its alloys; never steel, nickel alloys or sulphur service.',
    says: ['bcup-2', 'phosphorus'],
  },
  { id: 'brass', name: 'brass brazing rod', lowC: 888, highC: 900, confidence: 'medium', note: 'Zinc fume: ventilate.', says: ['brazing'] },
  { id: 'copper', name: 'pure copper as filler', lowC: 1084.6, highC: 1084.6, confidence: 'high' },
  {
    id: 'tin-lead',
    name: 'tin-lead 63/37',
    lowC: 183,
    highC: 183,
    confidence: 'high',
    note: 'Lead: wash hands, never on anything worn in the mouth or heated later; it eats pits into hot silver and gold.',
    says: ['soft solder', 'lead solder'],
  },
  {
    id: 'tin-silver',
    name: 'tin-silver 96.5/3.5',
    lowC: 221,
    highC: 221,
    confidence: 'high',
    note: 'Keep off work that is hard-soldered later.',
    says: ['soft solder'],
  },
]

/** Gold solders spread widely between makers. From memory (low): use the maker's sheet, match colour and karat. */
export const GOLD_SOLDERS: readonly HeatRange[] = [
  { id: '14k-easy', name: '14 k easy', lowC: 700, highC: 730, confidence: 'low' },
  { id: '14k-medium', name: '14 k medium', lowC: 740, highC: 760, confidence: 'low' },
  { id: '14k-hard', name: '14 k hard', lowC: 770, highC: 800, confidence: 'low' },
  { id: '18k-easy', name: '18 k easy', lowC: 710, highC: 740, confidence: 'low' },
  { id: '18k-medium', name: '18 k medium', lowC: 750, highC: 780, confidence: 'low' },
  { id: '18k-hard', name: '18 k hard', lowC: 790, highC: 830, confidence: 'low' },
]

const BY_MAKER = 'Karat golds differ by maker: the supplier’s sheet wins.'
const EATS_PITS = 'Eats pits into precious metal that is heated above it: keep it off the bench for gold and silver.'

/** Where base metals begin and finish melting. From memory. */
export const BASE_METALS: readonly HeatRange[] = [
  { id: 'fine-silver', name: 'fine silver', lowC: 961.8, highC: 961.8, confidence: 'high' },
  {
    id: 'sterling',
    name: 'sterling silver',
    lowC: 802,
    highC: 893,
    confidence: 'medium',
    note: 'Cast and segregated metal starts at 779.',
    says: ['sterling', '925'],
  },
  { id: 'fine-gold', name: 'fine gold', lowC: 1064.2, highC: 1064.2, confidence: 'high' },
  {
    id: 'gold-22-yellow',
    name: '22 k yellow gold',
    lowC: 930,
    highC: 980,
    confidence: 'low',
    note: BY_MAKER,
    says: ['22 k', 'karat gold'],
  },
  {
    id: 'gold-18-yellow',
    name: '18 k yellow gold',
    lowC: 885,
    highC: 925,
    confidence: 'low',
    note: BY_MAKER,
    says: ['18 k', 'karat gold'],
  },
  {
    id: 'gold-18-rose',
    name: '18 k rose gold',
    lowC: 880,
    highC: 910,
    confidence: 'low',
    note: BY_MAKER,
    says: ['rose gold', 'karat gold'],
  },
  {
    id: 'gold-18-white',
    name: '18 k white gold, palladium',
    lowC: 1040,
    highC: 1140,
    confidence: 'low',
    note: BY_MAKER,
    says: ['white gold', 'karat gold'],
  },
  {
    id: 'gold-14-yellow',
    name: '14 k yellow gold',
    lowC: 820,
    highC: 880,
    confidence: 'low',
    note: BY_MAKER,
    says: ['14 k', 'karat gold'],
  },
  {
    id: 'gold-14-rose',
    name: '14 k rose gold',
    lowC: 870,
    highC: 920,
    confidence: 'low',
    note: BY_MAKER,
    says: ['rose gold', 'karat gold'],
  },
  {
    id: 'gold-14-white',
    name: '14 k white gold, nickel',
    lowC: 910,
    highC: 970,
    confidence: 'low',
    note: BY_MAKER,
    says: ['white gold', 'karat gold'],
  },
  {
    id: 'gold-10-yellow',
    name: '10 k yellow gold',
    lowC: 790,
    highC: 900,
    confidence: 'low',
    note: BY_MAKER,
    says: ['10 k', 'karat gold'],
  },
  { id: 'gold-9-yellow', name: '9 k yellow gold', lowC: 790, highC: 890, confidence: 'low', note: BY_MAKER, says: ['9 k', 'karat gold'] },
  { id: 'platinum', name: 'platinum', lowC: 1768.3, highC: 1768.3, confidence: 'high' },
  { id: 'palladium', name: 'palladium', lowC: 1554.8, highC: 1554.8, confidence: 'high' },
  { id: 'copper', name: 'copper', lowC: 1084.6, highC: 1084.6, confidence: 'high' },
  { id: 'brass-70', name: 'brass 70/30', lowC: 915, highC: 955, confidence: 'medium', says: ['yellow brass'] },
  { id: 'brass-63', name: 'brass 63/37, 60/40', lowC: 900, highC: 925, confidence: 'medium' },
  { id: 'red-brass', name: 'red brass 85/15', lowC: 990, highC: 1025, confidence: 'medium' },
  { id: 'bronze-90', name: 'bronze 90/10', lowC: 1020, highC: 1045, confidence: 'medium' },
  { id: 'nickel-silver', name: 'nickel silver 65-18-17', lowC: 1070, highC: 1110, confidence: 'medium' },
  { id: 'pewter', name: 'pewter, tin base', lowC: 240, highC: 295, confidence: 'medium' },
  { id: 'aluminium', name: 'aluminium', lowC: 660.3, highC: 660.3, confidence: 'high' },
  { id: 'zinc', name: 'zinc', lowC: 419.5, highC: 419.5, confidence: 'high' },
  { id: 'lead', name: 'lead', lowC: 327.5, highC: 327.5, confidence: 'high', note: EATS_PITS },
  { id: 'tin', name: 'tin', lowC: 231.9, highC: 231.9, confidence: 'high', note: EATS_PITS },
]

/** Fluxes and where they work. From memory. */
export const FLUXES: readonly HeatRange[] = [
  {
    id: 'white-paste',
    name: 'white fluoride paste',
    lowC: 565,
    highC: 870,
    confidence: 'medium',
    note: 'Turns clear and watery near 590 to 600: a good thermometer. Fluoride fume: ventilate.',
    says: ['fb3-a', 'paste flux', 'white flux'],
  },
  {
    id: 'black',
    name: 'black boron-modified paste',
    lowC: 565,
    highC: 925,
    confidence: 'medium',
    note: 'Fluoride fume: ventilate.',
    says: ['fb3-c', 'black flux'],
  },
  { id: 'high-temperature', name: 'high-temperature flux', lowC: 760, highC: 1205, confidence: 'medium', says: ['fb3-d'] },
  { id: 'borax', name: 'borax cone, boric mix', lowC: 750, highC: 1000, confidence: 'medium', says: ['borax', 'cone'] },
  { id: 'liquid', name: 'liquid self-pickling', lowC: 590, highC: 870, confidence: 'low', says: ['liquid flux', 'spray flux'] },
  { id: 'soft', name: 'soft-solder acid or rosin', lowC: 180, highC: 350, confidence: 'medium', says: ['rosin'] },
]

/** A flux works for a filler where it is awake before it melts and lasts twenty degrees past its flow. */
export function isFluxRight(flux: HeatRange, filler: { readonly solidusC: number; readonly liquidusC: number }): boolean {
  return flux.lowC <= filler.solidusC && flux.highC >= filler.liquidusC + 20
}

/** Glow of clean metal in dim light; a bright workshop hides 100 to 150 °C of it (medium). */
export const GLOW: readonly HeatRange[] = [
  { id: 'first', name: 'first glow in the dark', lowC: 525, highC: 525, confidence: 'high' },
  { id: 'faint', name: 'faint, blood red', lowC: 550, highC: 600, confidence: 'medium' },
  { id: 'dull', name: 'dull red', lowC: 600, highC: 650, confidence: 'medium' },
  { id: 'dull-cherry', name: 'dull cherry', lowC: 650, highC: 700, confidence: 'medium' },
  { id: 'cherry', name: 'cherry', lowC: 750, highC: 800, confidence: 'medium' },
  { id: 'bright-cherry', name: 'bright cherry to orange', lowC: 850, highC: 900, confidence: 'medium' },
  { id: 'orange', name: 'orange', lowC: 950, highC: 950, confidence: 'medium' },
  { id: 'yellow', name: 'yellow', lowC: 1050, highC: 1050, confidence: 'medium' },
]

/** Temper colours of steel tools, ± 15 °C (medium). */
export const TEMPER_COLOURS: readonly (readonly [string, number])[] = [
  ['pale straw', 220],
  ['straw', 230],
  ['dark straw', 245],
  ['brown', 255],
  ['purple', 275],
  ['blue', 295],
  ['pale blue', 320],
]
