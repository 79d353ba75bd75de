import { mmToBsGauge } from '../tables/gauges/gauges'
import { celsiusToF, fahrenheitDifferenceC, fahrenheitToC, GRAMS_PER, type MassUnit, toGrams } from '../tables/metals/metal-data'
import { formatPlain } from '../units/format'

/** A typed amount in another unit, the program's own or the one asked for, with how it was taken. */
export interface Conversion {
  readonly text: string
  readonly value: number
  readonly unit: 'g' | '°C' | '°F' | '/cm' | 'ga' | MassUnit
}

const MASS_WORDS: Readonly<Record<string, readonly MassUnit[]>> = {
  oz: ['troy ounce', 'avoirdupois ounce'],
  ounce: ['troy ounce', 'avoirdupois ounce'],
  ounces: ['troy ounce', 'avoirdupois ounce'],
  ozt: ['troy ounce'],
  'oz t': ['troy ounce'],
  'troy oz': ['troy ounce'],
  'oz av': ['avoirdupois ounce'],
  'troy ounce': ['troy ounce'],
  'troy ounces': ['troy ounce'],
  pennyweight: ['pennyweight'],
  pennyweights: ['pennyweight'],
  grain: ['grain'],
  lbs: ['avoirdupois pound'],
  pound: ['avoirdupois pound'],
  pounds: ['avoirdupois pound'],
  dwt: ['pennyweight'],
  gr: ['grain'],
  grains: ['grain'],
  lb: ['avoirdupois pound'],
  ct: ['carat'],
  carat: ['carat'],
  carats: ['carat'],
}

const MASS_TEXT = Object.keys(MASS_WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|')
const AMOUNT = new RegExp(`^(\\d*\\.?\\d+) ?(${MASS_TEXT})(?: (?:in|to|as) g(?:rams?)?)?$`)
const FROM_GRAMS = new RegExp(`^(\\d*\\.?\\d+) ?g(?:rams?)? (?:in|to|as) (${MASS_TEXT})$`)
const TEMPERATURE = /^(-?\d*\.?\d+) ?°?f(?: (?:in|to|as) °?c)?$/
const CELSIUS = /^(-?\d*\.?\d+) ?°?c(?: (?:in|to|as) °?f)?$/
const TO_GAUGE = /^(\d*\.?\d+) ?mm (?:in|to|as) (?:b&s |awg )?(?:ga|gauge)$/
const TEETH = /^(\d*\.?\d+) ?(?:tpi|teeth (?:per|to the|an) inch)$/
const DIFFERENCE = /^(-?\d*\.?\d+) ?(?:°?f|f°) ?(?:difference|apart|degrees? apart|higher|lower)$/

const CM_PER_INCH = 2.54

function say(value: number, unit: Conversion['unit'], how: string): Conversion {
  return { value, unit, text: `${how}: ${formatPlain(value, 3)} ${unit}` }
}

/**
 * Weights, temperatures and teeth to the inch in the workshop's own units, and the ways back. "12 oz" comes back twice, troy and avoirdupois, since nobody can tell which;
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
  const grams = FROM_GRAMS.exec(plain)
  if (grams) {
    const [, number, word] = grams
    return (MASS_WORDS[word ?? ''] ?? []).map((unit) => say(Number(number) / GRAMS_PER[unit], unit, `${number} g in ${unit}s`))
  }
  const teeth = TEETH.exec(plain)
  if (teeth) return [say(Number(teeth[1]) / CM_PER_INCH, '/cm', `${teeth[1]} teeth to the inch, to the centimetre`)]
  const gauge = TO_GAUGE.exec(plain)
  if (gauge) return [say(mmToBsGauge(Number(gauge[1])), 'ga', `${gauge[1]} mm as B&S gauge`)]
  const celsius = CELSIUS.exec(plain)
  if (celsius) return [say(celsiusToF(Number(celsius[1])), '°F', `${celsius[1]} °C`)]
  const difference = DIFFERENCE.exec(plain)
  if (difference) return [say(fahrenheitDifferenceC(Number(difference[1])), '°C', `${difference[1]} Fahrenheit degrees apart`)]
  const temperature = TEMPERATURE.exec(plain)
  return temperature ? [say(fahrenheitToC(Number(temperature[1])), '°C', `${temperature[1]} °F`)] : []
}
