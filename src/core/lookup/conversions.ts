import { fahrenheitDifferenceC, fahrenheitToC, GRAMS_PER, type MassUnit, toGrams } from '../tables/metals/metal-data'
import { formatPlain } from '../units/format'

/** A typed amount in the program's own unit, with how it was taken. */
export interface Conversion {
  readonly text: string
  readonly value: number
  readonly unit: 'g' | '°C'
}

const MASS_WORDS: Readonly<Record<string, readonly MassUnit[]>> = {
  oz: ['troy ounce', 'avoirdupois ounce'],
  ounce: ['troy ounce', 'avoirdupois ounce'],
  ounces: ['troy ounce', 'avoirdupois ounce'],
  ozt: ['troy ounce'],
  'oz t': ['troy ounce'],
  'troy oz': ['troy ounce'],
  'oz av': ['avoirdupois ounce'],
  dwt: ['pennyweight'],
  gr: ['grain'],
  grains: ['grain'],
  lb: ['avoirdupois pound'],
  ct: ['carat'],
  carat: ['carat'],
  carats: ['carat'],
}

const AMOUNT = /^(\d*\.?\d+) ?(oz t|troy oz|oz av|ozt|ounces?|oz|dwt|grains|gr|lb|carats?|ct)(?: (?:in|to|as) g)?$/
const TEMPERATURE = /^(-?\d*\.?\d+) ?°?f(?: (?:in|to|as) °?c)?$/
const DIFFERENCE = /^(-?\d*\.?\d+) ?(?:°?f|f°) ?(?:difference|apart|degrees? apart|higher|lower)$/

function say(value: number, unit: Conversion['unit'], how: string): Conversion {
  return { value, unit, text: `${how}: ${formatPlain(value, 3)} ${unit}` }
}

/**
 * Weights and temperatures in the workshop's own units. "12 oz" comes back twice, troy and avoirdupois, since nobody can tell which;
 * a difference in °F leaves the 32 alone. Nothing where the text is neither.
 */
export function convertAmount(text: string): Conversion[] {
  const plain = text.trim().toLowerCase()
  const amount = AMOUNT.exec(plain)
  if (amount) {
    const [, number, word] = amount
    return (MASS_WORDS[word ?? ''] ?? []).map((unit) =>
      say(toGrams(Number(number), unit), 'g', `${number} ${unit} of ${formatPlain(GRAMS_PER[unit], 4)} g`),
    )
  }
  const difference = DIFFERENCE.exec(plain)
  if (difference) return [say(fahrenheitDifferenceC(Number(difference[1])), '°C', `${difference[1]} Fahrenheit degrees apart`)]
  const temperature = TEMPERATURE.exec(plain)
  return temperature ? [say(fahrenheitToC(Number(temperature[1])), '°C', `${temperature[1]} °F`)] : []
}
