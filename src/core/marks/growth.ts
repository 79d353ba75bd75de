import { netAreaMm2 } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import { derive, given, type WorkingLog } from '../working/derive'
import type { PlacedMark } from './placed'

/** Of what a mark covers, so much is struck; how deep; and the share of a wedge’s box that a wedge fills (all low). */
const STRUCK = { letter: 0.3, stamp: 0.4, hallmark: 0.4, dot: 0.785, hole: 0 } as const
const [DEPTH_MM, DEEPEST_SHARE, WEDGE] = [0.3, 0.4, 0.5]

/**
 * How much a blank grows by its marks, % of each length: the metal they displace goes half into length and half into width. An estimate to within a factor of two;
 * undefined where the thickness is not known.
 */
export function markGrowth(
  marks: readonly PlacedMark[],
  blank: { readonly outer: Outline; readonly holes: readonly Outline[] },
  thicknessMm: number | undefined,
  log: WorkingLog,
): number | undefined {
  if (thicknessMm === undefined || marks.length === 0) return undefined
  const struckMm2 = marks.reduce((sum, { kind, widthMm, heightMm }) => sum + STRUCK[kind] * widthMm * heightMm, 0)
  return derive(log, {
    label: 'The blank grows by about',
    formula: '100·w·A·d / (2·B·t)',
    given: [
      given('w', 'share of its box that a wedge-shaped mark fills', WEDGE, 'ratio'),
      given('A', 'area that is struck', struckMm2, 'mm2'),
      given('d', 'depth of the marks', Math.min(DEPTH_MM, DEEPEST_SHARE * thicknessMm)),
      given('B', 'area of the blank', netAreaMm2(blank.outer, blank.holes), 'mm2'),
      given('t', 'thickness', thicknessMm),
    ],
    unit: '%',
    source: 'house-default',
    note: 'to within a factor of two; measure after the stamping where a size must be held',
  })
}
