import { median } from '../../numerics/median'
import { makeSquares } from '../../numerics/squares'
import { type Field, placesOf } from './field'

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
function termsAt({ width, height }: Field, at: number): Float64Array {
  const x = (2 * (at % width)) / width - 1
  const y = (2 * Math.floor(at / width)) / height - 1
  return Float64Array.of(1, x, y, x * x, x * y, y * y, x * x * x, x * x * y, x * y * y, y * y * y)
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

/** Factors of the surface of the third power through values at places with these terms; those far off are left out. */
function surfaceThrough(values: Float32Array, places: readonly number[], terms: readonly Float64Array[]): number[] {
  let factors: number[] = new Array(TERMS).fill(0)
  let limit = Infinity
  const offs = new Float64Array(places.length)
  for (let round = 0; round < ROUNDS; round++) {
    const squares = makeSquares(TERMS)
    for (let i = 0; i < places.length; i++)
      if (round === 0 || (offs[i] as number) <= limit) squares.add(terms[i] as Float64Array, values[places[i] as number] as number)
    for (let i = 0; i < TERMS; i++) squares.hold(i, 1e-6)
    factors = squares.solve() ?? factors
    for (let i = 0; i < places.length; i++)
      offs[i] = Math.abs((values[places[i] as number] as number) - levelOf(factors, terms[i] as Float64Array))
    limit = 3 * 1.4826 * median(offs) + 0.002
  }
  return factors
}

function levelOf(factors: readonly number[], terms: Float64Array): number {
  let sum = 0
  for (let i = 0; i < TERMS; i++) sum += (factors[i] as number) * (terms[i] as number)
  return sum
}

/** What the whole field would show if all of it were as the places that are known to be bare. */
export function bareCardFrom(field: Field, isBare: (at: number) => boolean): BareCard {
  const all = placesOf(field, isBare)
  const every = Math.max(1, Math.floor(all.length / LEARNT_FROM))
  const places = Array.from({ length: Math.ceil(all.length / every) }, (_, i) => all[i * every] as number)
  const terms = places.map((at) => termsAt(field, at))
  const over = (values: Float32Array) => surfaceOver(field, surfaceThrough(values, places, terms))
  return { luma: over(field.luma), red: over(field.red), blue: over(field.blue) }
}
