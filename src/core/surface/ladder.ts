import type { Check } from '../forms/contract'
import type { InputIssue } from '../sizes/read-fields'
import { ALL_GRITS, type Grit, gritsNamed } from '../tables/abrasives/grits'
import { figureOf, type OwnFigures } from '../tables/figures'
import { type OwnTool, usable } from '../toolwall/tools'
import { formatPlain } from '../units/format'

/** Deepest scratch by what left it, as the grain that takes it out first (house default). */
export const STARTS: Readonly<Record<string, number>> = { 'saw marks': 68, 'file marks': 68, 'rolled sheet': 35, 'pickled sheet': 25.8 }

/** An abrasive on the ladder. */
export interface Rung {
  readonly name: string
  readonly micron: number
  readonly owned: boolean
}

/** Papers most benches have, each within a step of the next (medium). */
const USUAL = ['P80', 'P120', 'P220', 'P400', 'P800', 'P1200', 'P1500']

/** How much finer the next grain may and should be: at most twice, at least a quarter, or one's own figures. */
function stepLimits(own: OwnFigures) {
  return { skip: figureOf('grit-skip', own), least: figureOf('grit-gain', own) }
}

/** A grade as it is printed on the back; asked back where it could be of several scales. */
export function gritNamed(text: string, path: string): Grit | InputIssue {
  const found = gritsNamed(text)
  const [only] = found
  if (!only)
    return {
      path,
      message: `"${text}" is not a grade in the tables; write P220, CAMI 600, JIS 1000, 15 µm, or ${Object.keys(STARTS).join(', ')}`,
    }
  if (found.length === 1) return only
  const options = found.map((grit) => `${grit.scale} ${grit.name.replace(/^\D+/, '')} is ${formatPlain(grit.micron)} µm`)
  return { path, message: `Which ${text}? ${options.join(', ')}. Write the scale before it.` }
}

/** The deepest scratch: what left it, or a grade; `first` where the first grain takes it out itself. */
export function scratchOf(from: string, path = 'from'): { readonly micron: number; readonly first: boolean } | InputIssue {
  const known = STARTS[from.trim().toLowerCase()]
  if (known !== undefined) return { micron: known, first: true }
  const grit = gritNamed(from, path)
  return 'path' in grit ? grit : { micron: grit.micron, first: false }
}

/** Papers there are, coarse to fine: the smith's own, else the usual. */
export function papersOf(owned: readonly OwnTool[]): Rung[] {
  const own = usable(owned, 'abrasive').filter((tool) => tool.size > 5)
  if (own.length > 0) return own.map((tool) => ({ name: tool.label, micron: tool.size, owned: true })).reverse()
  return ALL_GRITS.filter((grit) => grit.scale === 'FEPA P' && USUAL.includes(grit.name)).map((grit) => ({
    name: grit.name,
    micron: grit.micron,
    owned: false,
  }))
}

interface Climb {
  readonly fromMicron: number
  /** The scratch is what the first grain takes out, not a grain itself. */
  readonly includeFirst: boolean
  readonly targetMicron: number
  readonly steps: readonly Rung[]
  readonly own: OwnFigures
}

/** From a grain the finest that is not a skip, else the next finer there is; until the target is reached or nothing is finer. */
export function climb({ fromMicron, includeFirst, targetMicron, steps, own }: Climb): Rung[] {
  const limits = stepLimits(own)
  const chosen: Rung[] = []
  let micron = includeFirst ? fromMicron * limits.least : fromMicron
  for (;;) {
    const finer = steps.filter((step) => step.micron < micron / 1.05 && step.micron >= targetMicron * 0.95)
    const within = finer.filter((step) => micron / step.micron <= limits.skip)
    const next = includeFirst && chosen.length === 0 ? (finer[0] ?? undefined) : (within.at(-1) ?? finer[0])
    if (!next) return chosen
    chosen.push(next)
    micron = next.micron
  }
}

/** What is wrong with the steps of a ladder: a grit skipped, one that goes back, one of little gain. */
export function ratioChecks(steps: readonly Rung[], fromMicron: number, own: OwnFigures): Check[] {
  const limits = stepLimits(own)
  return steps.flatMap((step, i): Check[] => {
    const before = steps[i - 1]?.micron ?? fromMicron
    const ratio = before / step.micron
    const name = steps[i - 1]?.name ?? 'the scratch'
    const facts = { actual: { value: ratio, unit: 'ratio' as const }, source: 'bench-practice' as const }
    if (ratio > limits.skip * 1.001)
      return [
        {
          level: 'warn',
          code: 'skips-a-grit',
          limit: { value: limits.skip, unit: 'ratio' },
          ...facts,
          message: `From ${name} to ${step.name} is ${ratio.toFixed(2)} times finer: you skip a grit, deep scratches may stay.`,
        },
      ]
    if (ratio < 1 / 1.02)
      return [
        {
          level: 'warn',
          code: 'goes-back',
          limit: { value: 1, unit: 'ratio' },
          ...facts,
          message: `${step.name} is coarser than ${name}: it puts deeper scratches back than the ones that are there.`,
        },
      ]
    if (ratio < limits.least && i > 0)
      return [
        {
          level: 'note',
          code: 'little-gain',
          limit: { value: limits.least, unit: 'ratio' },
          ...facts,
          message: `From ${name} to ${step.name} is only ${ratio.toFixed(2)} times finer: little gain.`,
        },
      ]
    return []
  })
}
