import { median } from '../../numerics/median'
import { makeSquares } from '../../numerics/squares'
import type { Field } from './field'

/** What the bare card would show at every place of the field. */
export interface BareCard {
  readonly luma: Float32Array
  readonly red: Float32Array
  readonly blue: Float32Array
}

const TERMS = 10
/** So many places are enough for ten unknowns. */
const LEARNT_FROM = 6000
const ROUNDS = 3

/** The ten products of x and y up to the third power, at a place of the field. */
function termsAt({ width, height }: Field, at: number, into: Float64Array): void {
  const x = (2 * (at % width)) / width - 1
  const y = (2 * Math.floor(at / width)) / height - 1
  into[0] = 1
  into[1] = x
  into[2] = y
  into[3] = x * x
  into[4] = x * y
  into[5] = y * y
  into[6] = x * x * x
  into[7] = x * x * y
  into[8] = x * y * y
  into[9] = y * y * y
}

function levelOf(factors: readonly number[], terms: Float64Array): number {
  let sum = 0
  for (let i = 0; i < TERMS; i++) sum += (factors[i] ?? 0) * (terms[i] ?? 0)
  return sum
}

/** A surface at every place of the field: along a row it is a curve of the third power. */
function surfaceOver(
  { width, height }: Field,
  [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, k = 0, l = 0]: readonly number[],
): Float32Array {
  const values = new Float32Array(width * height)
  for (let row = 0, at = 0; row < height; row++) {
    const y = (2 * row) / height - 1
    const [level, slope, bend] = [a + y * (c + y * (f + y * l)), b + y * (e + y * k), d + y * h]
    for (let column = 0; column < width; column++, at++) {
      const x = (2 * column) / width - 1
      values[at] = level + x * (slope + x * (bend + x * g))
    }
  }
  return values
}

/** Factors of the surface of the third power through values at places, those far off left out. */
function surfaceThrough(field: Field, values: Float32Array, places: readonly number[]): number[] {
  let factors: number[] = new Array(TERMS).fill(0)
  let limit = Infinity
  const terms = new Float64Array(TERMS)
  for (let round = 0; round < ROUNDS; round++) {
    const squares = makeSquares(TERMS)
    for (const at of places) {
      termsAt(field, at, terms)
      const value = values[at] ?? 0
      if (round === 0 || Math.abs(value - levelOf(factors, terms)) <= limit) squares.add(terms, value)
    }
    for (let i = 0; i < TERMS; i++) squares.hold(i, 1e-6)
    factors = squares.solve() ?? factors
    const offs = new Array<number>(places.length)
    for (const [i, at] of places.entries()) {
      termsAt(field, at, terms)
      offs[i] = Math.abs((values[at] ?? 0) - levelOf(factors, terms))
    }
    limit = 3 * 1.4826 * median(offs) + 0.002
  }
  return factors
}

/** What the whole field would show if all of it were as the places that are known to be bare. */
export function bareCardFrom(field: Field, isBare: (at: number) => boolean): BareCard {
  const all: number[] = []
  for (let at = 0; at < field.luma.length; at++) if (isBare(at)) all.push(at)
  const every = Math.max(1, Math.floor(all.length / LEARNT_FROM))
  const places = all.filter((_, i) => i % every === 0)
  const over = (values: Float32Array) => surfaceOver(field, surfaceThrough(field, values, places))
  return { luma: over(field.luma), red: over(field.red), blue: over(field.blue) }
}
