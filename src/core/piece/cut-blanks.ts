import type { Blank } from '../forms/contract'
import { boundsOf } from '../geometry/point'
import type { SurfaceChoices } from '../surface'
import { massWith, type OwnFigures } from '../tables/figures'
import { textureWay } from '../texture'
import type { WorkingLog } from '../working/derive'

/** A blank as its texture asks for it. */
export type TexturedBlank = Pick<Blank, 'alloy' | 'thicknessMm' | 'outline'>
export type Texture = NonNullable<SurfaceChoices['texture']>

/** The sides of a blank's box, mm: along x and along y. */
export function sidesOf({ outline }: Pick<Blank, 'outline'>): readonly [number, number] {
  const { minX, maxX, minY, maxY } = boundsOf(outline)
  return [maxX - minX, maxY - minY]
}

/** What comes of a texture on a blank: the sheet to begin with ends as thick as the blank, the rough piece as large; mm. */
export function outcomeOf(blank: TexturedBlank, { way: id, depthMm }: Texture, log: WorkingLog) {
  const way = textureWay(id)
  const [x, y] = sidesOf(blank)
  const sheetMm = way.sheetMm?.({ thicknessMm: blank.thicknessMm, depthMm }, log) ?? blank.thicknessMm
  const asked = { thicknessMm: sheetMm, depthMm, lengthMm: Math.max(x, y), widthMm: Math.min(x, y) }
  return { way, asked, outcome: way.outcome(asked, log) }
}

/**
 * The blanks of a part as they are cut from stock: where its sheet is textured before the last cut, the first is the rough piece, in the sheet
 * that ends as thick as the blank.
 */
export function cutBlanks(blanks: readonly Blank[], texture: Texture | undefined, figures: OwnFigures): readonly Blank[] {
  const [first, ...others] = blanks
  if (!first || !texture || first.stock !== 'sheet' || textureWay(texture.way).when !== 'rough') return blanks
  const { asked, outcome } = outcomeOf(first, texture, [])
  const [x, y] = sidesOf(first)
  const [width, height] = x >= y ? [outcome.roughLengthMm, outcome.roughWidthMm] : [outcome.roughWidthMm, outcome.roughLengthMm]
  const areaMm2 = width * height
  const { circleRadiusMm: _, ...same } = first
  const rough: Blank = {
    ...same,
    name: `${first.name}, rough for its texture`,
    thicknessMm: asked.thicknessMm,
    outline: [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ],
    holes: [],
    areaMm2,
    massG: massWith(first.alloy, areaMm2 * asked.thicknessMm, figures),
  }
  return [rough, ...others]
}
