import { defineTable, type RowSpec } from '../table'
import { ALL_GRITS, GRITS, type Grit, type GritScale, nearestGrit } from './grits'

function share(from: number, to: number): string {
  const percent = 100 * (to / from - 1)
  return `${percent < -0.5 ? '−' : percent > 0.5 ? '+' : ''}${Math.abs(percent).toFixed(0)} %`
}

function typed(grit: Grit): string[] {
  const number = grit.name.replace(/^\D+/, '').replace(' µm', '')
  if (grit.scale === 'film') return [`${number} um`, `${number} micron`]
  const words: Readonly<Record<Exclude<GritScale, 'film'>, readonly string[]>> = {
    'FEPA P': [`p ${number}`, `fepa p${number}`],
    CAMI: [`cami ${number}`],
    JIS: [`jis ${number}`],
    'FEPA F': [`fepa f${number}`],
  }
  return [number, `${number} grit`, ...words[grit.scale]]
}

function gritRow(grit: Grit): RowSpec {
  const other = grit.scale === 'FEPA P' ? 'CAMI' : 'FEPA P'
  const near = nearestGrit(other, grit.micron)
  return {
    id: grit.name.replace(/[^A-Za-z0-9.]/g, '').toLowerCase() || grit.name,
    name: grit.scale === 'CAMI' ? `CAMI ${grit.name}` : grit.scale === 'JIS' ? `JIS ${grit.name}` : grit.name,
    value: grit.micron,
    cells: { near: `${near.scale === 'CAMI' ? 'CAMI ' : ''}${near.name} (${share(grit.micron, near.micron)})` },
    says: typed(grit),
    confidence: grit.confidence,
  }
}

function gritTable<const Id extends string>(id: Id, scale: GritScale, about: string) {
  const { title, source, confidence } = GRITS[scale]
  return defineTable({
    id,
    title,
    shelf: 'abrasives',
    about,
    unit: 'µm',
    valueLabel: 'µm',
    valueDigits: 1,
    columns: [{ key: 'near', label: scale === 'FEPA P' ? 'nearest CAMI' : 'nearest FEPA P' }],
    source,
    confidence,
    ownership: 'fixed',
    rows: () => ALL_GRITS.filter((grit) => grit.scale === scale).map(gritRow),
  })
}

interface Soft {
  readonly id: string
  readonly name: string
  readonly micron: number
  readonly range: string
  readonly says: readonly string[]
}

function softRow(item: Soft): RowSpec {
  return { id: item.id, name: item.name, value: item.micron, cells: { range: item.range }, says: item.says }
}

const RANGE = { key: 'range', label: 'range' } as const

export const abrasiveTables = [
  gritTable(
    'abrasive-fepa-p',
    'FEPA P',
    'Up to about 220 the P and the American number nearly agree; above it the American number is much finer: CAMI 600 is P1200.',
  ),
  gritTable('abrasive-cami', 'CAMI', 'American papers without the P. Sources differ by about 5 %.'),
  gritTable('abrasive-jis', 'JIS', 'Sharpening stones and some film.'),
  gritTable('abrasive-fepa-f', 'FEPA F', 'Wheels, not papers: F600 is 9.3 µm where P600 is 25.8. Never read F as P.'),
  gritTable('abrasive-film', 'film', 'The size is the name; film cuts finer and flatter than paper of that size.'),
  defineTable({
    id: 'steel-wool',
    title: 'Steel wool',
    shelf: 'abrasives',
    about: 'Leaves iron behind: never in the pickle, nor work that has not been rinsed.',
    unit: 'mm',
    valueLabel: 'fibre, mm',
    columns: [],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () =>
      (
        [
          ['0000', 0.025],
          ['000', 0.035],
          ['00', 0.04],
          ['0', 0.05],
          ['1', 0.06],
          ['2', 0.075],
          ['3', 0.09],
          ['4', 0.1],
        ] as const
      ).map(([name, value]) => ({ id: `w${name}`, name: `${name} steel wool`, value, says: [name, `${name} wool`, 'steel wool'] })),
  }),
  defineTable({
    id: 'polish',
    title: 'Compounds',
    shelf: 'abrasives',
    about: 'One buff to a compound; degrease between. The sizes are guesses, the order is not.',
    unit: 'µm',
    valueLabel: 'about, µm',
    valueDigits: 1,
    columns: [RANGE],
    source: 'bench-practice',
    confidence: 'low',
    ownership: 'preset',
    rows: () =>
      (
        [
          { id: 'bobbing', name: 'bobbing, pumice', micron: 45, range: '30 to 60', says: ['pumice', 'bobbing compound'] },
          { id: 'tripoli', name: 'tripoli', micron: 10, range: '5 to 15', says: ['tripoli', 'cut'] },
          { id: 'white', name: 'white alumina', micron: 2, range: '1 to 3', says: ['alumina', 'white diamond'] },
          { id: 'rouge', name: 'red rouge', micron: 0.75, range: '0.5 to 1', says: ['rouge', 'colour'] },
          { id: 'green', name: 'green chrome oxide', micron: 0.4, range: '0.3 to 0.5', says: ['chrome oxide', 'green rouge'] },
        ] as const
      ).map(softRow),
  }),
  defineTable({
    id: 'soft-abrasive',
    title: 'Pads, points and bristle',
    shelf: 'abrasives',
    about: 'Not standardised: enter your own with the micron you find it works like.',
    unit: 'µm',
    valueLabel: 'about, µm',
    valueDigits: 0,
    columns: [RANGE],
    source: 'house-default',
    confidence: 'low',
    ownership: 'own',
    rows: () =>
      (
        [
          { id: 'pad-coarse', name: 'non-woven pad, coarse', micron: 130, range: 'P100 to P150', says: ['pad'] },
          { id: 'pad-medium', name: 'non-woven pad, medium', micron: 75, range: 'P180 to P220', says: ['pad'] },
          { id: 'pad-very-fine', name: 'non-woven pad, very fine', micron: 47, range: 'P280 to P360', says: ['pad'] },
          { id: 'pad-ultra-fine', name: 'non-woven pad, ultra fine', micron: 24, range: 'P600 to P800', says: ['pad'] },
          { id: 'silicone-coarse', name: 'silicone point, coarse', micron: 120, range: '100 to 150 mesh', says: ['silicone'] },
          { id: 'silicone-medium', name: 'silicone point, medium', micron: 56, range: '220 to 320 mesh', says: ['silicone'] },
          { id: 'silicone-fine', name: 'silicone point, fine', micron: 25, range: 'about 600 mesh', says: ['silicone'] },
          { id: 'silicone-extra-fine', name: 'silicone point, extra fine', micron: 15, range: '1000 mesh and up', says: ['silicone'] },
          { id: 'bristle-80', name: 'radial bristle, 80', micron: 180, range: '36 to 80', says: ['bristle', 'radial'] },
          { id: 'bristle-220', name: 'radial bristle, 220', micron: 66, range: '220', says: ['bristle', 'radial'] },
          { id: 'bristle-400', name: 'radial bristle, 400', micron: 24, range: '400', says: ['bristle', 'radial'] },
          { id: 'bristle-6', name: 'radial bristle, 6 µm', micron: 6, range: '6 µm', says: ['bristle', 'radial'] },
          { id: 'bristle-1', name: 'radial bristle, 1 µm', micron: 1, range: '1 µm', says: ['bristle', 'radial'] },
        ] as const
      ).map(softRow),
  }),
] as const
