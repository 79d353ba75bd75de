import { ALLOY_IDS, ALLOYS, type Alloy } from '../../metals/alloys'
import { TEMPERS, temperReduction, temperStrain } from '../../metals/tempers'
import { formatPlain } from '../../units/format'
import { METAL_FIGURES } from '../figures'
import { defineTable } from '../table'
import { FIGURE_COLUMNS, figureRow } from '../tools/figure-row'
import { DENSITIES, FINENESS, GRAMS_PER } from './metal-data'

const MASS_NAMES: Readonly<Record<keyof typeof GRAMS_PER, readonly string[]>> = {
  'troy ounce': ['ozt', 'oz', 'ounce', 'troy'],
  pennyweight: ['dwt'],
  grain: ['gr'],
  'avoirdupois ounce': ['oz', 'oz av', 'ounce'],
  'avoirdupois pound': ['lb', 'pound'],
  carat: ['ct', 'carat'],
  gram: ['g'],
}

const idOf = (name: string) => name.replace(/[^a-z0-9]+/gi, '-')

/** The ways a gold is said: 18 k, 18k, 18 kt, 18 ct, 18 karat. */
function karatNames(name: string): string[] {
  const karat = /^(\d+) k gold$/.exec(name)?.[1]
  if (!karat) return [name]
  return ['k', 'kt', 'ct', 'karat', 'carat'].flatMap((word) => [`${karat}${word}`, `${karat} ${word}`, `${karat} ${word} gold`])
}

/** What may be done to a metal, in a word each. */
function takesWords({ behaviour }: Alloy): string {
  const { finish, solders, etches, fuses } = behaviour
  const takes = [...(solders ? ['solder'] : []), ...(etches ? ['etching'] : []), ...(fuses ? ['fusing'] : [])]
  return `${takes.join(', ') || 'no solder, etching or fusing'}; ${finish === 'solid' ? 'sanding' : 'no sanding: a thin layer'}`
}

export const metalTables = [
  defineTable({
    id: 'alloy',
    title: 'Metals worked here',
    shelf: 'metals',
    about: 'What the ribbon, the weights and the heat steps work with.',
    unit: 'g/cm3',
    valueLabel: 'g/cm³',
    valueDigits: 2,
    columns: [
      { key: 'composition', label: 'alloy' },
      { key: 'solidus', label: 'solidus, °C', unit: '°C', digits: 0 },
      { key: 'liquidus', label: 'liquidus, °C', unit: '°C', digits: 0 },
      { key: 'anneal', label: 'anneal, °C' },
      { key: 'torch', label: 'torch to, °C', unit: '°C', digits: 0 },
      { key: 'cue', label: 'looks like' },
      { key: 'quench', label: 'then', isLong: true },
      { key: 'cooling', label: 'because', isLong: true },
      { key: 'oxide', label: 'comes out of the fire', isLong: true },
      { key: 'limit', label: 'rolls between anneals, %', unit: '%', digits: 0 },
      { key: 'takes', label: 'takes', isLong: true },
    ],
    source: 'alloy-handbook',
    confidence: 'high',
    ownership: 'preset',
    rows: () =>
      ALLOY_IDS.map((id) => {
        const alloy = ALLOYS[id]
        return {
          id,
          name: alloy.title,
          value: alloy.densityGPerCm3,
          cells: {
            composition: alloy.composition,
            solidus: alloy.solidusC,
            liquidus: alloy.liquidusC,
            anneal: `${alloy.annealLowC} to ${alloy.annealHighC}`,
            torch: alloy.torchTargetC,
            cue: alloy.annealCue,
            quench: alloy.quench,
            cooling: alloy.cooling,
            oxide: alloy.oxide,
            limit: 100 * alloy.reductionLimitFraction,
            takes: takesWords(alloy),
          },
          says: [id, ...alloy.title.toLowerCase().split(' '), 'anneal'],
          note: alloy.hazards.join(' '),
        }
      }),
  }),
  defineTable({
    id: 'metal-figures',
    title: 'Figures of the metals',
    shelf: 'metals',
    about: 'What ribbon and Form work with. A batch may differ: put your own beside any of them and it wins from then on.',
    valueLabel: 'preset',
    valueDigits: 1,
    columns: FIGURE_COLUMNS,
    source: 'alloy-handbook',
    confidence: 'medium',
    ownership: 'preset',
    takesOwn: true,
    rows: () => Object.entries(METAL_FIGURES).map(figureRow),
  }),
  defineTable({
    id: 'density',
    title: 'Density',
    shelf: 'metals',
    about: 'A sample you weigh yourself wins. Mixing rules do not work for brass and nickel silver: they come out 2 % low.',
    unit: 'g/cm3',
    valueLabel: 'g/cm³',
    valueDigits: 2,
    columns: [{ key: 'range', label: 'range' }],
    source: 'alloy-handbook',
    confidence: 'high',
    ownership: 'preset',
    rows: () =>
      DENSITIES.map(([name, value, confidence, range]) => ({
        id: idOf(name),
        name,
        value,
        cells: { range },
        says: [`${name} density`, 'density', ...name.split(' ').filter((word) => /^[a-z’]{4,}$/.test(word))],
        confidence,
      })),
  }),
  defineTable({
    id: 'temper',
    title: 'Tempers',
    shelf: 'metals',
    about: 'By B&S numbers rolled from annealed: quarter hard is one number, half hard two, hard four.',
    unit: '%',
    valueLabel: 'reduction, %',
    valueDigits: 1,
    columns: [{ key: 'strain', label: 'strain', digits: 3 }],
    source: 'astm-b601',
    confidence: 'high',
    ownership: 'fixed',
    rows: () =>
      TEMPERS.map((temper) => ({
        id: temper,
        name: temper.replaceAll('-', ' '),
        value: 100 * temperReduction(temper),
        cells: { strain: temperStrain(temper) },
        says: [temper, 'temper'],
      })),
  }),
  defineTable({
    id: 'fineness',
    title: 'Fineness and marks',
    shelf: 'metals',
    about:
      '14 k is 583.3 by its karats and is marked 585: the mark is what it must hold. A mark is a legal claim: check the local assay law.',
    unit: '‰',
    valueLabel: 'as marked',
    valueDigits: 0,
    columns: [
      { key: 'byKarat', label: 'by karat or alloy, in 1000', digits: 1 },
      { key: 'mark', label: 'mark' },
    ],
    source: 'iso-9202',
    confidence: 'high',
    ownership: 'fixed',
    rows: () =>
      FINENESS.map(([name, fraction, mark, confidence]) => ({
        id: name.replaceAll(' ', '-'),
        name,
        value: Number(mark),
        cells: { byKarat: 1000 * fraction, mark },
        says: [mark, ...karatNames(name)],
        confidence,
      })),
  }),
  defineTable({
    id: 'mass',
    title: 'Units of weight',
    shelf: 'metals',
    about: 'Always ask which ounce: the troy ounce is a tenth heavier.',
    unit: 'g',
    valueLabel: 'g',
    valueDigits: 6,
    columns: [{ key: 'grains', label: 'grains', digits: 4 }],
    source: 'definition',
    confidence: 'high',
    ownership: 'fixed',
    rows: () =>
      Object.entries(GRAMS_PER).map(([name, grams]) => ({
        id: name.replace(' ', '-'),
        name,
        value: grams,
        cells: { grains: Number(formatPlain(grams / GRAMS_PER.grain, 4)) },
        says: MASS_NAMES[name as keyof typeof GRAMS_PER],
      })),
  }),
] as const
