import type { OwnFigures } from '../tables/figures'
import { BLADES, kerfOfMm, teethInMetal, teethLimits } from '../tables/saws/blades'
import { type Bench, type OwnTool, usable } from '../toolwall/tools'

/** A blade to choose from: from the tables, or the smith's own. */
export interface SawBlade {
  readonly name: string
  readonly widthMm: number
  readonly thicknessMm: number
  readonly teethPerCm: number
  readonly owned: boolean
}

/** What is sawn, and by whose figures it is judged. */
interface Sawn {
  readonly thicknessMm: number
  readonly tiltDeg: number
  readonly figures: OwnFigures
}

/** The smith's own blades of which width and teeth are known, and that are not used up. */
export function ownBlades(tools: readonly OwnTool[]): SawBlade[] {
  return usable(tools, 'blade').flatMap((tool) => {
    const { widthMm, teethPerCm } = tool.facts ?? {}
    return widthMm && teethPerCm ? [{ name: tool.label, thicknessMm: tool.size, widthMm, teethPerCm, owned: true }] : []
  })
}

/** Teeth of a blade that stand in what is sawn. */
export function teethOf(blade: SawBlade, { thicknessMm, tiltDeg }: Pick<Sawn, 'thicknessMm' | 'tiltDeg'>): number {
  return teethInMetal(blade.teethPerCm, thicknessMm, (tiltDeg * Math.PI) / 180)
}

/** Whether a blade suits what is sawn, by the teeth that stand in it. */
export function gradeOf(blade: SawBlade, sawn: Sawn): 'right' | 'usable' | 'no' {
  const teeth = teethOf(blade, sawn)
  const limits = teethLimits(sawn.figures)
  if (teeth >= limits.aimLeast && teeth <= limits.aimMost) return 'right'
  return teeth >= limits.least && teeth <= limits.most ? 'usable' : 'no'
}

/** How far the count of teeth is from the middle of what is aimed at, as a ratio. */
export function missOf(blade: SawBlade, sawn: Sawn): number {
  const { aimLeast, aimMost } = teethLimits(sawn.figures)
  return Math.abs(Math.log(teethOf(blade, sawn) / Math.sqrt(aimLeast * aimMost)))
}

/** The blade whose count of teeth is nearest to what is aimed at. */
export function bestBlade(blades: readonly SawBlade[], sawn: Sawn): SawBlade | undefined {
  return [...blades].sort((a, b) => missOf(a, sawn) - missOf(b, sawn))[0]
}

/** The blade for a thickness, and its kerf, mm: the smith's own best where it suits, else the best of the tables. */
export function bladeFor(
  thicknessMm: number,
  { tools, figures }: Bench,
): { readonly blade: SawBlade; readonly kerfMm: number } | undefined {
  const sawn = { thicknessMm, tiltDeg: 0, figures }
  const own = bestBlade(ownBlades(tools), sawn)
  const best =
    own && gradeOf(own, sawn) !== 'no'
      ? own
      : bestBlade(
          BLADES.map((blade) => ({ ...blade, owned: false })),
          sawn,
        )
  return best && { blade: best, kerfMm: kerfOfMm(best, figures) }
}
