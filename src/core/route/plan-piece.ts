import type { Blank, FormResult } from '../forms/contract'
import type { RunOptions } from '../forms/define-form'
import { findForm } from '../forms/registry'
import { boundsOf } from '../geometry/point'
import type { BoughtTemper } from '../metals/tempers'
import type { InputIssue } from '../sizes/read-fields'
import type { DesignStep } from './design-step'
import { applyEdits, type Misfit, NO_EDITS, type RouteEdits } from './edits'
import type { RegionSize, TemperInput } from './temper'

/** What a smith has decided about a piece: its parts with what was typed into them, the stock's temper, and what was changed on the route. */
export interface PieceDesign {
  readonly parts: readonly {
    readonly id: string
    readonly form: string
    readonly inputVersion: number
    readonly input: Readonly<Record<string, unknown>>
  }[]
  readonly bought: BoughtTemper
  readonly route?: RouteEdits | undefined
}

/** The workshop's ring system, its own tools and its own figures. */
export type PlanOptions = Omit<RunOptions, 'inputVersion'>

export type PiecePlan =
  | {
      readonly ok: true
      readonly result: FormResult
      /** The form's own steps. */
      readonly base: readonly DesignStep[]
      /** The steps with the smith's edits over them. */
      readonly steps: readonly DesignStep[]
      readonly misfits: readonly Misfit[]
      readonly temper: TemperInput
    }
  | { readonly ok: false; readonly issues: readonly InputIssue[] }

/** The form's own steps. Each is known by its operation and, where that comes more than once, by which time it is: `dap`, `dap.2`. */
function stepsOf(result: FormResult): DesignStep[] {
  const seen = new Map<string, number>()
  return result.route.map((step) => {
    const time = (seen.get(step.op) ?? 0) + 1
    seen.set(step.op, time)
    const id = time === 1 ? step.op : `${step.op}.${time}`
    return { id, op: step.op, params: { ...step.params }, ...(step.target ? { target: step.target } : {}) }
  })
}

/** How wide a blank is along its bends: the narrow way of a sheet, the thickness of a wire. */
function bendWidthMm({ stock, thicknessMm, outline, bendWidthMm: known }: Blank): number {
  if (known !== undefined) return known
  if (stock === 'wire') return thicknessMm
  const box = boundsOf(outline)
  return Math.min(box.maxX - box.minX, box.maxY - box.minY)
}

/** The regions of a piece, those of another blank with its size. */
function regionsOf({ regions, regionBlanks, blanks }: FormResult): (string | RegionSize)[] {
  return regions.map((region) => {
    const other = blanks.find((blank) => blank.name === regionBlanks?.[region])
    return other ? { region, thicknessMm: other.thicknessMm, widthMm: bendWidthMm(other) } : region
  })
}

/** Recomputes a piece from its design: result, steps in order, and what the temper ribbon needs. */
export function planPiece(design: PieceDesign, options: PlanOptions = {}): PiecePlan {
  const part = design.parts[0]
  const form = part && findForm(part.form)
  if (!part || !form) return { ok: false, issues: [{ path: 'form', message: `the form "${part?.form ?? ''}" is not in this version` }] }
  // how many there are is the piece's own, not one part's
  const { qty: _, ...input } = part.input
  const run = form.run(input, { inputVersion: part.inputVersion, ...options })
  if (!run.ok) return run
  const [blank] = run.result.blanks
  const base = stepsOf(run.result)
  const { steps, misfits } = applyEdits(base, design.route ?? NO_EDITS)
  const temper: TemperInput = {
    alloy: blank?.alloy ?? 'sterling-925',
    thicknessMm: blank?.thicknessMm ?? 1,
    ...(blank ? { widthMm: bendWidthMm(blank) } : {}),
    bought: design.bought,
    regions: regionsOf(run.result),
    steps,
  }
  return { ok: true, result: run.result, base, steps, misfits, temper }
}
