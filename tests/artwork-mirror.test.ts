import sharp, { type Sharp } from 'sharp'
import { describe, expect, it } from 'vitest'
import { artworkSvg, etchInput, etchPlan } from '@/core/etching'
import type { Region } from '@/core/geometry'

/** A letter F and a dot: what is mirrored, turned round or upside down looks different. */
const F: [number, number][] = [
  [4, 3],
  [7, 3],
  [7, 11],
  [14, 11],
  [14, 14],
  [7, 14],
  [7, 19],
  [17, 19],
  [17, 22],
  [4, 22],
]
const DOT: [number, number][] = Array.from({ length: 24 }, (_, i) => [
  29 + 3 * Math.cos((i * Math.PI) / 12),
  7 + 3 * Math.sin((i * Math.PI) / 12),
])
const outer: [number, number][] = [
  [0, 0],
  [36, 0],
  [36, 26],
  [0, 26],
]
const blank: Region = { outer, holes: [] }

/** The artwork rendered by the system’s SVG library, ten pixels to a millimetre, grey. */
async function rendered(isMirrored: boolean) {
  const etch = etchPlan(etchInput.parse({ alloy: 'copper-c110', thicknessMm: 1, outer, dark: [F, DOT], depthMm: 0.1 }))
  const svg = artworkSvg('F', blank, etch.covered, isMirrored)
  return sharp(Buffer.from(svg)).resize(360, 260, { fit: 'fill' }).flatten({ background: '#ffffff' }).greyscale()
}
const bytes = async (picture: Sharp) => picture.raw().toBuffer()
const differing = (a: Buffer, b: Buffer) => a.reduce((count, byte, i) => count + (Math.abs(byte - (b[i] ?? 0)) > 96 ? 1 : 0), 0) / a.length

describe('artwork as it is printed', () => {
  it('mirrored is the picture of the other turned over, pixel by pixel', async () => {
    const [plain, mirrored] = [await rendered(false), await rendered(true)]
    const turned = await bytes(
      sharp(await plain.clone().png().toBuffer())
        .flop()
        .greyscale(),
    )
    expect(differing(await bytes(mirrored.clone()), turned)).toBeLessThan(0.002)
    expect(differing(await bytes(mirrored.clone()), await bytes(plain.clone()))).toBeGreaterThan(0.05)
  })
  it('not mirrored reads as it was drawn: the F stands at the left with its arms to the right, its top above', async () => {
    const picture = await bytes(await rendered(false))
    const isDark = (xMm: number, yMm: number) => (picture[360 * Math.round(10 * (26 - yMm)) + Math.round(10 * xMm)] ?? 255) < 128
    expect([isDark(5, 5), isDark(15, 20.5), isDark(12, 12.5), isDark(29, 7)]).toEqual([true, true, true, true])
    expect([isDark(15, 5), isDark(31, 20), isDark(15, 16)]).toEqual([false, false, false])
  })
  it('toner is printed mirrored, what is painted or taped is not', () => {
    const mirrored = (resist: string) =>
      etchPlan(etchInput.parse({ alloy: 'copper-c110', thicknessMm: 1, outer, dark: [F], depthMm: 0.1, resist })).isMirrored
    expect(['toner-transfer', 'painted', 'tape', 'photo-film'].map(mirrored)).toEqual([true, false, false, false])
  })
})
