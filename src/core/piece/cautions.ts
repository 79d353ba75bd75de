import { findOperation } from '../operations/catalogue'
import type { PartMetal } from './plan-piece'

/** One hazard of a tray: what it is, the usual protection, and the steps it stands at (counted from 1). */
export interface TrayCaution {
  readonly text: string
  readonly steps: readonly number[]
}

interface Planned {
  readonly op: string
  readonly params?: Readonly<Record<string, unknown>>
}

interface Hazard {
  readonly text: string
  readonly isThere: (planned: readonly Planned[], metals: readonly PartMetal[]) => readonly number[]
}

const at = (steps: readonly Planned[], is: (step: Planned) => boolean) => steps.flatMap((step, i) => (is(step) ? [i + 1] : []))
const isOp =
  (...ids: readonly string[]) =>
  ({ op }: Planned) =>
    ids.includes(op)
const isHeat = ({ op }: Planned) => findOperation(op)?.heatC !== undefined
const isKind = (kind: string) => (step: Planned) => findOperation(step.op)?.resource === kind
const hasZinc = (metals: readonly PartMetal[]) => metals.some(({ alloy }) => alloy.includes('brass') || alloy.includes('nickel'))

/** What no single operation says, because it is what comes together that is the hazard (common practice; the product's safety sheet wins). */
const HAZARDS: readonly Hazard[] = [
  {
    text: 'Brass and nickel silver give off zinc fume when they are overheated: keep under the solidus, ventilate, stop when white smoke rises. Fume fever is felt only hours later.',
    isThere: (steps, metals) => (hasZinc(metals) ? at(steps, isHeat) : []),
  },
  {
    text: 'No iron or steel in the pickle: tweezers of copper, brass or plastic, and binding wire off first. It plates everything in the pot with copper.',
    isThere: (steps) => (steps.some(isOp('bind')) || steps.some(isOp('pickle')) ? at(steps, isOp('pickle')) : []),
  },
  {
    text: 'A hollow closed by solder bursts when it is heated or quenched without an air hole: drill the hole first, let it cool slowly, and let pickle out of it.',
    isThere: (steps, metals) => (metals.length > 0 && steps.some(isOp('match')) ? at(steps, isOp('solder')) : []),
  },
  {
    text: 'Never a hardened hammer on a hardened tool: a soft mallet or a brass hammer on stamps, punches and cutters, and eyes covered.',
    isThere: (steps) => at(steps, isOp('stamp', 'dap', 'letter', 'cut-disc', 'cut-by-die', 'punch-hole')),
  },
  {
    text: 'Rotating work: hair, sleeves and gloves away, work clamped, eyes covered.',
    isThere: (steps) => at(steps, isOp('drill', 'drill-stone', 'buff', 'polish', 'tumble')),
  },
  {
    text: 'Stone, shell and glass are drilled wet: their dust harms the lungs.',
    isThere: (steps) => at(steps, isOp('drill-stone')),
  },
  {
    text: 'Acids and bleach, acids and sulphide, acids and cyanide are never brought together: poisonous gas. One bath at a time on the bench, each in its own labelled jar with its own tongs.',
    isThere: (steps) =>
      steps.some(isKind('bath')) && steps.some(isKind('pickle-pot'))
        ? at(steps, (step) => isKind('bath')(step) || isKind('pickle-pot')(step))
        : [],
  },
  {
    text: 'Acid into water, never water into acid. Gloves, goggles, and water at hand to rinse with.',
    isThere: (steps) => at(steps, isOp('prepare-bath', 'etch', 'patina-dip', 'pickle')),
  },
  {
    text: 'Solvents, wax and lacquer away from the torch and the hot plate; ventilate.',
    isThere: (steps) => at(steps, isOp('lacquer', 'wax', 'strip-resist', 'degrease', 'glue')),
  },
]

/** Every hazard of a route by what is really planned, the same words once with all the steps they stand at. */
export function cautionsOf(steps: readonly Planned[], metals: readonly PartMetal[]): TrayCaution[] {
  const own = new Map<string, number[]>()
  steps.forEach(({ op }, i) => {
    const caution = findOperation(op)?.caution
    if (caution) own.set(caution, [...(own.get(caution) ?? []), i + 1])
  })
  const together = HAZARDS.flatMap(({ text, isThere }) => {
    const there = isThere(steps, metals)
    return there.length > 0 ? [{ text, steps: there }] : []
  })
  return [...[...own].map(([text, there]) => ({ text, steps: there })), ...together]
}
