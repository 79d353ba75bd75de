/** Holes of disc cutters, mm and exact inches (low and medium). */
export const DISC_CUTTERS_MM: readonly number[] = [3, 4, 5, 6, 8, 10, 12, 14, 16]
export const DISC_CUTTERS_IN: readonly (readonly [string, number])[] = [
  ['1/8', 0.125],
  ['3/16', 0.1875],
  ['1/4', 0.25],
  ['5/16', 0.3125],
  ['3/8', 0.375],
  ['1/2', 0.5],
  ['5/8', 0.625],
  ['3/4', 0.75],
  ['7/8', 0.875],
  ['1', 1],
  ['1-1/8', 1.125],
  ['1-1/4', 1.25],
]

/** Screw and plier hole punches, mm (medium; low for the pliers). */
export const HOLE_PUNCHES: readonly (readonly [string, number, 'medium' | 'low'])[] = [
  ['screw punch 1/16', 1.5875, 'medium'],
  ['screw punch 3/32', 2.38125, 'medium'],
  ['screw punch 1.5', 1.5, 'medium'],
  ['screw punch 2.0', 2, 'medium'],
  ['punch pliers 1.25', 1.25, 'low'],
  ['punch pliers 1.5', 1.5, 'low'],
  ['punch pliers 1.8', 1.8, 'low'],
  ['punch pliers 2.0', 2, 'low'],
]

/** Heights of letter stamps, mm (medium). */
export const STAMP_HEIGHTS: readonly (readonly [string, number])[] = [
  ['1.5 mm', 1.5],
  ['1/16 in', 1.5875],
  ['2 mm', 2],
  ['3/32 in', 2.38125],
  ['2.5 mm', 2.5],
  ['3 mm', 3],
  ['1/8 in', 3.175],
  ['4 mm', 4],
  ['3/16 in', 4.7625],
  ['5 mm', 5],
  ['6 mm', 6],
  ['1/4 in', 6.35],
]

/** Advance of a stamped character as a share of its height (low: stamp an alphabet and measure your own). */
export const STAMP_ADVANCE = { narrow: 0.5, medium: 0.9, wide: 1.15, wordGap: 0.6 } as const
const NARROW = new Set([..."I1J.,:;!'-"])
const WIDE = new Set([...'MW'])

/** Width in mm a line of stamped text takes, by measured widths where a character has one. Three medium 2 mm capitals: 5.4. */
export function stampedLineMm(text: string, heightMm: number, widths: Readonly<Record<string, number>> = {}): number {
  return [...text.toUpperCase()].reduce((sum, character) => {
    const own = widths[character]
    if (own !== undefined) return sum + own
    if (character === ' ') return sum + STAMP_ADVANCE.wordGap * heightMm
    const share = NARROW.has(character) ? STAMP_ADVANCE.narrow : WIDE.has(character) ? STAMP_ADVANCE.wide : STAMP_ADVANCE.medium
    return sum + share * heightMm
  }, 0)
}

export interface ToolFace {
  readonly id: string
  readonly title: string
  /** Rockwell C; soft faces have none. */
  readonly hrc?: readonly [number, number]
  readonly part: 'striking' | 'struck' | 'both'
  readonly polished?: boolean
}

/** Faces that meet at the bench; hardness as usually made (high as a fact, low as a number). */
export const TOOL_FACES: readonly ToolFace[] = [
  { id: 'brass-hammer', title: 'brass hammer', part: 'striking' },
  { id: 'rawhide-mallet', title: 'rawhide or plastic mallet', part: 'striking' },
  { id: 'wooden-mallet', title: 'wooden mallet', part: 'striking' },
  { id: 'tool-hammer', title: 'plain unhardened hammer kept for tools', hrc: [20, 30], part: 'striking' },
  { id: 'chasing-hammer', title: 'chasing hammer', hrc: [45, 55], part: 'striking' },
  { id: 'planishing-hammer', title: 'polished planishing hammer', hrc: [50, 58], part: 'striking', polished: true },
  { id: 'steel-hammer', title: 'hardened steel hammer', hrc: [50, 60], part: 'striking' },
  { id: 'letter-stamp', title: 'hardened letter or design stamp', hrc: [50, 60], part: 'struck' },
  { id: 'dapping-punch', title: 'steel dapping punch', hrc: [50, 60], part: 'struck' },
  { id: 'wooden-punch', title: 'wooden dapping punch', part: 'struck' },
  { id: 'disc-cutter', title: 'disc cutter punch', hrc: [52, 60], part: 'struck' },
  { id: 'chisel', title: 'chisel', hrc: [52, 60], part: 'struck' },
  { id: 'chasing-tool', title: 'chasing tool, soft head', hrc: [20, 35], part: 'struck' },
  { id: 'anvil', title: 'anvil or steel stake', hrc: [50, 62], part: 'struck', polished: true },
  { id: 'hammer-face', title: 'another hammer', hrc: [50, 60], part: 'struck' },
  { id: 'soft-sheet', title: 'copper, brass, silver or aluminium sheet', part: 'struck' },
  { id: 'hard-steel-sheet', title: 'stainless or hardened steel', hrc: [20, 60], part: 'struck' },
]
