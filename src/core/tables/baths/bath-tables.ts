import { defineTable } from '../table'
import { INCOMPATIBLE, PATINA_METALS, PATINAS, PICKLES } from './bath-data'

const RULES = 'Follow the product’s safety sheet and local rules.'

export const bathTables = [
  defineTable({
    id: 'pickle',
    title: 'Pickles',
    shelf: 'baths',
    about: `Strengths are suggestions: the label wins. No iron, aluminium, zinc, pewter, porous stones, pearls or sealed hollow forms; never red-hot work into acid. ${RULES}`,
    columns: [
      { key: 'strength', label: 'strength' },
      { key: 'temperature', label: 'warm to' },
    ],
    source: 'bench-practice',
    confidence: 'low',
    ownership: 'own',
    rows: () =>
      PICKLES.map((pickle) => ({
        id: pickle.id,
        name: pickle.name,
        cells: { strength: pickle.strength, temperature: pickle.temperature },
        says: pickle.says,
        note: pickle.note,
      })),
  }),
  defineTable({
    id: 'patina',
    title: 'Patinas',
    shelf: 'baths',
    about: `Clean and degrease first, seal afterwards; it wears off the high points. ${RULES}`,
    columns: Object.entries(PATINA_METALS).map(([key, label]) => ({ key, label })),
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () =>
      PATINAS.map((patina) => ({
        id: patina.id,
        name: patina.name,
        cells: Object.fromEntries(Object.keys(PATINA_METALS).map((key, i) => [key, patina.works[i]])),
        says: ['patina', ...patina.says],
        note: patina.note,
      })),
  }),
  defineTable({
    id: 'incompatible',
    title: 'Incompatible materials',
    shelf: 'baths',
    about: `Block cannot be overridden. ${RULES}`,
    columns: [
      { key: 'other', label: 'with' },
      { key: 'result', label: 'gives' },
      { key: 'severity', label: '' },
    ],
    source: 'chemistry',
    confidence: 'high',
    ownership: 'fixed',
    rows: () =>
      INCOMPATIBLE.map((pair) => ({
        id: pair.id,
        name: pair.one,
        cells: { other: pair.other, result: pair.result, severity: pair.severity },
        says: pair.says,
      })),
  }),
] as const
