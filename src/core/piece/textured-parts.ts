import type { BoughtTemper } from '../metals/tempers'
import type { OperationId } from '../operations/catalogue'
import { type TextureOutcome, type TextureTime, type TextureWay, textureChecks, textureWay } from '../texture'
import { formatPlain } from '../units/format'
import type { WorkingLog } from '../working/derive'
import type { AskedStep, Before } from './asked-step'
import { outcomeOf, sidesOf, type Texture, type TexturedBlank } from './cut-blanks'
import type { PlannedPart } from './plan-piece'

/** Where its step goes: before the last cut, before the metal is formed, or after. */
const PLACE_OF: Readonly<Record<TextureTime, Before>> = { rough: 'cutting', flat: 'forming', formed: 'setting' }

/** A rough piece is cut to whole hundredths. */
const round = (mm: number) => Number(mm.toFixed(2))

function roughSteps({ roughLengthMm, roughWidthMm }: TextureOutcome): AskedStep[] {
  return [{ op: 'saw', params: { what: 'rough', cutMm: round(roughLengthMm), acrossMm: round(roughWidthMm) } }]
}

/** What comes with the step of a texture: soft metal where it has to be and was not bought so. */
function around({ around: own }: TextureWay, bought: BoughtTemper): Pick<AskedStep, 'with'> {
  const soft: OperationId[] = own?.isSoft && bought !== 'annealed' ? ['anneal', 'pickle'] : []
  return own ? { with: { before: [...soft, ...(own.before ?? [])], after: own.after ?? [] } } : {}
}

/** How a part’s sheet is textured: the sheet and the rough piece to begin with, what it costs, and its steps; undefined where it is not. */
export function textureOf(blank: TexturedBlank & { readonly bought: BoughtTemper }, texture: Texture | undefined) {
  if (!texture) return undefined
  const working: WorkingLog = []
  const { way, asked, outcome } = outcomeOf(blank, texture, working)
  const step: AskedStep | undefined = way.step?.(asked, outcome)
  const steps = step ? [...(way.when === 'rough' ? roughSteps(outcome) : []), { ...step, ...around(way, blank.bought) }] : []
  return {
    way,
    isRough: way.when === 'rough',
    sheetMm: asked.thicknessMm,
    outcome,
    steps,
    before: PLACE_OF[way.when],
    working,
    checks: textureChecks(asked, blank.alloy),
  }
}

/** How thick a sheet is once it is textured, mm; as thick as it is where that comes once the metal is formed. */
export function thicknessFrom(sheetMm: number, { way: id, depthMm }: Texture): number {
  const way = textureWay(id)
  return way.sheetMm ? way.outcome({ thicknessMm: sheetMm, depthMm, lengthMm: 1, widthMm: 1 }, []).afterMm : sheetMm
}

const roughWords = (sides: readonly number[], sheetMm: number) =>
  `${sides.map((mm) => formatPlain(mm, 2)).join(' × ')} mm of ${formatPlain(sheetMm, 2)} mm sheet`

/** The rough piece of a texture, as a smith is told of it. */
export const roughText = ({ outcome, sheetMm }: NonNullable<ReturnType<typeof textureOf>>) =>
  roughWords([outcome.roughLengthMm, outcome.roughWidthMm], sheetMm)

/** What a part is cut from before its texture, as a smith is told of it; undefined where its blank is cut at once. */
export function roughOf({ result, cuts }: Pick<PlannedPart, 'result' | 'cuts'>): string | undefined {
  const [rough] = cuts
  const blank = result?.blanks[0]
  if (!rough || !blank || rough === blank) return undefined
  const [x, y] = sidesOf(rough)
  const [wide, high] = sidesOf(blank)
  return roughWords(wide >= high ? [x, y] : [y, x], rough.thicknessMm)
}
