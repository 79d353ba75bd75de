import type { Picture } from './picture'

/** How dark a picture is, place by place: 0 black, 255 white; so many of its own pixels wide is each. */
export interface Shades {
  readonly width: number
  readonly height: number
  readonly grey: Uint8Array
  readonly pixelsEach: number
}

/** Shares of the channels in a byte of grey, in 65536ths (ITU-R BT.601). */
const [RED, GREEN, BLUE] = [19595, 38470, 7471]

/** The shades of a picture, each the mean of as many pixels as make it no larger than `mostPixels`. What is clear counts as white. */
export function shadesOf({ width, height, rgba }: Picture, mostPixels: number): Shades {
  const each = Math.max(1, Math.ceil(Math.sqrt((width * height) / mostPixels)))
  const [wide, tall] = [Math.floor(width / each), Math.floor(height / each)]
  const grey = new Uint8Array(wide * tall)
  const sums = new Float64Array(wide)
  for (let y = 0; y < tall; y++) {
    sums.fill(0)
    for (let row = y * each; row < (y + 1) * each; row++) {
      let at = 4 * row * width
      for (let x = 0; x < wide; x++) {
        let sum = 0
        for (let n = 0; n < each; n++, at += 4) {
          const luma = (RED * (rgba[at] as number) + GREEN * (rgba[at + 1] as number) + BLUE * (rgba[at + 2] as number)) / 65536
          sum += 255 + ((luma - 255) * (rgba[at + 3] as number)) / 255
        }
        sums[x] = (sums[x] as number) + sum
      }
    }
    for (let x = 0; x < wide; x++) grey[y * wide + x] = Math.round((sums[x] as number) / (each * each))
  }
  return { width: wide, height: tall, grey, pixelsEach: each }
}

/** The shade that parts a picture into dark and light: that which leaves the two most unlike (Otsu 1979). */
export function partingShade({ grey }: Pick<Shades, 'grey'>): number {
  const counts = new Float64Array(256)
  for (const shade of grey) counts[shade] = (counts[shade] as number) + 1
  const total = grey.length
  const sum = counts.reduce((so, count, shade) => so + count * shade, 0)
  let [dark, darkSum, best, from, to] = [0, 0, -1, 127, 127]
  for (let shade = 0; shade < 255; shade++) {
    dark += counts[shade] as number
    darkSum += shade * (counts[shade] as number)
    const light = total - dark
    if (dark === 0 || light === 0) continue
    const between = dark * light * (darkSum / dark - (sum - darkSum) / light) ** 2
    if (between > best * (1 + 1e-12)) [best, from, to] = [between, shade, shade]
    else if (Math.abs(between - best) <= best * 1e-12) to = shade
  }
  return (from + to) / 2 + 0.5
}
