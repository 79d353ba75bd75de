import { rectangleOutline } from '@/core/geometry'
import type { ToolKind } from '@/core/toolwall'
import type { NewStock } from '../db/repositories'
import type { NewJob } from '../db/repositories/jobs'

/** The workshop of the Orrin Vale night mail: an invented heritage railway, its people and places made up throughout. */
type SeedSheet = Omit<NewStock, 'parentId' | 'holes' | 'lengthMm' | 'acrossMm' | 'kind'>

const ell = [
  [0, 0],
  [96, 0],
  [96, 34],
  [52, 34],
  [52, 71],
  [0, 71],
] as const

/** A sheet of which a corner was sheared off. */
const cornerGone = [
  [0, 0],
  [214, 0],
  [214, 88],
  [176, 134],
  [0, 134],
] as const

export const SHEETS: readonly SeedSheet[] = [
  {
    label: 'S-1',
    alloy: 'red-brass-c230',
    thicknessTyped: '21 ga',
    thicknessMm: 0.723,
    measuredMm: 0.72,
    outer: rectangleOutline(170, 118),
    temper: 'hard',
  },
  { label: 'S-2', alloy: 'red-brass-c230', thicknessTyped: '21 ga', thicknessMm: 0.723, measuredMm: null, outer: ell, temper: 'half-hard' },
  {
    label: 'S-3',
    alloy: 'copper-c110',
    thicknessTyped: '19 ga',
    thicknessMm: 0.9116,
    measuredMm: 0.91,
    outer: rectangleOutline(142, 96),
    temper: 'annealed',
  },
  {
    label: 'S-4',
    alloy: 'sterling-925',
    thicknessTyped: '17 ga',
    thicknessMm: 1.1495,
    measuredMm: 1.16,
    outer: rectangleOutline(88, 42),
    temper: 'annealed',
  },
  {
    label: 'S-5',
    alloy: 'nickel-silver-c752',
    thicknessTyped: '20 ga',
    thicknessMm: 0.8118,
    measuredMm: null,
    outer: rectangleOutline(124, 58),
    temper: 'hard',
  },
  {
    label: 'S-6',
    alloy: 'yellow-brass-c260',
    thicknessTyped: '15 ga',
    thicknessMm: 1.4503,
    measuredMm: 1.44,
    outer: rectangleOutline(236, 44),
    temper: 'quarter-hard',
  },
  {
    label: 'B-1, corner gone',
    alloy: 'yellow-brass-c260',
    thicknessTyped: '19 ga',
    thicknessMm: 0.9116,
    measuredMm: 0.92,
    outer: cornerGone,
    temper: 'half-hard',
  },
]

/** What lies in the jars, by metal and kind, g. */
export const JARS = [
  { alloy: 'sterling-925', kind: 'clean', massG: 18.3 },
  { alloy: 'sterling-925', kind: 'soldered', massG: 6.9 },
  { alloy: 'red-brass-c230', kind: 'clean', massG: 142 },
  { alloy: 'red-brass-c230', kind: 'filings', massG: 37.5 },
  { alloy: 'copper-c110', kind: 'clean', massG: 88.4 },
] as const

/** Baths on the shelf, and what was etched in them. */
export const BATHS = [
  {
    name: 'Blue pan, map plates',
    kind: 'copper-sulphate',
    litres: 1.5,
    entries: [
      { does: 'etched', alloy: 'yellow-brass-c260', areaMm2: 3150, currentA: 0.9, minutes: 176, depthMm: 0.106 },
      { does: 'etched', alloy: 'yellow-brass-c260', areaMm2: 3080, currentA: 0.9, minutes: 240, depthMm: 0.151 },
      { does: 'filtered' },
      { does: 'etched', alloy: 'yellow-brass-c260', areaMm2: 2870, currentA: 0.85, minutes: 205, depthMm: 0.128 },
    ],
  },
  { name: 'Salt, trials', kind: 'salt', litres: 0.8, entries: [] },
] as const

/** The swatch book: what came out, and how. */
export const SWATCHES = [
  { alloy: 'copper-c110', agent: 'sulphurated-potash', recipe: 'one dip, 3 s at 45 °C, wax', colour: '#8a5a45' },
  { alloy: 'copper-c110', agent: 'sulphurated-potash', recipe: 'three dips, 5 s at 50 °C, pad, wax', colour: '#40393b' },
  { alloy: 'copper-c110', agent: 'verdigris', recipe: 'five sprays under the glass, lacquer', colour: '#6fae9a' },
] as const

