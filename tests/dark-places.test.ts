import { describe, expect, it } from 'vitest'
import { netAreaMm2 } from '@/core/geometry'
import { type Picture, partingShade, shadesOf } from '@/core/picture'
import { darkPlaces } from '@/files/dark-places'

/** A picture painted pixel by pixel: a shade of grey for each. */
function painted(width: number, height: number, shade: (x: number, y: number) => number, alpha = 255): Picture {
  const rgba = new Uint8ClampedArray(4 * width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = 4 * (y * width + x)
      rgba.fill(shade(x, y), at, at + 3)
      rgba[at + 3] = alpha
    }
  return { width, height, rgba }
}
const within = (x: number, y: number, cx: number, cy: number, r: number) => Math.hypot(x + 0.5 - cx, y + 0.5 - cy) < r
/** A dark disc with a light hole in it, on paper that is darker to one side. */
const washer = painted(400, 300, (x, y) => (within(x, y, 200, 150, 100) && !within(x, y, 200, 150, 40) ? 30 + (x % 7) : 215 - x / 20))
const found = (picture: Picture, widthMm: number, shade?: number) => {
  const answer = darkPlaces(picture, { widthMm, shade })
  if ('fault' in answer) throw new Error(answer.fault)
  return answer
}

describe('the dark of a picture', () => {
  it('is a disc with its hole, of its area to half a per cent (πr²)', () => {
    const { dark, pixelMm } = found(washer, 40)
    expect(pixelMm).toBeCloseTo(0.1, 9)
    expect(dark).toHaveLength(1)
    const [only] = dark
    expect(only?.holes).toHaveLength(1)
    const areaMm2 = only ? netAreaMm2(only.outer, only.holes) : 0
    expect(Math.abs(areaMm2 / (Math.PI * (10 ** 2 - 4 ** 2)) - 1)).toBeLessThan(0.005)
    const xs = only?.outer.map(([x]) => x) ?? []
    expect(Math.min(...xs)).toBeCloseTo(10, 0)
    expect(Math.max(...xs)).toBeCloseTo(30, 0)
  })
  it('stands upright: what is above in the picture is above on the metal', () => {
    const { dark } = found(
      painted(100, 100, (x, y) => (y < 20 && x < 50 ? 0 : 255)),
      50,
    )
    const ys = dark[0]?.outer.map(([, y]) => y) ?? []
    expect(Math.min(...ys)).toBeGreaterThan(39)
    expect(Math.max(...ys)).toBeLessThanOrEqual(50.3)
    expect(Math.max(...(dark[0]?.outer.map(([x]) => x) ?? []))).toBeCloseTo(25, 0)
  })
  it('at a shade of one’s own takes more or less', () => {
    const ramp = painted(256, 64, (x) => x)
    const wide = (shade: number) => Math.max(...(found(ramp, 256, shade).dark[0]?.outer.map(([x]) => x) ?? []))
    for (const shade of [40, 128, 200]) expect(Math.abs(wide(shade) - shade)).toBeLessThan(1.5)
  })
  it('leaves specks out, and says how many', () => {
    const { dark, specks } = found(
      painted(200, 200, (x, y) => (within(x, y, 100, 100, 40) || (x % 50 === 3 && y % 50 === 3) ? 0 : 255)),
      20,
    )
    expect(dark).toHaveLength(1)
    // sixteen, of which one lies in the disc
    expect(specks).toBe(15)
  })
  it.each([
    ['nothing dark', painted(60, 60, () => 255), 'nothing in it is dark'],
    ['a pixel wide', painted(1, 40, () => 0), 'only a pixel wide'],
    ['dust all over', painted(900, 900, (x, y) => (x % 12 < 4 && y % 12 < 4 ? 0 : 255)), 'dark places; 2000 can be etched'],
  ])('%s: said plainly', (_, picture, says) => {
    const answer = darkPlaces(picture, { widthMm: 30, shade: 128 })
    expect('fault' in answer && answer.fault).toContain(says)
  })
  it('counts what is clear as white', () => {
    const answer = darkPlaces(
      painted(60, 60, () => 0, 0),
      { widthMm: 30, shade: 128 },
    )
    expect('fault' in answer).toBe(true)
  })
})

describe('the shade that parts a picture', () => {
  it('lies between its two (Otsu: the most between-class variance, by trying every one)', () => {
    const { grey } = shadesOf(washer, 4e6)
    const spread = (shade: number) => {
      const [dark, light] = [[...grey].filter((g) => g < shade), [...grey].filter((g) => g >= shade)]
      const mean = (of: readonly number[]) => of.reduce((sum, g) => sum + g, 0) / of.length
      return dark.length === 0 || light.length === 0 ? 0 : dark.length * light.length * (mean(dark) - mean(light)) ** 2
    }
    const best = Math.max(...[...Array(256).keys()].filter((shade) => shade % 3 === 0).map(spread))
    expect(spread(partingShade({ grey }))).toBeGreaterThanOrEqual(best * (1 - 1e-9))
  })
  it('of a large picture is that of its means: 20 million pixels are made 4 million at the most', () => {
    const { width, height, pixelsEach } = shadesOf(
      painted(2400, 1800, () => 90),
      1e6,
    )
    expect(pixelsEach).toBe(3)
    expect(width * height).toBeLessThanOrEqual(1e6)
  })
})
