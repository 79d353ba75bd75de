import type { CupSequence } from '../../../forming/cup-sequence'
import { capHalfAngleRad, type DomeMid } from '../../../forming/dome'
import { ALLOYS } from '../../../metals/alloys'
import { radToDeg } from '../../../units/convert'
import { formatPlain } from '../../../units/format'
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

interface Punches {
  readonly sequence: CupSequence
  /** Whether the sequence was picked from the smith's own punches. */
  readonly ownSet: boolean
}

function steps({ sequence, ownSet }: Punches): Check {
  const set = ownSet ? 'on your wall' : 'in the usual set'
  const list = sequence.punchesMm.map((punch) => formatPlain(punch, 1)).join(', ')
  if (sequence.outcome === 'complete')
    return {
      level: 'ok',
      code: 'cup-sequence',
      source: 'bench-practice',
      message:
        sequence.punchesMm.length === 1
          ? `One punch does it: ${list} mm.`
          : `Punches ${list} mm, large to small: the rim closes a little at each.`,
    }
  return {
    level: 'warn',
    code: 'cup-sequence',
    source: 'bench-practice',
    message:
      sequence.punchesMm.length === 0
        ? `No punch ${set} is near this sphere.`
        : `There is no punch between the sheet and ${list} mm ${set} small enough a step: expect to work the rim down by hand.`,
  }
}

/** What the metal says about the dome. */
export function domeChecks(input: DomeInput, mid: DomeMid, blankMm: number, punches: Punches): Check[] {
  const checks = [steps(punches), ...thinSheet(input, mid, blankMm)]
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