/** Outlines kept to be cut again: a signal arm, and the one for the other side as it came out. */
export const TEMPLATES = [
  {
    name: 'Signal arm, left',
    from: 'measured by photograph',
    outer: [
      [0, 0],
      [9, 0],
      [9, 21],
      [47, 26],
      [52, 31],
      [47, 36],
      [9, 36],
      [9, 44],
      [0, 44],
    ],
  },
  {
    name: 'Signal arm, right',
    from: 'measured by photograph',
    outer: [
      [0, 0],
      [9.1, 0],
      [9.1, 43.8],
      [0, 43.8],
      [0, 36],
      [-37.6, 36],
      [-42.8, 31],
      [-37.6, 26.2],
      [0, 21],
    ],
  },
] as const

export const JOBS = {
  buttons: {
    title: 'Winter coats',
    customer: 'Guards’ mess, Orrin Vale',
    dueOn: '2027-01-15',
    status: 'in-work',
    note: 'Loops are soldered on by the harness room afterwards.',
  },
  rings: {
    title: 'Long-service rings',
    customer: 'Sorting carriage, Quillbank',
    dueOn: '2026-10-30',
    status: 'done',
    note: 'Thirty years without a missed mail.',
  },
  tokens: { title: 'Ticket tokens', customer: 'Booking hall, Tarn Halt', dueOn: '2026-12-18', status: 'promised', note: '' },
  bangles: {
    title: 'Lamp-room bangles',
    customer: 'Lamp room, Hollin Junction',
    dueOn: '2026-12-05',
    status: 'in-work',
    note: 'Each stamped with the lamp’s number after truing.',
  },
  keyholes: { title: 'Keyhole covers', customer: 'Mail van 9', dueOn: null, status: 'asked', note: 'Only sized so far.' },
  finial: {
    title: 'Lamp finial',
    customer: 'Station master, Quillbank',
    dueOn: '2026-11-20',
    status: 'in-work',
    note: 'The first cup split: anneal sooner.',
  },
  plates: {
    title: 'Coach number plates',
    customer: 'Carriage sheds, Hollin Junction',
    dueOn: '2027-02-12',
    status: 'promised',
    note: 'Number plate riveted on a backing plate; signal glass in the crest.',
  },
  fittings: {
    title: 'Fittings of several parts',
    customer: 'Museum shop, Tarn Halt',
    dueOn: '2027-03-05',
    status: 'promised',
    note: 'One of each kind, for the glass case by the booking hall.',
  },
  whistle: {
    title: 'Whistle chain',
    customer: 'Guards’ mess, Orrin Vale',
    dueOn: null,
    status: 'asked',
    note: 'Two strips, ends joined by rings.',
  },
  lantern: { title: 'Lantern shade', customer: 'Waiting room, Tarn Halt', dueOn: '2027-03-01', status: 'promised', note: '' },
  belts: {
    title: 'Guards’ belts',
    customer: 'Guards’ mess, Orrin Vale',
    dueOn: '2027-03-19',
    status: 'asked',
    note: 'Straps come from the saddler, 28 wide.',
  },
  tags: {
    title: 'Luggage tags',
    customer: 'Left luggage, Hollin Junction',
    dueOn: '2027-04-02',
    status: 'asked',
    note: 'A slot for the strap, the number stamped after sawing.',
  },
} as const satisfies Record<string, NewJob>

/** Growth of finished pieces over the textbook, mm: a hand that leaves rings a little large and lamp bangles nearly true. */
export const RING_GROWTHS_MM = [0.13, 0.19, 0.15, 0.21, 0.17, 0.12] as const
export const OLD_BANGLE_GROWTHS_MM = [0.42, 0.18, 0.55, 0.31] as const
/** One of them is a slip of the calipers, so that the book has something to ask. */
export const OLD_BUTTON_GROWTHS_MM = [-0.11, -0.16, -0.08, -0.14, -0.12, 0.37, -0.1] as const

/** Starting sets that hang on the demonstration's wall. */
export const WALL_SETS = [
  'drills-50-80',
  'blades-fine',
  'punches',
  'cups',
  'cutters-mm',
  'ring-mandrel',
  'stakes',
  'stamps-2',
  'solder-percent',
  'papers',
  'compounds',
  'hammers',
] as const

/** Tools that were put under the calipers. */
export const WALL_MEASURED: readonly (readonly [ToolKind, string, number])[] = [
  ['punch', '25 mm', 24.86],
  ['punch', '32 mm', 31.9],
  ['drill', '#56', 1.19],
  ['drill', '#68', 0.78],
  ['disc-cutter', '14 mm', 13.93],
]

export const BROKEN_BLADES: readonly (readonly [string, number])[] = [
  ['4/0', 5],
  ['6/0', 2],
]

/** Letters of the railway's own 2 mm set, as stamped and measured. */
export const STAMP_WIDTHS_MM: Readonly<Record<string, number>> = {
  A: 1.86,
  E: 1.62,
  G: 1.9,
  I: 0.98,
  L: 1.55,
  N: 1.84,
  O: 1.95,
  R: 1.78,
  S: 1.6,
  T: 1.64,
}
