import * as z from 'zod'
import { rectangleOutline } from '@/core/geometry'
import { ALLOY_IDS } from '@/core/metals'
import { describeMeaning, parseSize } from '@/core/sizes'
import { formatPlain } from '@/core/units'
import { type ActionIssue, linesOf, ownAction, refuse } from './action'

const stockSchema = z.object({
  kind: z.enum(['sheet', 'wire']),
  alloy: z.enum(ALLOY_IDS, { error: 'Metal: choose one' }),
  thickness: z.string(),
  measured: z.string().default(''),
  width: z.string().default(''),
  length: z.string(),
  temper: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('unknown'),
})

interface Range {
  readonly path: string
  readonly label: string
  readonly min: number
  readonly max: number
}

const RANGES = {
  thickness: { path: 'thickness', label: 'Thickness', min: 0.05, max: 12 },
  measured: { path: 'measured', label: 'As measured', min: 0.05, max: 12 },
  width: { path: 'width', label: 'Width', min: 1, max: 2000 },
  length: { path: 'length', label: 'Length', min: 1, max: 20000 },
} as const satisfies Record<string, Range>

function readLength(text: string, range: Range, issues: ActionIssue[]): number {
  const reading = parseSize(text, { gaugeSystem: 'B&S', expects: range.path === 'thickness' ? 'thickness' : 'length' })
  const possible = `possible is ${formatPlain(range.min)} to ${formatPlain(range.max)} mm`
  if (!('mm' in reading)) {
    issues.push({
      path: range.path,
      message: `${range.label}: ${reading.kind === 'unknown' ? reading.message : reading.question}; ${possible}`,
    })
    return 0
  }
  if (reading.mm < range.min || reading.mm > range.max)
    issues.push({ path: range.path, message: `${range.label}: ${describeMeaning(reading)} was given; ${possible}` })
  return reading.mm
}

/** Puts a sheet or a wire into the drawer. */
export const addStock = ownAction({
  input: stockSchema,
  against: 'new',
  run: ({ drawer, transaction }, data) => {
    const issues: ActionIssue[] = []
    const thicknessMm = readLength(data.thickness, RANGES.thickness, issues)
    const measuredMm = data.measured.trim() === '' ? null : readLength(data.measured, RANGES.measured, issues)
    const lengthMm = readLength(data.length, RANGES.length, issues)
    const widthMm = data.kind === 'sheet' ? readLength(data.width, RANGES.width, issues) : 0
    if (issues.length > 0) return refuse(issues.map((issue) => issue.message).join('. '), issues)
    const sheet = data.kind === 'sheet'
    return transaction(() => {
      const label = drawer.nextLabel(data.kind)
      const id = drawer.add({
        label,
        kind: data.kind,
        alloy: data.alloy,
        thicknessTyped: data.thickness,
        thicknessMm,
        measuredMm,
        temper: data.temper,
        parentId: null,
        outer: sheet ? rectangleOutline(lengthMm, widthMm) : null,
        holes: [],
        lengthMm: sheet ? null : lengthMm,
      })
      return { ok: true as const, id, label }
    })
  },
})

/** Keeps the thickness a smith measured; it wins over the nominal one from then on. */
export const measureStock = ownAction({
  input: z.object({ id: z.number(), typed: z.string().max(60) }),
  against: ({ drawer }, { id, typed }) => {
    const stock = drawer.one(id)
    return (
      stock && {
        revision: stock.revision,
        lines: linesOf({ measured: 'As measured, mm' }, { measured: stock.measuredMm }, { measured: typed.trim() }),
      }
    )
  },
  run: ({ drawer }, { id, typed }) => {
    const issues: ActionIssue[] = []
    const measuredMm = typed.trim() === '' ? null : readLength(typed, RANGES.measured, issues)
    if (issues.length > 0) return refuse(issues[0]?.message ?? '', issues)
    if (!drawer.setMeasured(id, measuredMm)) return refuse('This stock is no longer in the drawer.', [], 'gone')
    return { ok: true }
  },
})
