import { defineTable } from '../table'
import { RIVET_SCHOOLS } from './rivets'

const RULE = { key: 'rule', label: 'rule' } as const
const USE = { key: 'use', label: 'for' } as const

export const rivetTables = [
  defineTable({
    id: 'rivet-length',
    title: 'Rivet length, each head',
    shelf: 'rivets',
    about: 'Stack and two heads; a headed rivet needs one. Methods are never mixed, and a loose hole swallows wire first.',
    columns: [RULE, USE],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () =>
      RIVET_SCHOOLS.map((school) => ({
        id: school.id,
        name: school.title,
        cells: { rule: school.rule, use: school.use },
        says: ['rivet', 'rivet length'],
        confidence: school.confidence,
      })),
  }),
  defineTable({
    id: 'rivet-place',
    title: 'Where a rivet may go',
    shelf: 'rivets',
    about: 'Presets for flat laps in thin sheet.',
    columns: [RULE, USE],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () => [
      {
        id: 'edge',
        name: 'hole centre to edge',
        cells: { rule: '2·d, or d/2 + 1 mm, the larger', use: '1.5·d where only decorative' },
        says: ['rivet', 'edge distance'],
      },
      {
        id: 'pitch',
        name: 'between rivets',
        cells: { rule: '3·d, or the head + 0.5 mm', use: 'at most about 24 sheet thicknesses' },
        says: ['rivet', 'pitch'],
      },
      {
        id: 'wire',
        name: 'wire for the sheet',
        cells: { rule: '1 to 3 times the thinnest sheet', use: 'thicker stacks want thicker wire' },
        says: ['rivet wire'],
        confidence: 'low',
      },
      { id: 'head', name: 'head', cells: { rule: '1.5 to 2.0·d across', use: 'under 1.3·d it may pull through' }, says: ['rivet head'] },
      {
        id: 'free-end',
        name: 'free end',
        cells: { rule: 'at most 1.5·d', use: 'over that the wire bends, over 2·d it will' },
        says: ['rivet'],
      },
      {
        id: 'flare',
        name: 'tube flare',
        cells: { rule: 'up to 30 to 40 % wider', use: 'anneal first' },
        says: ['tube rivet'],
        confidence: 'low',
      },
    ],
  }),
] as const
