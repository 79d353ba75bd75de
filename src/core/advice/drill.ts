import * as z from 'zod'
import type { Drawing } from '../drawing/drawing'
import type { Check } from '../forms/contract'
import { circleOutline, rectangleOutline } from '../geometry/outline'
import { DRILL_SERIES, type Drill, STANDARD_DRILLS } from '../tables/drills/drills'
import { FIT_IDS, type FitId } from '../tables/drills/fit-ids'
import { clearanceOf, FITS, fitWords } from '../tables/drills/fits'
import { usable } from '../toolwall/tools'
import { choice, thicknessMm } from '../units/fields'
import { formatPlain } from '../units/format'
import { derive, given, type WorkingLog } from '../working/derive'
import type { ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

const fitTitles = Object.fromEntries(FIT_IDS.map((id) => [id, `${FITS[id].title}: ${FITS[id].use}`])) as Record<FitId, string>

const input = z.strictObject({
  pinMm: thicknessMm({ label: 'Wire, tube or post', min: 0.1, max: 12, help: 'Measured is better than a gauge.' }),
  fit: choice('Fit', fitTitles).default('snug'),
  known: choice('How it is known', { measured: 'measured', nominal: 'by its gauge or label' }).default('nominal'),
  ...benchFields(),
})
type Input = z.output<typeof input>

interface Band {
  readonly leastMm: number
  readonly mostMm: number
}

const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${Math.abs(mm).toFixed(3)} mm`

/** A series whose next drill is further over than this has nothing to say. */
const WORTH_NAMING_MM = 0.4

/** A hole is right inside its fit's band; above it loose but usable; below it no hole for this fit at all. */
function gradeOf(diameterMm: number, band: Band): ToolPick['grade'] {
  if (diameterMm < band.leastMm - 1e-9) return 'no'
  return diameterMm <= band.mostMm + 1e-9 ? 'right' : 'usable'
}

function pickOf(name: string, diameterMm: number, input: Input, band: Band, owned: boolean): ToolPick {
  const clearance = diameterMm - input.pinMm
  const detail = `${signed(clearance)}, ${fitWords(clearance)}`
  return { name, value: diameterMm, unit: 'mm', detail, grade: gradeOf(diameterMm, band), owned }
}

function smallestOver<T extends { readonly diameterMm: number }>(drills: readonly T[], leastMm: number): T | undefined {
  return drills.reduce<T | undefined>(
    (best, drill) => (drill.diameterMm >= leastMm - 1e-9 && (!best || drill.diameterMm < best.diameterMm) ? drill : best),
    undefined,
  )
}

function nearestTo(drills: readonly Drill[], mm: number): Drill | undefined {
  return drills.reduce<Drill | undefined>(
    (best, drill) => (!best || Math.abs(drill.diameterMm - mm) < Math.abs(best.diameterMm - mm) ? drill : best),
    undefined,
  )
}

function fromTables(input: Input, band: Band): ToolPick[] {
  return Object.keys(DRILL_SERIES).flatMap((series) => {
    const best = smallestOver(
      STANDARD_DRILLS.filter((drill) => drill.series === series),
      band.leastMm,
    )
    return best && best.diameterMm - input.pinMm <= WORTH_NAMING_MM ? [pickOf(best.name, best.diameterMm, input, band, false)] : []
  })
}

function fromWall(input: Input, band: Band): ToolPick[] {
  const own = usable(input.owned, 'drill').map((tool) => ({ name: tool.label, diameterMm: tool.size }))
  const over = smallestOver(own, band.leastMm)
  const under = own.filter((drill) => drill.diameterMm < band.leastMm).at(-1)
  return [over, under].flatMap((drill) => (drill ? [pickOf(drill.name, drill.diameterMm, input, band, true)] : []))
}

const ORDER: readonly ToolPick['grade'][] = ['right', 'usable', 'no']

/** Least clearance first among the right ones, then the usable, each as small as it can be. */
function bestOf(picks: readonly ToolPick[]): ToolPick | undefined {
  return [...picks].sort((a, b) => ORDER.indexOf(a.grade) - ORDER.indexOf(b.grade) || a.value - b.value)[0]
}

function missingWords(input: Input, band: Band, best: ToolPick | undefined, own: readonly ToolPick[]): string | null {
  if (usable(input.owned, 'drill').length === 0 || own.some((pick) => pick.grade === 'right') || !best) return null
  const nearest = bestOf(own)
  const off = nearest ? nearest.value - input.pinMm : 0
  const yours = nearest
    ? `the closest you have is ${nearest.name}, ${Math.abs(off).toFixed(2)} mm ${off >= 0 ? 'over' : 'under'}`
    : `none of yours is near`
  const right =
    best.grade === 'right'
      ? `use a ${best.name} bit`
      : `no standard bit lies between ${formatPlain(band.leastMm, 2)} and ${formatPlain(band.mostMm, 2)} mm`
  return `${right[0]?.toUpperCase()}${right.slice(1)}; ${yours}.`
}

/** The nearest number drill is often smaller than the wire: charts print it, and it is no clearance hole. */
function undersizeCheck(input: Input): Check[] {
  const nearest = nearestTo(
    STANDARD_DRILLS.filter((drill) => drill.series === 'number'),
    input.pinMm,
  )
  if (!nearest || nearest.diameterMm >= input.pinMm) return []
  const under = input.pinMm - nearest.diameterMm
  return [
    {
      level: 'warn',
      code: 'nearest-is-undersize',
      field: 'pinMm',
      actual: { value: nearest.diameterMm, unit: 'mm' },
      limit: { value: input.pinMm, unit: 'mm' },
      source: 'asme-b94-11m',
      message: `The nearest number drill, ${nearest.name}, is ${under.toFixed(3)} mm under it: no clearance hole. It can be used tight, if you ream the hole or sand the wire.`,
    },
  ]
}

function checksOf(input: Input, best: ToolPick | undefined): Check[] {
  const checks: Check[] = undersizeCheck(input)
  if (best?.grade === 'usable')
    checks.push({
      level: 'warn',
      code: 'loose',
      source: 'house-default',
      message: `${best.name} is the smallest that goes on, and looser than this fit asks: ${best.detail}.`,
    })
  if (input.known === 'nominal')
    checks.push({
      level: 'note',
      code: 'measure-the-wire',
      source: 'bench-practice',
      message: 'Measure it: wire differs by hundredths from its gauge, and that is the whole clearance.',
    })
  checks.push({
    level: 'note',
    code: 'holes-run-over',
    source: 'house-default',
    message: 'In thin sheet holes come out 0.02 to 0.08 mm over. Clamp the work, wear eye protection, take the burr off both sides.',
  })
  return checks
}

function draw(pinMm: number, holeMm: number): Drawing {
  const side = 3 * Math.max(pinMm, holeMm)
  const plate = rectangleOutline(side, side).map(([x, y]) => [x - side / 2, y - side / 2] as const)
  return {
    views: [
      {
        id: 'hole',
        title: 'Hole and pin',
        shapes: [
          { kind: 'region', layer: 'metal', outer: plate, holes: [circleOutline(holeMm / 2)] },
          { kind: 'circle', layer: 'tool', centre: [0, 0], radiusMm: pinMm / 2 },
        ],
        dimensions: [
          { from: [-holeMm / 2, -side / 2], to: [holeMm / 2, -side / 2], offset: -1.6, text: `hole ${formatPlain(holeMm, 3)}` },
          { from: [-pinMm / 2, side / 2], to: [pinMm / 2, side / 2], offset: 1.2, text: `pin ${formatPlain(pinMm, 3)}` },
        ],
        handles: [],
        notes: [],
      },
    ],
  }
}

function bandOf(log: WorkingLog, input: Input): Band {
  const { leastMm, mostMm } = clearanceOf(input.fit, input.pinMm, input.figures)
  const limit = (label: string, clearance: number) =>
    derive(log, {
      label,
      formula: 'd + c',
      unit: 'mm',
      source: 'house-default',
      given: [given('d', 'pin', input.pinMm), given('c', 'clearance of the fit', clearance)],
    })
  return { leastMm: limit('Smallest hole', leastMm), mostMm: limit('Largest hole', mostMm) }
}

export const drillAdviser = defineAdviser({
  id: 'drill',
  title: 'Drill for a wire, tube or post',
  question: 'Which drill?',
  input,
  example: { pinMm: '15 ga', fit: 'snug' },
  advise: (input) => {
    const log: WorkingLog = []
    const band = bandOf(log, input)
    const tables = fromTables(input, band)
    const own = fromWall(input, band)
    const right = bestOf(tables)
    const best = bestOf(own.filter((pick) => pick.grade !== 'no')) ?? right
    if (!best)
      return { path: 'pinMm', message: `no standard drill is as large as ${formatPlain(band.leastMm, 2)} mm; the tables run to 13 mm` }
    return {
      answer: best.name.endsWith(' mm') ? best.name : `${best.name}, ${formatPlain(best.value, 3)} mm`,
      reason: `${FITS[input.fit].title} wants ${formatPlain(band.leastMm, 3)} to ${formatPlain(band.mostMm, 3)} mm, for ${FITS[input.fit].use}. The smallest drill that is at least that, never simply the nearest.`,
      picks: [...own, ...tables],
      missing: missingWords(input, band, right, own),
      checks: checksOf(input, best),
      working: log,
      picture: { kind: 'drawing', drawing: draw(input.pinMm, best.value) },
    }
  },
})
