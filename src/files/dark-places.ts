import { contours } from 'd3-contour'
import { netAreaMm2, type Outline, type Point, type Region, withFewerPoints } from '@/core/geometry'
import { type Picture, partingShade, shadesOf } from '@/core/picture'

export interface ArtworkAsked {
  /** How wide the picture is to be on the metal, mm. */
  readonly widthMm: number
  /** Darker than this is dark, 1 to 254; without it, the shade that parts the picture best. */
  readonly shade?: number | undefined
}

export interface PictureArtwork {
  /** Each dark place with the light ones in it, mm; the lower left corner of the picture is 0, 0. */
  readonly dark: readonly Region[]
  readonly shade: number
  /** How much a pixel that was read is on the metal, mm: no edge is finer than that. */
  readonly pixelMm: number
  /** Specks left out: smaller than a few pixels. */
  readonly specks: number
}

/** Pixels that are read at the most, dark places, and points of one outline, that an artwork may have. */
const MOST_PIXELS = 4_000_000
const MOST_PLACES = 2000
const MOST_POINTS = 4000
/** A place of fewer pixels than this is dirt. */
const SPECK_PIXELS = 6
/** How far the line may leave the pixels, in pixels. */
const SLACK_PIXELS = 0.35

/** The dark places of a picture by their edges, at the size they are to have on the metal; the fault of one that has none, or far too many. */
export function darkPlaces(picture: Picture, { widthMm, shade: asked }: ArtworkAsked): PictureArtwork | { readonly fault: string } {
  const { width, height, grey } = shadesOf(picture, MOST_PIXELS)
  if (width < 2 || height < 2) return { fault: 'it is only a pixel wide or high' }
  const shade = asked ?? partingShade({ grey })
  const pixelMm = widthMm / width
  // a rim of white closes what is dark at the edge of the picture
  const [wide, tall] = [width + 2, height + 2]
  const darkness = new Float32Array(wide * tall)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) darkness[(y + 1) * wide + x + 1] = 255 - (grey[y * width + x] as number)
  const found = contours()
    .size([wide, tall])
    .contour(darkness as unknown as number[], 255 - shade)
  const toMm = ([x, y]: number[]): Point => [((x ?? 0) - 1) * pixelMm, (height + 1 - (y ?? 0)) * pixelMm]
  const ring = (line: number[][]): Outline => withFewerPoints(line.slice(0, -1).map(toMm), SLACK_PIXELS * pixelMm)
  const isSpeck = (outline: Outline) => outline.length < 3 || netAreaMm2(outline, []) < SPECK_PIXELS * pixelMm ** 2
  const all = found.coordinates.map(([outer = [], ...holes]) => ({
    outer: ring(outer),
    holes: holes.map(ring).filter((hole) => !isSpeck(hole)),
  }))
  const dark = all.filter(({ outer }) => !isSpeck(outer))
  if (dark.length === 0) return { fault: 'nothing in it is dark: set the shade higher, or take a picture in black on white' }
  if (dark.length > MOST_PLACES)
    return { fault: `it has ${dark.length} dark places; ${MOST_PLACES} can be etched. Take a cleaner picture, or set another shade` }
  const most = Math.max(...dark.flatMap(({ outer, holes }) => [outer, ...holes].map(({ length }) => length)))
  if (most > MOST_POINTS)
    return { fault: `one edge in it has ${most} corners; ${MOST_POINTS} can be followed. Take a smoother or a smaller picture` }
  return { dark, shade, pixelMm, specks: all.length - dark.length }
}
