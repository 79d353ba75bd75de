import type { Check } from '../forms/contract'
import type { Outline } from '../geometry/point'
import { figureOf } from '../tables/figures'
import { formatPlain, formatValue } from '../units/format'
import { BATHS } from './baths'
import type { EtchInput } from './schema'

/** What was found of an etch that something may stand against. */
interface Found {
  readonly densityAPerDm2: number
  readonly depthMm: number
  readonly undercutMm: number
  readonly finestLineMm: number
  readonly lost: readonly Outline[]
}

const CAUTION =
  'Goggles, gloves, open air; follow the product’s safety sheet and local rules for use and disposal. Keep bath and bottle labelled, away from food and children.'

/** The plates stand so far apart: nearer they may touch, further off it takes longer (bench practice, low). */
const [LEAST_GAP_MM, MOST_GAP_MM] = [6, 12.7]
/** Of the thickness, more than this etched away leaves a thin floor. */
const DEEP = 0.5

const mm = (value: number) => ({ value, unit: 'mm' as const })

function depthChecks({ through, bothSides, thicknessMm }: EtchInput, { depthMm }: Found): Check[] {
  if (through)
    return [
      {
        level: 'note',
        code: 'watch-the-end',
        source: 'bench-practice',
        message: 'Take the current off before the last of it is through: look from four fifths of the time on, every few minutes.',
      },
    ]
  const leftMm = thicknessMm - depthMm * (bothSides ? 2 : 1)
  if (leftMm <= 0)
    return [
      {
        level: 'stop',
        code: 'goes-through',
        field: 'depthMm',
        actual: mm(depthMm),
        limit: mm(thicknessMm),
        source: 'closed-form',
        message: `The sheet is ${formatPlain(thicknessMm)} mm thick: at ${formatPlain(depthMm)} mm ${bothSides ? 'from both sides ' : ''}it is through. Ask for less, or for through.`,
      },
    ]
  return leftMm < (1 - DEEP) * thicknessMm
    ? [
        {
          level: 'warn',
          code: 'thin-floor',
          field: 'depthMm',
          actual: mm(leftMm),
          source: 'house-default',
          message: `Only ${formatPlain(leftMm, 2)} mm is left under it: it bends at the etched places, and deepens unevenly.`,
        },
      ]
    : []
}

function currentChecks({ figures }: EtchInput, { densityAPerDm2 }: Found): Check[] {
  const most = figureOf('etch-density-most', figures)
  return densityAPerDm2 > most * 1.0001
    ? [
        {
          level: 'warn',
          code: 'too-much-current',
          field: 'currentA',
          actual: { value: densityAPerDm2, unit: 'A/dm2' },
          limit: { value: most, unit: 'A/dm2' },
          source: 'house-default',
          message: `${formatValue(densityAPerDm2, 'A/dm2')} is more than ${formatPlain(most)}: the bath warms, the resist lifts and edges burn. Take less current and more time.`,
        },
      ]
    : []
}

function gapChecks({ gapMm }: EtchInput): Check[] {
  const facts = { field: 'gapMm', actual: mm(gapMm), source: 'bench-practice' } as const
  if (gapMm < LEAST_GAP_MM)
    return [
      {
        level: 'warn',
        code: 'plates-too-near',
        limit: mm(LEAST_GAP_MM),
        ...facts,
        message: `The plates are ${formatPlain(gapMm)} mm apart: they may touch, and a short takes all the current. Keep ${LEAST_GAP_MM} to ${MOST_GAP_MM} mm.`,
      },
    ]
  return gapMm > MOST_GAP_MM
    ? [
        {
          level: 'note',
          code: 'plates-far-apart',
          limit: mm(MOST_GAP_MM),
          ...facts,
          message: `The plates are ${formatPlain(gapMm)} mm apart: the current falls and the etch slows. A little under ${MOST_GAP_MM} mm is usual.`,
        },
      ]
    : []
}

function lineChecks({ finestMm }: EtchInput, { finestLineMm, undercutMm, lost }: Found): Check[] {
  const checks: Check[] = []
  if (finestMm !== undefined && finestMm < finestLineMm)
    checks.push({
      level: 'stop',
      code: 'line-too-fine',
      field: 'finestMm',
      actual: mm(finestMm),
      limit: mm(finestLineMm),
      source: 'house-default',
      message: `A line of ${formatPlain(finestMm)} mm is eaten away at this depth: draw none under ${formatPlain(finestLineMm, 2)} mm, or etch less deep.`,
    })
  if (lost.length > 0)
    checks.push({
      level: 'warn',
      code: 'resist-lost',
      actual: { value: lost.length, unit: 'count' },
      source: 'house-default',
      message: `${lost.length === 1 ? 'One dark place is' : `${lost.length} dark places are`} narrower than twice the undercut of ${formatPlain(undercutMm, 2)} mm: the etch eats under ${lost.length === 1 ? 'it' : 'them'} from both sides.`,
    })
  return checks
}

/** What stands against an etch as it is planned, with the cautions of its bath. */
export function etchChecks(input: EtchInput, found: Found): Check[] {
  return [
    ...depthChecks(input, found),
    ...currentChecks(input, found),
    ...gapChecks(input),
    ...lineChecks(input, found),
    { level: 'note', code: 'etch-safety', source: 'bench-practice', message: `${BATHS[input.bath].note} ${CAUTION}` },
  ]
}
