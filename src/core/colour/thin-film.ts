import { type Complex, type Material, opticalConstants } from './optical-constants'

const times = (a: Complex, b: Complex): Complex => ({ re: a.re * b.re - a.im * b.im, im: a.re * b.im + a.im * b.re })
const plus = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im })
const less = (a: Complex, b: Complex): Complex => ({ re: a.re - b.re, im: a.im - b.im })
const over = (a: Complex, b: Complex): Complex => {
  const size = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / size, im: (a.im * b.re - a.re * b.im) / size }
}
const exp = ({ re, im }: Complex): Complex => ({ re: Math.exp(re) * Math.cos(im), im: Math.exp(re) * Math.sin(im) })
const AIR: Complex = { re: 1, im: 0 }
const ONE: Complex = { re: 1, im: 0 }

/** Fresnel's amplitude reflected at a boundary, looked at squarely. */
const fresnel = (from: Complex, into: Complex) => over(less(from, into), plus(from, into))

/** A film on a metal, and its thickness. */
export interface Film {
  readonly film: Material
  readonly metal: Material
  readonly thicknessNm: number
}

/**
 * The share of light of a wavelength (nm) that a film on a metal reflects in air, looked at squarely: Airy’s sum of all reflections within the
 * film (closed form). 0 to 1.
 */
export function filmReflects({ film, metal, thicknessNm }: Film, nm: number): number {
  const [inFilm, inMetal] = [opticalConstants(film, nm), opticalConstants(metal, nm)]
  const [top, bottom] = [fresnel(AIR, inFilm), fresnel(inFilm, inMetal)]
  const path = (4 * Math.PI * thicknessNm) / nm
  const through = exp(times({ re: 0, im: -path }, inFilm))
  const inner = times(bottom, through)
  const amplitude = over(plus(top, inner), plus(ONE, times(top, inner)))
  return amplitude.re ** 2 + amplitude.im ** 2
}
