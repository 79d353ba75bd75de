import { defineTable, type RowSpec } from '../table'
import {
  RING_SCALES,
  type RingSystem,
  ringInsideMm,
  ringNeighbours,
  ringSizeName,
  ringSizeWords,
  ukSizeName,
  usCircumferenceInsideMm,
} from './rings'
import { WIDE_BANDS, wideBandUsSizes } from './wide-band'

const ROUND = { key: 'circumference', label: 'round the inside, mm', unit: 'mm', digits: 2 } as const
const OTHERS: readonly RingSystem[] = ['US', 'UK', 'ISO', 'JP', 'CH']

/** The size nearest on another scale; where it lies between two, both. */
function elsewhere(system: RingSystem, insideDiameterMm: number): string | undefined {
  return ringNeighbours(system, insideDiameterMm) && ringSizeWords(system, insideDiameterMm)
}

function typedSizes(system: RingSystem, size: number): string[] {
  if (system === 'UK') {
    const name = ukSizeName(size)
    return [name, name.replace('½', ' 1/2'), name.replace('½', '.5'), `uk ${name}`, `size ${name}`]
  }
  const name = String(size)
  const words: Readonly<Record<RingSystem, readonly string[]>> = {
    US: ['us'],
    UK: [],
    ISO: ['iso'],
    JP: ['jp', 'japan'],
    CH: ['ch', 'it', 'swiss', 'italian'],
  }
  return [name, ringSizeName(system, size), `size ${name}`, ...words[system].map((word) => `${word} ${name}`)]
}

function ringRow(system: RingSystem, size: number): RowSpec {
  const value = ringInsideMm(system, size)
  const name = system === 'UK' ? ukSizeName(size) : ringSizeName(system, size)
  const others = OTHERS.filter((other) => other !== system).map((other) => [other, elsewhere(other, value)])
  const ties = OTHERS.filter((other) => other !== system && ringNeighbours(other, value)?.tie)
  return {
    id: `s${size}`,
    name: `${system} ${name}`,
    value,
    cells: {
      circumference: Math.PI * value,
      ...Object.fromEntries(others),
      ...(system === 'US' ? { usC: usCircumferenceInsideMm(size) } : {}),
    },
    says: typedSizes(system, size),
    note: ties.length > 0 ? `Lies on the edge between two ${ties.join(' and ')} sizes: both are named.` : undefined,
  }
}

function sizes(system: RingSystem, step: number): number[] {
  const { lowest, highest } = RING_SCALES[system]
  return Array.from({ length: Math.round((highest - lowest) / step) + 1 }, (_, i) => lowest + i * step)
}

function ringTable<const Id extends string>(id: Id, system: RingSystem, about: string) {
  const scale = RING_SCALES[system]
  return defineTable({
    id,
    title: `Ring sizes, ${scale.title}`,
    shelf: 'rings',
    about,
    unit: 'mm',
    valueLabel: 'inside, mm',
    columns: [
      ROUND,
      ...(system === 'US' ? [{ key: 'usC', label: 'inside by the circumference rule, mm', unit: 'mm', digits: 3 } as const] : []),
      ...OTHERS.filter((other) => other !== system).map((other) => ({ key: other, label: other })),
    ],
    source: scale.source,
    confidence: scale.confidence,
    ownership: 'fixed',
    rows: () => sizes(system, scale.step).map((size) => ringRow(system, size)),
  })
}

export const ringTables = [
  ringTable(
    'ring-us',
    'US',
    'Inside diameter 0.458 in and 0.032 for each size. The circumference convention (36.5 + 2.55 a size) comes out up to 0.04 of a size smaller: never mix the two.',
  ),
  ringTable(
    'ring-uk',
    'UK',
    'C is 40 mm round the inside; each letter adds 1.25, a half letter 0.625. Retail charts that tie the letters to US quarter sizes drift off by up to 0.4 of a letter: measure where it matters.',
  ),
  ringTable('ring-iso', 'ISO', 'The size is the inside circumference in millimetres.'),
  ringTable('ring-japan', 'JP', 'Trade numbers: inside diameter (n + 38)/3. The national standard itself is by circumference.'),
  ringTable(
    'ring-continental',
    'CH',
    'Circumference less 40. French charts use this or the ISO number: ask which. Indian charts differ: not offered.',
  ),
  defineTable({
    id: 'ring-wide-band',
    title: 'Wide bands',
    shelf: 'rings',
    about: 'How much larger a wide band is made, in US sizes. A suggestion: better is a sizing gauge of the same width.',
    unit: 'mm',
    valueLabel: 'over, mm wide',
    valueDigits: 0,
    columns: [
      { key: 'add', label: 'add, US sizes', digits: 2 },
      { key: 'range', label: 'range' },
    ],
    source: 'house-default',
    confidence: 'low',
    ownership: 'preset',
    rows: () =>
      [...WIDE_BANDS].reverse().map((row) => ({
        id: `w${row.overMm}`,
        name: `over ${row.overMm} mm`,
        value: row.overMm,
        cells: { add: wideBandUsSizes(row.overMm + 0.1, {}), range: row.range },
        says: ['wide band'],
      })),
  }),
] as const
