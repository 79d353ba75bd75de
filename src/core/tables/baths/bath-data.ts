import type { Confidence } from '../../sources/sources'

export const PATINA_METALS = {
  copper: 'copper',
  bronze: 'bronze',
  brass: 'brass',
  sterling: 'silver 925',
  fineSilver: 'fine silver',
  nickelSilver: 'nickel silver',
  fineGold: 'fine gold',
  gold14: '14 k gold',
  steel: 'steel',
  aluminium: 'aluminium',
} as const

interface Patina {
  readonly id: string
  readonly name: string
  /** In the order of PATINA_METALS. */
  readonly works: readonly string[]
  readonly note: string
  readonly says: readonly string[]
}

/** Copper and silver columns high, the rest medium; from memory. "yes", "partly" or "no". */
export const PATINAS: readonly Patina[] = [
  {
    id: 'sulphurated-potash',
    name: 'sulphurated potash',
    works: ['yes', 'yes', 'partly', 'yes', 'yes', 'partly', 'no', 'partly, low karat', 'no', 'no'],
    note: 'A pea in 250 to 500 mL of warm water, 40 to 60 °C, never boiling; dips of 2 to 10 s with a cold rinse between. With any acid or pickle it gives poisonous gas.',
    says: ['liver of sulphur', 'potash', 'sulphide'],
  },
  {
    id: 'ammonium-sulphide',
    name: 'ammonium sulphide type',
    works: ['yes', 'yes', 'partly', 'yes', 'yes', 'partly', 'no', 'partly', 'no', 'no'],
    note: 'With any acid or pickle it gives poisonous gas. Extraction, gloves.',
    says: ['sulphide'],
  },
  {
    id: 'selenious',
    name: 'black antiquing for copper alloys (selenious)',
    works: ['yes', 'yes', 'yes', 'partly', 'partly', 'yes', 'no', 'no', 'partly, cold blue', 'no'],
    note: 'Poisonous: gloves, extraction.',
    says: ['black', 'antique', 'selenious'],
  },
  {
    id: 'tellurium',
    name: 'black antiquing for silver (tellurium, acid)',
    works: ['yes', 'partly', 'partly', 'yes', 'yes', 'partly', 'no', 'partly', 'no', 'no'],
    note: 'Poisonous and acid: gloves, extraction.',
    says: ['black', 'antique', 'tellurium'],
  },
  {
    id: 'ammonia-fume',
    name: 'ammonia fume',
    works: ['yes, blue', 'yes', 'yes', 'no', 'no', 'partly', 'no', 'no', 'no', 'no'],
    note: 'The piece above the ammonia in a closed vessel, hours to days. Never near bleach.',
    says: ['ammonia', 'blue'],
  },
  {
    id: 'ammonia-salt',
    name: 'ammonia fume and salt',
    works: ['yes, blue-green', 'yes', 'yes', 'no', 'no', 'partly', 'no', 'no', 'no', 'no'],
    note: 'As ammonia fume. Never near bleach.',
    says: ['ammonia', 'blue green'],
  },
  {
    id: 'verdigris',
    name: 'chloride verdigris',
    works: ['yes, green', 'yes', 'yes', 'no', 'no', 'partly', 'no', 'no', 'rusts', 'corrodes'],
    note: 'Damp and dry by turns for days. Soluble copper salts: not on skin, not for food; it goes on growing unless rinsed, dried and sealed.',
    says: ['verdigris', 'green'],
  },
  {
    id: 'heat-colour',
    name: 'heat',
    works: ['yes, reds and purples', 'yes', 'yes', 'no, greys', 'no', 'partly', 'no', 'partly', 'yes, temper colours', 'no'],
    note: 'Any later heat or pickle takes it off.',
    says: ['heat colour', 'flame'],
  },
]

interface Pickle {
  readonly id: string
  readonly name: string
  readonly strength: string
  readonly temperature: string
  readonly note: string
  readonly says: readonly string[]
}

