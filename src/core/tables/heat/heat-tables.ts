import { SOLDER_FAMILIES, SOLDER_IDS, SOLDERS, type SolderFamily } from '../../metals/solders'
import { defineTable, type RowSpec } from '../table'
import { BASE_METALS, FLUXES, GLOW, GOLD_SOLDERS, type HeatRange, OTHER_FILLERS, TEMPER_COLOURS } from './fillers'

const SOLIDUS = { key: 'solidus', label: 'solidus, °C', unit: '°C', digits: 0 } as const

/** Gap in flow to the next solder down, and whether the seam above is still solid when it flows. */
function gaps(ids: readonly (typeof SOLDER_IDS)[number][], i: number): Record<string, number | undefined> {
  const [upper, lower] = [ids[i - 1], ids[i]]
  if (!upper || !lower) return {}
  return { gap: SOLDERS[upper].liquidusC - SOLDERS[lower].liquidusC, strict: SOLDERS[upper].solidusC - SOLDERS[lower].liquidusC }
}

function solderRows(family: SolderFamily): RowSpec[] {
  const ids = SOLDER_IDS.filter((id) => SOLDERS[id].family === family)
  return ids.map((id, i) => {
    const solder = SOLDERS[id]
    const word = solder.title.replace(/^British | \(.*\)$/g, '').toLowerCase()
    return {
      id,
      name: `${solder.title} solder`,
      value: solder.liquidusC,
      cells: {
        solidus: solder.solidusC,
        ...(solder.silverPercent ? { silver: solder.silverPercent } : {}),
        alloy: solder.composition || undefined,
        ...gaps(ids, i),
      },
      says: [word, `${word} solder`, ...(solder.silverPercent ? [`${solder.silverPercent} %`, `${solder.silverPercent}%`] : [])],
      confidence: solder.confidence,
    }
  })
}

const GAPS = [
  { key: 'gap', label: 'below the one above, °C', digits: 0 },
  { key: 'strict', label: 'solidus above − flow, °C', digits: 0 },
] as const

function rangeRows(items: readonly HeatRange[], low: string): RowSpec[] {
  return items.map((item) => ({
    id: item.id,
    name: item.name,
    value: item.highC,
    cells: { [low]: item.lowC },
    says: item.says ?? [],
    confidence: item.confidence,
    note: item.note,
  }))
}

export const heatTables = [
  defineTable({
    id: 'solder-percent',
    title: `Silver solder, ${SOLDER_FAMILIES.percent}`,
    shelf: 'heat',
    about:
      'By flow temperature, highest first. The same names stand for other temperatures in the British family: key every joint by the supplier’s sheet. Solder under the work’s fineness may lower an assay.',
    unit: '°C',
    valueLabel: 'flows at, °C',
    valueDigits: 0,
    columns: [SOLIDUS, { key: 'silver', label: 'silver, %' }, { key: 'alloy', label: 'alloy' }, ...GAPS],
    source: 'aws-a5-8',
    confidence: 'medium',
    ownership: 'own',
    rows: () => solderRows('percent'),
  }),
  defineTable({
    id: 'solder-british',
    title: `Silver solder, ${SOLDER_FAMILIES.british}`,
    shelf: 'heat',
    about: 'Extra easy flows at 709 here and at 652 in the family by silver content.',
    unit: '°C',
    valueLabel: 'flows at, °C',
    valueDigits: 0,
    columns: [SOLIDUS, ...GAPS],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'own',
    rows: () => solderRows('british'),
  }),
  defineTable({
    id: 'solder-gold',
    title: 'Gold solders',
    shelf: 'heat',
    about: 'Makers differ widely: use the maker’s sheet, and match colour and karat.',
    unit: '°C',
    valueLabel: 'flows by, °C',
    valueDigits: 0,
    columns: [SOLIDUS],
    source: 'bench-practice',
    confidence: 'low',
    ownership: 'own',
    rows: () => rangeRows(GOLD_SOLDERS, 'solidus'),
  }),
  defineTable({
    id: 'solder-other',
    title: 'Other fillers',
    shelf: 'heat',
    about: 'Never any solder with cadmium in it. Keep lead and tin away from silver and gold that will be heated: they eat pits into it.',
    unit: '°C',
    valueLabel: 'flows at, °C',
    valueDigits: 0,
    columns: [SOLIDUS],
    source: 'aws-a5-8',
    confidence: 'high',
    ownership: 'preset',
    rows: () => rangeRows(OTHER_FILLERS, 'solidus'),
  }),
  defineTable({
    id: 'melting',
    title: 'Where metals melt',
    shelf: 'heat',
    about: 'The piece begins to slump at the solidus. Hard solder leaves sterling 14 degrees; IT solder flows above it.',
    unit: '°C',
    valueLabel: 'liquid at, °C',
    valueDigits: 0,
    columns: [SOLIDUS],
    source: 'alloy-handbook',
    confidence: 'medium',
    ownership: 'preset',
    rows: () => rangeRows(BASE_METALS, 'solidus'),
  }),
  defineTable({
    id: 'flux',
    title: 'Fluxes',
    shelf: 'heat',
    about:
      'Awake before the solder melts, alive 20 degrees past its flow. A long heat uses it up: re-flux, do not overheat. Ventilate; follow the product’s safety sheet and local rules.',
    unit: '°C',
    valueLabel: 'works to, °C',
    valueDigits: 0,
    columns: [{ key: 'from', label: 'from, °C', unit: '°C', digits: 0 }],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'own',
    rows: () => rangeRows(FLUXES, 'from'),
  }),
  defineTable({
    id: 'glow',
    title: 'Colour of hot metal',
    shelf: 'heat',
    about: 'In dim light; a bright workshop hides 100 to 150 degrees, so people overheat. Trained eyes differ by 30 degrees.',
    unit: '°C',
    valueLabel: 'to, °C',
    valueDigits: 0,
    columns: [{ key: 'from', label: 'from, °C', unit: '°C', digits: 0 }],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'fixed',
    rows: () => rangeRows(GLOW, 'from'),
  }),
  defineTable({
    id: 'temper-colour',
    title: 'Temper colours of steel',
    shelf: 'heat',
    about: 'For tools. Within 15 degrees; time and surface move it.',
    unit: '°C',
    valueLabel: '°C',
    valueDigits: 0,
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'fixed',
    rows: () =>
      TEMPER_COLOURS.map(([name, value]) => ({ id: name.replace(' ', '-'), name, value, says: [`${name} steel`, 'temper colour'] })),
  }),
] as const
