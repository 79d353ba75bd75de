import * as z from 'zod'
import type { Drawing } from '../drawing/drawing'
import type { Check } from '../forms/contract'
import { rectangleOutline } from '../geometry/outline'
import type { Point } from '../geometry/point'
import { bestBlade, gradeOf, missOf, ownBlades, type SawBlade, startingBit, teethOf } from '../sawing'
import { figureOf } from '../tables/figures'
import { BLADES, kerfOfMm, pilotMm, teethInMetal, teethLimits } from '../tables/saws/blades'
import { angleDeg, thicknessMm } from '../units/fields'
import { formatPlain } from '../units/format'
import { derive, given, type WorkingLog } from '../working/derive'
import type { ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

const input = z.strictObject({
  thicknessMm: thicknessMm({ label: 'Sheet', min: 0.1, max: 8 }),
  tiltDeg: angleDeg({ label: 'Tilt of the sheet', min: 0, max: 60, help: 'Sawn at a slant the metal is thicker along the blade.' }).default(
    0,
  ),
  ...benchFields(),
})
type Input = z.output<typeof input>

/** Blades named beside the best. */
const MOST_SHOWN = 7

function pickOf(blade: SawBlade, input: Input): ToolPick {
  const teeth = teethOf(blade, input)
  const limits = teethLimits(input.figures)
  const words = [
    teeth < limits.least && 'snags',
    teeth > limits.most && 'clogs',
    teeth < limits.aimLeast && 'few teeth',
    teeth > limits.aimMost && 'slow',
    'right',
  ].find((word) => word !== false)
  return {
    name: `${blade.name} blade`,
    value: teeth,
    unit: 'count',
    detail: `${teeth.toFixed(1)} teeth in the metal, ${words}`,
    grade: gradeOf(blade, input),
    owned: blade.owned,
  }
}

function sayBit(blade: SawBlade, input: Input): string {
  const bit = startingBit(blade, input.owned)
  if (!bit) return `${formatPlain(pilotMm(blade), 2)} mm`
  return `${bit.name} (${bit.isOwn ? 'yours, ' : ''}${formatPlain(bit.diameterMm, 2)} mm)`
}

function checksOf(blade: SawBlade, input: Input): Check[] {
  const teeth = teethOf(blade, input)
  const { aimLeast, aimMost } = teethLimits(input.figures)
  const checks: Check[] = []
  if (teeth < aimLeast) {
    const flat = teethInMetal(blade.teethPerCm, input.thicknessMm)
    const tilt = flat < aimLeast && flat / aimLeast > 0.5 ? Math.ceil((Math.acos(flat / aimLeast) * 180) / Math.PI) : undefined
    checks.push({
      level: 'warn',
      code: 'few-teeth',
      field: 'thicknessMm',
      actual: { value: teeth, unit: 'count' },
      limit: { value: aimLeast, unit: 'count' },
      source: 'bench-practice',
      message: `Fewer than ${formatPlain(aimLeast)} teeth in the metal: ${tilt ? `tilt the sheet about ${tilt}° to the blade, or ` : ''}back it with card or wood and go slowly.`,
    })
  }
  if (teeth > aimMost)
    checks.push({
      level: 'note',
      code: 'many-teeth',
      source: 'bench-practice',
      message: `More than ${formatPlain(aimMost)} teeth in the metal: it cuts slowly and clogs; clear and wax it often.`,
    })
  const printed = BLADES.find((item) => item.name === blade.name)?.printedPilot
  if (printed)
    checks.push({
      level: 'note',
      code: 'printed-pilot',
      source: 'house-default',
      message: `Charts print ${printed} for the starting hole: that follows the blade’s width and is tight.`,
    })
  return checks
}

/** The blade upright with its teeth in the section of the sheet, all to one scale. */
function draw(blade: SawBlade, input: Input): Drawing {
  const t = input.thicknessMm
  const pitch = 10 / blade.teethPerCm
  const reach = Math.max(2.5 * t, 4 * pitch)
  const bottom = t / 2 - reach / 2
  const depth = Math.min(pitch * 0.55, blade.widthMm * 0.4)
  const count = Math.ceil(reach / pitch)
  const teeth: Point[] = Array.from({ length: count }, (_, i) => bottom + i * pitch).flatMap((y): Point[] => [
    [0, y],
    [-depth, y + pitch * 0.15],
    [0, y + pitch * 0.85],
  ])
  const back: Point[] = [
    [blade.widthMm - depth, bottom + count * pitch],
    [blade.widthMm - depth, bottom],
  ]
  const sheet = rectangleOutline(Math.max(3 * t, 3), t).map(([x, y]) => [x - Math.max(3 * t, 3) - depth, y] as const)
  return {
    views: [
      {
        id: 'teeth',
        title: 'Teeth in the metal',
        shapes: [
          { kind: 'region', layer: 'metal', outer: sheet, holes: [] },
          { kind: 'line', layer: 'tool', points: [...teeth, ...back, teeth[0] ?? [0, bottom]] },
        ],
        dimensions: [
          { from: [-Math.max(3 * t, 3) - depth, 0], to: [-Math.max(3 * t, 3) - depth, t], offset: 1, text: formatPlain(t, 2) },
          {
            from: [blade.widthMm - depth, bottom + pitch],
            to: [blade.widthMm - depth, bottom + 2 * pitch],
            offset: -1,
            text: formatPlain(pitch, 2),
          },
        ],
        handles: [],
        notes: [],
      },
    ],
  }
}

function workOut(log: WorkingLog, blade: SawBlade, input: Input): void {
  derive(log, {
    label: 'Teeth in the metal',
    formula: 't·n/10/cos(a)',
    unit: 'count',
    source: 'bench-practice',
    given: [
      given('t', 'sheet', input.thicknessMm),
      given('n', 'teeth to the centimetre', blade.teethPerCm, 'count'),
      given('a', 'tilt', (input.tiltDeg * Math.PI) / 180, 'rad'),
    ],
  })
  derive(log, {
    label: 'Starting hole, at least',
    formula: '√(w^2 + b^2)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('w', 'blade’s width', blade.widthMm), given('b', 'blade’s thickness', blade.thicknessMm)],
    note: 'The hole must pass the diagonal of the blade.',
  })
  derive(log, {
    label: 'Kerf',
    formula: 'b + s',
    unit: 'mm',
    source: 'house-default',
    given: [given('b', 'blade’s thickness', blade.thicknessMm), given('s', 'set of the teeth', figureOf('blade-set', input.figures))],
    note: 'A test cut is better.',
  })
}

export const bladeAdviser = defineAdviser({
  id: 'blade',
  title: 'Saw blade for a thickness',
  question: 'Which blade?',
  input,
  example: { thicknessMm: '21 ga' },
  advise: (input) => {
    const all = BLADES.map((blade): SawBlade => ({ ...blade, owned: false }))
    const own = ownBlades(input.owned)
    const right = bestBlade(all, input)
    const mine = bestBlade(own, input)
    const mineServes = mine !== undefined && gradeOf(mine, input) !== 'no'
    const best = mineServes ? mine : right
    if (!best || !right) return { path: 'thicknessMm', message: 'no blade is in the tables' }
    const log: WorkingLog = []
    workOut(log, best, input)
    const nearest = [...all].sort((a, b) => missOf(a, input) - missOf(b, input)).slice(0, MOST_SHOWN)
    const shown = all.filter((blade) => nearest.includes(blade))
    return {
      answer: `${best.name} blade: ${teethOf(best, input).toFixed(1)} teeth in the metal, kerf ${formatPlain(kerfOfMm(best, input.figures), 2)} mm, start from ${sayBit(best, input)}`,
      reason: 'Two to three teeth in the metal cut cleanly; under one and a half they snag, over four they clog.',
      picks: [...own, ...shown.filter((blade) => !own.some((item) => item.name === blade.name))].map((blade) => pickOf(blade, input)),
      missing:
        own.length > 0 && (!mine || gradeOf(mine, input) !== 'right') && gradeOf(right, input) === 'right'
          ? `Use a ${right.name} blade; the closest you have is ${mine ? `${mine.name}, ${teethOf(mine, input).toFixed(1)} teeth` : 'none'}.`
          : null,
      checks: checksOf(best, input),
      working: log,
      picture: { kind: 'drawing', drawing: draw(best, input) },
    }
  },
})
