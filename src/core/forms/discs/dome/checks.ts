import { capHalfAngleRad, type DomeMid } from '../../../forming/dome'
import { ALLOYS } from '../../../metals/alloys'
import { radToDeg } from '../../../units/convert'
import { formatPlain } from '../../../units/format'
import { type Cups, stepsCheck } from '../../common/cups'
import type { Check } from '../../contract'
import type { DomeInput } from './input'

function thinSheet(input: DomeInput, mid: DomeMid, blankMm: number): Check[] {
  const share = input.thicknessMm / blankMm
  const depth = radToDeg(capHalfAngleRad(mid)) / 90
  const actual = { value: 100 * share, unit: '%' as const }
  const thick = formatPlain(0.015 * blankMm * depth, 2)
  if (share < 0.01 * depth)
    return [
      {
        level: 'warn',
        code: 'thin-for-depth',
        field: 'thicknessMm',
        actual,
        limit: { value: depth, unit: '%' },
        source: 'house-default',
        message: `Sheet this thin will ripple at this depth. ${thick} mm or over is easier; otherwise small steps and planish each ripple before it folds.`,
      },
    ]
  if (share < 0.015 * depth)
    return [
      {
        level: 'note',
        code: 'thin-for-depth',
        field: 'thicknessMm',
        actual,
        limit: { value: 1.5 * depth, unit: '%' },
        source: 'house-default',
        message: `On the thin side for this depth: take small steps. ${thick} mm would be easier.`,
      },
    ]
  return []
}

/** What the metal says about the dome. */
export function domeChecks(input: DomeInput, mid: DomeMid, blankMm: number, sequence: Cups): Check[] {
  const checks = [stepsCheck(sequence), ...thinSheet(input, mid, blankMm)]
  checks.push({
    level: 'note',
    code: 'holes-first',
    source: 'bench-practice',
    message: 'Holes in the crown are punched flat before doming; they open a little as it stretches.',
  })
  for (const hazard of ALLOYS[input.alloy].hazards)
    checks.push({ level: 'note', code: 'hazard', source: 'alloy-handbook', message: hazard })
  return checks
}
