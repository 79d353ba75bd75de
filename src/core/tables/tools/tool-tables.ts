import { mmToInch } from '../../units/convert'
import { FIGURES, METAL_FIGURES } from '../figures'
import { defineTable, type RowSpec } from '../table'
import { DAPPING_CUPS_MM, DAPPING_PUNCHES_MM } from './dapping'
import { FIGURE_COLUMNS, figureRow } from './figure-row'
import { DISC_CUTTERS_IN, DISC_CUTTERS_MM, HOLE_PUNCHES, STAMP_ADVANCE, STAMP_HEIGHTS, TOOL_FACES } from './tool-data'

const INCH = { key: 'inch', label: 'in', unit: 'in', digits: 4 } as const

function sized(mm: readonly number[], what: string): RowSpec[] {
  return mm.map((value) => ({ id: `d${value}`, name: `${value} mm ${what}`, value, cells: { inch: mmToInch(value) }, says: [what] }))
}

export const toolTables = [
  defineTable({
    id: 'bench-figures',
    title: 'Figures of the bench',
    shelf: 'tools',
    about: 'Presets that plans and advice work with. Put your own beside any of them and it wins from then on.',
    valueLabel: 'preset',
    valueDigits: 2,
    columns: FIGURE_COLUMNS,
    source: 'house-default',
    confidence: 'medium',
    ownership: 'preset',
    takesOwn: true,
    rows: () =>
      Object.entries(FIGURES)
        .filter(([id]) => !Object.hasOwn(METAL_FIGURES, id))
        .map(figureRow),
  }),
  defineTable({
    id: 'dapping-cup',
    title: 'Doming block cups',
    shelf: 'tools',
    about: 'A starting list: measure your own. The disc must not be wider than the cup, and the punch is the cup less twice the metal.',
    unit: 'mm',
    valueLabel: 'mm',
    valueDigits: 2,
    columns: [INCH],
    source: 'house-default',
    confidence: 'low',
    ownership: 'own',
    rows: () => sized(DAPPING_CUPS_MM, 'cup'),
  }),
  defineTable({
    id: 'dapping-punch',
    title: 'Dapping punches',
    shelf: 'tools',
    about: 'Balls as usually sold: they differ from what is stamped on them. Wooden and plastic punches keep a texture.',
    unit: 'mm',
    valueLabel: 'mm',
    valueDigits: 2,
    columns: [INCH],
    source: 'house-default',
    confidence: 'low',
    ownership: 'own',
    rows: () => sized(DAPPING_PUNCHES_MM, 'punch'),
  }),
  defineTable({
    id: 'disc-cutter',
    title: 'Disc cutters',
    shelf: 'tools',
    about: 'The disc comes out the hole less a hair. Sheet annealed or half hard, within the cutter’s rating; one firm blow.',
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source: 'house-default',
    confidence: 'low',
    ownership: 'own',
    rows: () => [
      ...sized(DISC_CUTTERS_MM, 'cutter'),
      ...DISC_CUTTERS_IN.map(
        ([name, inches]): RowSpec => ({
          id: `i${name.replace('/', '-')}`,
          name: `${name} in cutter`,
          value: inches * 25.4,
          cells: { inch: inches },
          says: [name, 'cutter'],
          confidence: 'medium',
        }),
      ),
    ],
  }),
  defineTable({
    id: 'hole-punch',
    title: 'Hole punches',
    shelf: 'tools',
    about: 'Pliers take soft sheet to about 1 mm.',
    unit: 'mm',
    valueLabel: 'mm',
    columns: [INCH],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'own',
    rows: () =>
      HOLE_PUNCHES.map(([name, value, confidence]) => ({
        id: name.replace(/[ /.]/g, '-'),
        name,
        value,
        cells: { inch: mmToInch(value) },
        says: ['hole punch'],
        confidence,
      })),
  }),
  defineTable({
    id: 'stamp-height',
    title: 'Letter stamps',
    shelf: 'tools',
    about: 'Height of the characters. Stamp an alphabet once and measure it: sets differ in width.',
    unit: 'mm',
    valueLabel: 'high, mm',
    columns: [INCH],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'own',
    rows: () =>
      STAMP_HEIGHTS.map(([name, value]) => ({
        id: name.replace(/[ /.]/g, '-'),
        name: `${name} stamps`,
        value,
        cells: { inch: mmToInch(value) },
        says: [name, 'stamp', 'letters'],
      })),
  }),
  defineTable({
    id: 'stamp-spacing',
    title: 'Stamp spacing',
    shelf: 'tools',
    about:
      'How far to move on, as a share of the height. Anneal, back it flat with steel, 0.2 to 0.4 mm deep; start in the middle when centring.',
    valueLabel: 'of the height',
    valueDigits: 2,
    unit: 'ratio',
    source: 'house-default',
    confidence: 'low',
    ownership: 'own',
    rows: () => [
      { id: 'narrow', name: 'I, 1, J and stops', value: STAMP_ADVANCE.narrow, says: ['stamp', 'spacing'] },
      { id: 'medium', name: 'medium capitals', value: STAMP_ADVANCE.medium, says: ['stamp', 'spacing'] },
      { id: 'wide', name: 'M and W', value: STAMP_ADVANCE.wide, says: ['stamp', 'spacing'] },
      { id: 'word', name: 'gap between words', value: STAMP_ADVANCE.wordGap, says: ['stamp', 'spacing'] },
      { id: 'margin', name: 'margin at the side', value: 1, says: ['stamp', 'spacing'] },
    ],
  }),
  defineTable({
    id: 'tool-face',
    title: 'Hammer and tool faces',
    shelf: 'tools',
    about: 'Hard on hard chips: a hardened face never meets another. Eye protection always; dress mushroomed heads.',
    columns: [
      { key: 'hardness', label: 'HRC, about' },
      { key: 'part', label: 'strikes or is struck' },
    ],
    source: 'bench-practice',
    confidence: 'low',
    ownership: 'own',
    rows: () =>
      TOOL_FACES.map((face) => ({
        id: face.id,
        name: face.title,
        cells: {
          hardness: face.hrc ? `${face.hrc[0]} to ${face.hrc[1]}` : 'soft',
          part: face.part === 'striking' ? 'strikes' : 'is struck',
        },
        says: face.title.split(/[ ,]+/).filter((word) => word.length > 3),
      })),
  }),
] as const
