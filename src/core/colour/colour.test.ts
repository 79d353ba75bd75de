import { converter, differenceCiede2000, formatHex, type Lab, type Xyz65 } from 'culori'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS } from '../metals'
import { filmColours, filmOn } from './film-colours'
import { screenColour, seenInDaylight, WAVELENGTHS_NM } from './observer'
import { MATERIALS, opticalConstants } from './optical-constants'
import { type Film, filmReflects } from './thin-film'

type C = readonly [re: number, im: number]
const mul = ([a, b]: C, [c, d]: C): C => [a * c - b * d, a * d + b * c]
const add = ([a, b]: C, [c, d]: C): C => [a + c, b + d]
const sub = ([a, b]: C, [c, d]: C): C => [a - c, b - d]
const div = ([a, b]: C, [c, d]: C): C => [(a * c + b * d) / (c * c + d * d), (b * c - a * d) / (c * c + d * d)]
/** cos and sin of a complex angle by their real and imaginary parts. */
const cosine = ([a, b]: C): C => [Math.cos(a) * Math.cosh(b), -Math.sin(a) * Math.sinh(b)]
const sine = ([a, b]: C): C => [Math.sin(a) * Math.cosh(b), Math.cos(a) * Math.sinh(b)]

/** The same share by the characteristic matrix of a layer, which sums no reflections (textbook optics). */
function byMatrix({ film, metal, thicknessNm }: Film, nm: number): number {
  const constants = (of: Film['film']): C => [opticalConstants(of, nm).re, opticalConstants(of, nm).im]
  const [n1, n2] = [constants(film), constants(metal)]
  const phase = mul([(2 * Math.PI * thicknessNm) / nm, 0], n1)
  const [c, s] = [cosine(phase), sine(phase)]
  const b = add(c, div(mul([0, 1], mul(s, n2)), n1))
  const e = add(mul([0, 1], mul(s, n1)), mul(c, n2))
  const r = div(sub(b, e), add(b, e))
  return r[0] ** 2 + r[1] ** 2
}

const films = fc.record({
  film: fc.constantFrom(...MATERIALS),
  metal: fc.constantFrom(...MATERIALS),
  thicknessNm: fc.double({ min: 0, max: 300, noNaN: true }),
})

describe('light from a film on a metal', () => {
  it('is the same by Airy’s sum and by the characteristic matrix', () =>
    fc.assert(
      fc.property(films, fc.double({ min: 380, max: 780, noNaN: true }), (film, nm) => {
        const share = filmReflects(film, nm)
        expect(Math.abs(share - byMatrix(film, nm))).toBeLessThan(1e-9)
        expect(share).toBeGreaterThanOrEqual(0)
        expect(share).toBeLessThanOrEqual(1 + 1e-9)
      }),
      { numRuns: 400 },
    ))
  it('without a film is Fresnel’s: ((n − 1)² + k²) / ((n + 1)² + k²)', () => {
    for (const metal of MATERIALS)
      for (const nm of WAVELENGTHS_NM) {
        const { re: n, im } = opticalConstants(metal, nm)
        const bare = ((n - 1) ** 2 + im ** 2) / ((n + 1) ** 2 + im ** 2)
        expect(filmReflects({ film: 'copperSulphide', metal, thicknessNm: 0 }, nm)).toBeCloseTo(bare, 12)
      }
  })
})

const reflectedBy = (film: Film, by: typeof filmReflects) => seenInDaylight(WAVELENGTHS_NM.map((nm) => by(film, nm)))

describe('how it looks', () => {
  it('daylight on a perfect mirror is the white of D65: 0.9505, 1, 1.0888 (ISO/CIE 11664-2)', () => {
    const white = seenInDaylight(WAVELENGTHS_NM.map(() => 1))
    expect(white.y).toBe(1)
    expect(Math.abs(white.x - 0.95047)).toBeLessThan(0.001)
    expect(Math.abs(white.z - 1.08883)).toBeLessThan(0.001)
  })
  it('is within delta E 1 of the matrix and a colour package, for every film, metal and thickness', () => {
    const toLab = converter('lab65')
    const deltaE = differenceCiede2000()
    let worst = 0
    for (const kind of ['sulphide', 'oxide'] as const)
      for (const alloy of ALLOY_IDS) {
        const on = filmOn(kind, alloy)
        for (const { thicknessNm, colour } of (on && filmColours(kind, alloy)?.swatches) ?? []) {
          if (!on) continue
          const { x, y, z } = reflectedBy({ ...on, thicknessNm }, byMatrix)
          const theirs: Xyz65 = { mode: 'xyz65', x, y, z }
          const ours: Lab | undefined = toLab(colour) as unknown as Lab
          const shown = formatHex(theirs)
          worst = Math.max(worst, deltaE(ours, toLab(shown) as unknown as Lab))
        }
      }
    expect(worst).toBeLessThan(1)
  })
  it('silver goes through gold, rose and blue, and steel through straw, brown and blue (trade facts)', () => {
    const hue = converter('lch65')
    const hues = (kind: 'sulphide' | 'oxide', alloy: 'sterling-925' | 'mild-steel-1008', nms: readonly number[]) =>
      nms.map((nm) => hue(filmColours(kind, alloy)?.swatches.find(({ thicknessNm }) => thicknessNm === nm)?.colour ?? '')?.h ?? Number.NaN)
    const [gold = 0, rose = 0, blue = 0] = hues('sulphide', 'sterling-925', [10, 20, 30])
    expect(gold).toBeGreaterThan(60)
    expect(gold).toBeLessThan(100)
    expect(rose).toBeLessThan(45)
    expect(blue).toBeGreaterThan(250)
    expect(blue).toBeLessThan(310)
    const [straw = 0, , steelBlue = 0] = hues('oxide', 'mild-steel-1008', [10, 20, 40])
    expect(straw).toBeGreaterThan(50)
    expect(straw).toBeLessThan(95)
    expect(steelBlue).toBeGreaterThan(220)
    expect(steelBlue).toBeLessThan(300)
  })
  it('is none on a metal that no film colours', () => {
    expect(filmColours('sulphide', 'fine-gold')).toBeUndefined()
    expect(filmColours('oxide', 'sterling-925')).toBeUndefined()
    expect(filmColours('sulphide', 'mild-steel-1008')).toBeUndefined()
  })
  it('is a colour a screen can show', () => {
    expect(screenColour({ x: 0.95047, y: 1, z: 1.08883 })).toBe('#ffffff')
    expect(screenColour({ x: 0, y: 0, z: 0 })).toBe('#000000')
    expect(screenColour({ x: 2, y: 0, z: 0 })).toMatch(/^#[0-9a-f]{6}$/)
  })
})
