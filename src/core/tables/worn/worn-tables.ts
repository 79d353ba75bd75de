import { inchToMm } from '../../units/convert'
import { defineTable } from '../table'
import { bangleInsideMm } from './bangles'

const ASIAN: readonly (readonly [number, number])[] = [
  [2, 0],
  [2, 2],
  [2, 4],
  [2, 6],
  [2, 8],
  [2, 10],
  [2, 12],
  [2, 14],
  [3, 0],
]

export const wornTables = [
  defineTable({
    id: 'bangle-size',
    title: 'Bangle sizes',
    shelf: 'worn',
    about: 'a-b is a inches and b sixteenths inside: 2-4 is 57.15 mm, not 2.4 inches.',
    unit: 'mm',
    valueLabel: 'inside, mm',
    columns: [
      { key: 'inch', label: 'in', unit: 'in', digits: 4 },
      { key: 'circumference', label: 'round the inside, mm', unit: 'mm', digits: 1 },
    ],
    source: 'bangle-scale',
    confidence: 'high',
    ownership: 'fixed',
    rows: () =>
      ASIAN.map(([inches, sixteenths]) => {
        const value = bangleInsideMm(inches, sixteenths) ?? 0
        const name = `${inches}-${sixteenths}`
        return {
          id: name,
          name: `bangle ${name}`,
          value,
          cells: { inch: inches + sixteenths / 16, circumference: Math.PI * value },
          says: [name, `${inches}/${sixteenths}`, `${inches}.${sixteenths}`],
        }
      }),
  }),
  defineTable({
    id: 'bangle-western',
    title: 'Bangles by name',
    shelf: 'worn',
    about: 'The names are not standardised: always say the millimetres. Wider than about 20 mm, add 2 to 3 mm.',
    unit: 'mm',
    valueLabel: 'inside, mm',
    valueDigits: 0,
    columns: [{ key: 'range', label: 'range, mm' }],
    source: 'house-default',
    confidence: 'low',
    ownership: 'preset',
    rows: () => [
      { id: 'small', name: 'small bangle', value: 60, cells: { range: '60' }, says: ['small'] },
      { id: 'medium', name: 'medium bangle', value: 64, cells: { range: '63 to 65' }, says: ['medium'] },
      { id: 'large', name: 'large bangle', value: 68.5, cells: { range: '67 to 70' }, says: ['large'] },
      { id: 'extra-large', name: 'extra large bangle', value: 73, cells: { range: '73' }, says: ['extra large'] },
    ],
  }),
  defineTable({
    id: 'hand-and-wrist',
    title: 'Hand and wrist rules',
    shelf: 'worn',
    about: 'How a bangle or cuff is sized from the body.',
    columns: [
      { key: 'rule', label: 'rule' },
      { key: 'start', label: 'start with' },
    ],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () => [
      {
        id: 'hand-pass',
        name: 'bangle over the hand',
        cells: { rule: 'thumb to little finger, round the knuckles: inside = H/π + ease', start: 'ease 1 mm (0 to 3)' },
        says: ['hand', 'bangle size', 'knuckles'],
      },
      {
        id: 'cuff-length',
        name: 'cuff length',
        cells: { rule: '(C − g)·(1 + π·t/C), C round the wrist inside, g the gap', start: 'gap 28 mm (25 to 32)' },
        says: ['cuff', 'cuff gap'],
      },
      {
        id: 'cuff-bench',
        name: 'cuff, bench rule',
        cells: { rule: 'metal = wrist − 25 mm', start: '152 mm for a wrist of 165 to 178' },
        says: ['cuff rule'],
      },
      {
        id: 'chain-bracelet',
        name: 'chain bracelet',
        cells: { rule: 'wrist + 12 to 25 mm', start: '19 mm' },
        says: ['bracelet'],
      },
    ],
  }),
  defineTable({
    id: 'necklace',
    title: 'Necklaces',
    shelf: 'worn',
    about: 'End to end with the clasp, laid flat. The names overlap.',
    unit: 'mm',
    valueLabel: 'about, mm',
    valueDigits: 0,
    columns: [{ key: 'inches', label: 'in' }],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () =>
      (
        [
          ['collar', 13, '12 to 14'],
          ['choker', 15, '14 to 16'],
          ['princess', 18, '17 to 19'],
          ['matinee', 22, '20 to 24'],
          ['opera', 32, '28 to 36'],
          ['rope', 45, 'over 36, often 45'],
        ] as const
      ).map(([name, inches, range]) => ({
        id: name,
        name: `${name} necklace`,
        value: inchToMm(inches),
        cells: { inches: range },
        says: [name],
      })),
  }),
] as const
