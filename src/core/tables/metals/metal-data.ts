import type { Confidence } from '../../sources/sources'

/** Density at room temperature, g/cm³: name, value, confidence, range or other words. From memory. */
export const DENSITIES: readonly (readonly [string, number, Confidence, string?])[] = [
  ['fine silver', 10.49, 'high'],
  ['sterling silver 925', 10.36, 'high', '10.2 to 10.4'],
  ['silver 958', 10.41, 'medium'],
  ['pure copper', 8.96, 'high'],
  ['copper sheet C110', 8.94, 'high', '8.89 to 8.94'],
  ['brass 70/30', 8.53, 'high'],
  ['brass 63/37', 8.45, 'high', '8.44 to 8.47'],
  ['red brass 85/15', 8.75, 'high'],
  ['jewellers’ bronze 88/12', 8.78, 'medium'],
  ['bronze 90/10', 8.8, 'high'],
  ['phosphor bronze', 8.86, 'medium'],
  ['nickel silver 65-18-17', 8.73, 'medium'],
  ['fine gold', 19.32, 'high'],
  ['gold 22 k yellow', 17.8, 'medium', '17.7 to 17.9'],
  ['gold 18 k yellow', 15.5, 'medium', '15.2 to 15.9'],
  ['gold 18 k rose', 15.1, 'low', '14.9 to 15.3'],
  ['gold 18 k white, palladium', 15.8, 'low', '15.5 to 16.2'],
  ['gold 14 k yellow', 13.1, 'medium', '12.9 to 13.6'],
  ['gold 14 k rose', 13.2, 'low', '12.9 to 13.4'],
  ['gold 14 k white, nickel', 12.7, 'low', '12.5 to 13.0'],
  ['gold 10 k yellow', 11.6, 'low', '11.4 to 11.9'],
  ['gold 9 k yellow', 11.2, 'medium', '11.0 to 11.4'],
  ['aluminium', 2.7, 'high'],
  ['titanium', 4.51, 'high'],
  ['carbon steel', 7.85, 'high'],
  ['stainless 304', 7.93, 'high', '8.00 in some lists'],
  ['zinc', 7.14, 'high'],
  ['tin', 7.29, 'high'],
  ['pewter', 7.28, 'medium'],
  ['lead', 11.34, 'high'],
  ['niobium', 8.57, 'high'],
  ['nickel', 8.91, 'high'],
  ['platinum', 21.45, 'high'],
  ['platinum 950', 20.4, 'low', '20.1 to 20.8'],
  ['palladium', 12.02, 'high'],
]

/** Fineness: name, parts in one by karat or as alloyed, the mark as stamped, confidence. From memory. */
export const FINENESS: readonly (readonly [string, number, string, Confidence])[] = [
  ['fine silver', 0.999, '999', 'high'],
  ['Britannia silver', 0.9584, '958', 'high'],
  ['sterling silver', 0.925, '925', 'high'],
  ['silver 875', 0.875, '875', 'high'],
  ['silver 835', 0.835, '835', 'high'],
  ['silver 830', 0.83, '830', 'high'],
  ['silver 800', 0.8, '800', 'high'],
  ['24 k gold', 1, '999', 'high'],
  ['22 k gold', 22 / 24, '916', 'high'],
  ['21 k gold', 21 / 24, '875', 'high'],
  ['18 k gold', 0.75, '750', 'high'],
  ['14 k gold', 14 / 24, '585', 'high'],
  ['10 k gold', 10 / 24, '417', 'medium'],
  ['9 k gold', 0.375, '375', 'high'],
  ['8 k gold', 8 / 24, '333', 'high'],
  ['platinum 999', 0.999, '999', 'high'],
  ['platinum 950', 0.95, '950', 'high'],
  ['platinum 900', 0.9, '900', 'high'],
  ['platinum 850', 0.85, '850', 'high'],
  ['palladium 999', 0.999, '999', 'high'],
  ['palladium 950', 0.95, '950', 'high'],
  ['palladium 500', 0.5, '500', 'high'],
]

/** Grams in each unit of mass, exact (pound avoirdupois 0.45359237 kg, 1959; troy ounce 480 grains). */
export const GRAMS_PER = {
  'troy ounce': 31.1034768,
  pennyweight: 1.55517384,
  grain: 0.06479891,
  'avoirdupois ounce': 28.349523125,
  'avoirdupois pound': 453.59237,
  carat: 0.2,
  gram: 1,
} as const
export type MassUnit = keyof typeof GRAMS_PER

/** Mass in g of so many units. One troy ounce is 31.1034768 g, one avoirdupois ounce 28.349523125 g. */
export function toGrams(amount: number, unit: MassUnit): number {
  return amount * GRAMS_PER[unit]
}

/** A difference of temperature from °F to °C: the scale only, never the 32. Twenty Fahrenheit degrees apart are 11.1 apart. */
export function fahrenheitDifferenceC(differenceF: number): number {
  return (differenceF * 5) / 9
}

/** A temperature from °C to °F. 700 °C is 1292 °F. */
export function celsiusToF(tempC: number): number {
  return (tempC * 9) / 5 + 32
}

/** A temperature from °F to °C. 1450 °F is 787.8 °C. */
export function fahrenheitToC(tempF: number): number {
  return ((tempF - 32) * 5) / 9
}
