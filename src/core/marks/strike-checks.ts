import type { Check } from '../forms/contract'
import { capitalised, formatPlain } from '../units/format'
import { isRound, type PlacedMark } from './placed'

/** Marks whose edges differ by less than this are struck alike. */
const ALIKE = 1.6

/** How much edge a stamp pushes into the metal: all round a dot, twice its width and height of another (low). */
const edgeMm = (mark: PlacedMark) => (isRound(mark) ? Math.PI * mark.widthMm : 2 * (mark.widthMm + mark.heightMm))
const nameOf = ({ kind, text, widthMm }: PlacedMark) =>
  kind === 'letter' ? `the ${text}` : `the ${kind === 'dot' ? 'dots' : text} of ${formatPlain(widthMm, 2)} mm`

/** How the blows differ: the same depth wants a blow as much harder as a stamp has more edge, and the largest are struck first (common practice, low). */
export function strikeChecks(marks: readonly PlacedMark[]): Check[] {
  const struck = marks.filter(({ kind }) => kind !== 'hole').sort((a, b) => edgeMm(a) - edgeMm(b))
  const [small, large] = [struck[0], struck.at(-1)]
  if (!small || !large || edgeMm(large) < ALIKE * edgeMm(small)) return []
  return [
    {
      level: 'note',
      code: 'strike-force',
      actual: { value: edgeMm(large) / edgeMm(small), unit: 'ratio' },
      source: 'bench-practice',
      message: `${capitalised(nameOf(large))} needs about ${formatPlain(edgeMm(large) / edgeMm(small), 1)} times the blow of ${nameOf(small)} to go as deep: the large ones first, on the flat plate, the small ones beside them last. Try each on an offcut of the same thickness.`,
    },
  ]
}
