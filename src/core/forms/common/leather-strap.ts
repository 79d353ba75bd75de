import type { DrawingView } from '../../drawing/drawing'
import { circleOutline, rectangleOutline, roundedRectangle } from '../../geometry/outline'
import type { Point } from '../../geometry/point'
import { count, lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { derive, given, type WorkingLog } from '../../working/derive'
import type { Check, Quantity, SizedStep } from '../contract'
import { limitCheck, region, stroke, view } from './plan-kit'

/** How much wider a hole in leather is than the tongue that goes through it, mm (common practice, no source). */
const EASE_MM = 0.3
/** Leather that stays between two size holes (common practice, no source). */
const WEB_MM = 4
/** Leather before the slot in the drawing, and between the slot and the first size hole; the strap goes on beyond. */
const DRAWN = { beforeMm: 12, afterMm: 12 } as const

/** The sizes of a strap that are no sizes of the metal. */
export const strapFields = () => ({
  slotMm: lengthMm({ label: 'Slot length', min: 3, max: 80 }).default(16),
  holeCount: count({ label: 'Size holes', min: 1, max: 15 }).default(5),
  holePitchMm: lengthMm({ label: 'Between size holes', min: 5, max: 80 }).default(20),
})

export interface Strap {
  readonly strapMm: number
  readonly leatherMm: number
  readonly tongueMm: number
  readonly slotMm: number
  readonly holeCount: number
  readonly holePitchMm: number
}

const leatherHoleMm = ({ tongueMm }: Pick<Strap, 'tongueMm'>) => tongueMm + EASE_MM

/** Whether the slot is longer than its two end holes. */
export const slotHasBridge = (strap: Pick<Strap, 'slotMm' | 'tongueMm'>) => strap.slotMm > 2 * leatherHoleMm(strap) + 0.2

export const SLOT_REFUSAL = { path: ['slotMm'], error: 'Slot length: it must be longer than its two end holes' }

/** What the leather measures. */
export function strapResults(log: WorkingLog, strap: Strap) {
  const holeMm = leatherHoleMm(strap)
  const bridgeMm = derive(log, {
    label: 'Leather to cut between the slot’s end holes',
    formula: 's − 2·(w + e)',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('s', 'slot', strap.slotMm), given('w', 'tongue', strap.tongueMm), given('e', 'ease', EASE_MM)],
    note: 'Punch a hole at each end, then cut along both sides from hole to hole.',
  })
  const mm = (value: number): Quantity => ({ value, unit: 'mm' })
  return {
    slotBridgeMm: mm(bridgeMm),
    slotCentresMm: mm(strap.slotMm - holeMm),
    leatherHoleMm: mm(holeMm),
    holeRowMm: mm((strap.holeCount - 1) * strap.holePitchMm),
  }
}

/** Room for the strap to slide in its keeper, mm (common practice, no source). */
const KEEPER_EASE_MM = 0.5

/** The keeper of leather goes round two thicknesses of strap (trade fact). */
const keeperMm = ({ strapMm, leatherMm }: Strap) => ({ insideMm: strapMm + KEEPER_EASE_MM, highMm: 2 * leatherMm + KEEPER_EASE_MM })

/** What is known of the steps done to the leather. */
export function strapSteps(strap: Strap): SizedStep[] {
  const { insideMm, highMm } = keeperMm(strap)
  const holeMm = leatherHoleMm(strap)
  return [
    { op: 'skive', params: { toMm: strap.leatherMm / 2 } },
    { op: 'punch-slot', params: { slotMm: strap.slotMm, holeMm } },
    { op: 'make-loop', params: { insideMm, highMm } },
    { op: 'punch-size-holes', params: { holes: strap.holeCount, pitchMm: strap.holePitchMm, holeMm } },
  ]
}

/** What is said of the leather. */
export function strapChecks(strap: Strap): Check[] {
  const leastMm = leatherHoleMm(strap) + WEB_MM
  return [
    limitCheck({
      code: 'size-hole-web',
      ok: strap.holePitchMm >= leastMm,
      level: 'warn',
      field: 'holePitchMm',
      source: 'bench-practice',
      actual: strap.holePitchMm,
      limit: leastMm,
      good: 'There is leather enough between the size holes.',
      bad: `Less than ${WEB_MM} mm of leather between the holes tears: ${formatPlain(leastMm, 1)} mm from hole to hole at least.`,
    }),
    {
      level: 'note',
      code: 'leather-order',
      source: 'bench-practice',
      message: 'Pare the fold, punch the slot, put the loop on, sew the buckle in, and punch the size holes last, when the fit is known.',
    },
  ]
}

/** The strap with its tongue slot and its row of size holes. */
export function strapView(strap: Strap): DrawingView {
  const holeMm = leatherHoleMm(strap)
  const { slotMm, holePitchMm, strapMm } = strap
  const slotAt = DRAWN.beforeMm + slotMm / 2
  const first = DRAWN.beforeMm + slotMm + DRAWN.afterMm
  const middle = strapMm / 2
  const round = (x: number) => circleOutline(holeMm / 2).map(([px, py]): Point => [px + x, py + middle])
  const slot = roundedRectangle(slotMm, holeMm, holeMm / 2).map(([x, y]): Point => [x + slotAt, y + middle])
  const ends = [DRAWN.beforeMm + holeMm / 2, DRAWN.beforeMm + slotMm - holeMm / 2] as const
  const sizeHoles = Array.from({ length: strap.holeCount }, (_, i) => round(first + i * holePitchMm).reverse())
  return view('strap', 'The strap that goes with it', {
    shapes: [
      region(rectangleOutline(first + (strap.holeCount + 1) * holePitchMm, strapMm), [[...slot].reverse(), ...sizeHoles]),
      stroke('scribe', [slotAt, 0], [slotAt, strapMm]),
      ...ends.map((x) => stroke('scribe', ...round(x))),
    ],
    dimensions: [
      { from: [DRAWN.beforeMm, 0], to: [DRAWN.beforeMm + slotMm, 0], offset: -1.6, text: `slot ${formatPlain(slotMm, 1)}` },
      { from: [ends[0], strapMm], to: [ends[1], strapMm], offset: 1.4, text: `${formatPlain(slotMm - holeMm, 1)} centre to centre` },
      {
        from: [DRAWN.beforeMm + holeMm, middle],
        to: [DRAWN.beforeMm + slotMm - holeMm, middle],
        offset: 1.2,
        text: `${formatPlain(slotMm - 2 * holeMm, 1)} between`,
      },
      ...(strap.holeCount > 1
        ? [{ from: [first, 0], to: [first + holePitchMm, 0], offset: -1.6, text: `every ${formatPlain(holePitchMm, 1)}` } as const]
        : []),
    ],
  })
}
