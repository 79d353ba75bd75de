import type { Confidence, SourceId } from '../../sources/sources'

export const GRIT_SCALES = ['FEPA P', 'CAMI', 'JIS', 'FEPA F', 'film'] as const
export type GritScale = (typeof GRIT_SCALES)[number]

export interface Grit {
  readonly scale: GritScale
  /** As printed on the back: "P600", "600", "#600", "F600", "15 µm". */
  readonly name: string
  readonly micron: number
  readonly confidence: Confidence
}

interface GritSpec {
  readonly title: string
  readonly prefix: string
  readonly source: SourceId
  readonly confidence: Confidence
  readonly sizes: readonly (readonly [number, number])[]
}

const FEPA_P_MACRO: readonly (readonly [number, number])[] = [
  [12, 1815],
  [16, 1324],
  [20, 1000],
  [24, 764],
  [30, 642],
  [36, 538],
  [40, 425],
  [50, 336],
  [60, 269],
  [80, 201],
  [100, 162],
  [120, 125],
  [150, 100],
  [180, 82],
  [220, 68],
]
const FEPA_P_MICRO: readonly (readonly [number, number])[] = [
  [240, 58.5],
  [280, 52.2],
  [320, 46.2],
  [360, 40.5],
  [400, 35],
  [500, 30.2],
  [600, 25.8],
  [800, 21.8],
  [1000, 18.3],
  [1200, 15.3],
  [1500, 12.6],
  [2000, 10.3],
  [2500, 8.4],
  [3000, 6.5],
]

/** Median grain in µm by printed number. All from memory; sources of the inch scale differ by about 5 %. */
export const GRITS: Readonly<Record<GritScale, GritSpec>> = {
  'FEPA P': {
    title: 'FEPA P, coated papers',
    prefix: 'P',
    source: 'iso-6344',
    confidence: 'high',
    sizes: [...FEPA_P_MACRO, ...FEPA_P_MICRO],
  },
  CAMI: {
    title: 'CAMI, American papers',
    prefix: '',
    source: 'ansi-b74-18',
    confidence: 'medium',
    sizes: [
      [60, 268],
      [80, 192],
      [100, 141],
      [120, 116],
      [150, 93],
      [180, 78],
      [220, 66],
      [240, 53.5],
      [280, 44],
      [320, 36],
      [360, 28.8],
      [400, 23.6],
      [500, 19.7],
      [600, 16],
      [800, 12.2],
      [1000, 9.2],
      [1200, 6.5],
    ],
  },
  JIS: {
    title: 'JIS, stones and some film',
    prefix: '#',
    source: 'jis-r-6001',
    confidence: 'medium',
    sizes: [
      [240, 57],
      [280, 48],
      [320, 40],
      [360, 35],
      [400, 30],
      [500, 25],
      [600, 20],
      [700, 17],
      [800, 14],
      [1000, 11.5],
      [1200, 9.5],
      [1500, 8],
      [2000, 6.7],
      [2500, 5.5],
      [3000, 4],
      [4000, 3],
      [6000, 2],
      [8000, 1.2],
    ],
  },
  'FEPA F': {
    title: 'FEPA F, bonded wheels',
    prefix: 'F',
    source: 'fepa-f',
    confidence: 'medium',
    sizes: [
      [240, 44.5],
      [400, 17.3],
      [600, 9.3],
    ],
  },
  film: {
    title: 'Film, by micron',
    prefix: '',
    source: 'definition',
    confidence: 'high',
    sizes: [60, 40, 30, 20, 15, 12, 9, 5, 3, 2, 1, 0.5, 0.3].map((micron) => [micron, micron] as const),
  },
}

const MACRO = new Set(FEPA_P_MACRO.map(([number]) => number))

function gritsOf(scale: GritScale): Grit[] {
  const { prefix, sizes, confidence } = GRITS[scale]
  return sizes.map(([number, micron]) => ({
    scale,
    name: scale === 'film' ? `${number} µm` : `${prefix}${number}`,
    micron,
    confidence: scale === 'FEPA P' && MACRO.has(number) ? 'medium' : confidence,
  }))
}

/** Every paper, stone, wheel and film grade, coarse to fine within its scale. */
export const ALL_GRITS: readonly Grit[] = GRIT_SCALES.flatMap(gritsOf)

/** The grades an unmarked number may mean: "600" is CAMI, JIS, or a P or F whose letter was left off. */
export function gritsNamed(text: string): Grit[] {
  const bare = text.trim().toUpperCase().replace(/\s+/g, ' ')
  const named = /^(FEPA P|FEPA F|CAMI|JIS|P|F|#)? ?#?(\d+)$/.exec(bare)
  if (!named)
    return /µM|UM|MICRON/.test(bare) ? ALL_GRITS.filter((grit) => grit.scale === 'film' && grit.micron === Number.parseFloat(bare)) : []
  const [, mark, number] = named
  const scales: Readonly<Record<string, GritScale>> = {
    P: 'FEPA P',
    'FEPA P': 'FEPA P',
    F: 'FEPA F',
    'FEPA F': 'FEPA F',
    CAMI: 'CAMI',
    JIS: 'JIS',
    '#': 'JIS',
  }
  const scale = mark ? scales[mark] : undefined
  return ALL_GRITS.filter(
    (grit) => grit.scale !== 'film' && grit.name.replace(/^\D+/, '') === number && (scale === undefined || grit.scale === scale),
  )
}

/** The grade of a scale nearest by micron, as a ratio. */
export function nearestGrit(scale: GritScale, micron: number): Grit {
  const grits = ALL_GRITS.filter((grit) => grit.scale === scale)
  return grits.reduce((best, grit) => (Math.abs(Math.log(grit.micron / micron)) < Math.abs(Math.log(best.micron / micron)) ? grit : best))
}