/** Strengths low: the label wins. */
export const PICKLES: readonly Pickle[] = [
  {
    id: 'bisulphate',
    name: 'sodium bisulphate',
    strength: '100 to 300 g/L',
    temperature: '50 to 70 °C, never boiling',
    note: 'For silver, copper, brass, bronze and gold.',
    says: ['safety pickle', 'pickle'],
  },
  {
    id: 'citric',
    name: 'citric acid',
    strength: '50 to 150 g/L',
    temperature: '50 to 75 °C',
    note: 'Slower and milder.',
    says: ['pickle'],
  },
  { id: 'alum', name: 'alum', strength: '60 to 120 g/L', temperature: '60 to 80 °C', note: 'Slow and mild.', says: ['pickle'] },
  {
    id: 'sulphuric',
    name: 'sulphuric acid, 5 to 10 %',
    strength: 'as supplied only',
    temperature: '20 to 50 °C',
    note: 'Acid into water, never water into acid. Not to start with.',
    says: ['pickle', 'acid'],
  },
  {
    id: 'peroxide',
    name: 'bisulphate and 3 % peroxide',
    strength: 'small fresh batch',
    temperature: '20 to 30 °C',
    note: 'Lifts the copper blush from brass in minutes. Never store it closed: gas.',
    says: ['pickle', 'blush'],
  },
]

export interface Incompatible {
  readonly id: string
  /** Incompatible materials: words found in the names of the two. */
  readonly one: string
  readonly other: string
  readonly result: string
  readonly severity: 'block' | 'warn'
  readonly says: readonly string[]
  readonly confidence?: Confidence
}

/** What must never meet (high). `block` cannot be overridden. */
export const INCOMPATIBLE: readonly Incompatible[] = [
  {
    id: 'sulphide-acid',
    one: 'sulphurated potash or a sulphide',
    other: 'any acid or pickle',
    result: 'poisonous hydrogen sulphide',
    severity: 'block',
    says: ['sulphide', 'pickle', 'acid', 'liver of sulphur'],
  },
  {
    id: 'ammonia-bleach',
    one: 'ammonia',
    other: 'hypochlorite bleach',
    result: 'poisonous chloramines',
    severity: 'block',
    says: ['ammonia', 'bleach'],
  },
  {
    id: 'acid-bleach',
    one: 'any acid',
    other: 'hypochlorite bleach',
    result: 'chlorine',
    severity: 'block',
    says: ['acid', 'bleach', 'pickle'],
  },
  {
    id: 'water-acid',
    one: 'water',
    other: 'poured into strong acid',
    result: 'violent heating: acid into water',
    severity: 'block',
    says: ['acid', 'water'],
  },
  {
    id: 'peroxide-closed',
    one: 'peroxide',
    other: 'a closed bottle, or organic solvents',
    result: 'pressure, fire',
    severity: 'block',
    says: ['peroxide'],
  },
  {
    id: 'iron-pickle',
    one: 'iron or steel',
    other: 'acid pickle',
    result: 'copper plates pink onto all work in the bath',
    severity: 'warn',
    says: ['iron', 'steel', 'pickle', 'binding wire'],
  },
  {
    id: 'aluminium-acid',
    one: 'aluminium or zinc',
    other: 'acid or alkali',
    result: 'hydrogen, and the piece is damaged',
    severity: 'warn',
    says: ['aluminium', 'zinc'],
  },
  {
    id: 'patina-heat',
    one: 'a patina',
    other: 'later solder or pickle',
    result: 'the colour burns or dissolves off: patina last',
    severity: 'warn',
    says: ['patina', 'solder'],
  },
  {
    id: 'sulphide-stones',
    one: 'a sulphide',
    other: 'pearl, opal, turquoise, amber, coral',
    result: 'the stone is damaged',
    severity: 'warn',
    says: ['pearl', 'opal', 'turquoise', 'amber', 'coral'],
  },
  {
    id: 'selenious-skin',
    one: 'selenious or tellurium agents',
    other: 'skin, breath',
    result: 'poisonous: gloves, extraction',
    severity: 'warn',
    says: ['selenious', 'tellurium'],
  },
]
