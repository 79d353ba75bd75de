import { defineTable } from '../table'
import { STONE_RISKS } from './stone-risk'
import { bezelStripMm, ellipsePerimeterMm, OVAL_CABOCHONS, ROUND_CABOCHONS } from './stones'

/** Bezel wire most often used, fine silver, 28 ga, mm. */
const STRIP_MM = 0.32
const STRIP = { key: 'strip', label: 'strip of 0.32, mm', unit: 'mm', digits: 2 } as const

export const stoneTables = [
  defineTable({
    id: 'cabochon-oval',
    title: 'Oval cabochons',
    shelf: 'stones',
    about: 'Calibrated sizes, ± 0.1 to 0.2; hand-cut stones vary more. Strip length for a 0.32 mm bezel: wrap the stone to be sure.',
    unit: 'mm',
    valueLabel: 'round, mm',
    valueDigits: 2,
    columns: [STRIP],
    source: 'ramanujan',
    confidence: 'medium',
    ownership: 'own',
    rows: () =>
      OVAL_CABOCHONS.map(([length, width]) => {
        const value = ellipsePerimeterMm(length, width)
        const name = `${length}×${width}`
        return {
          id: `${length}x${width}`,
          name: `${name} oval`,
          value,
          cells: { strip: bezelStripMm(value, STRIP_MM) },
          says: [name, `${length}x${width}`, `${length} x ${width}`, `${width}x${length}`, `${width} x ${length}`, `${width}×${length}`],
        }
      }),
  }),
  defineTable({
    id: 'cabochon-round',
    title: 'Round cabochons',
    shelf: 'stones',
    about: 'Calibrated sizes, ± 0.1 to 0.2. Measure every stone.',
    unit: 'mm',
    valueLabel: 'across, mm',
    valueDigits: 1,
    columns: [STRIP],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'own',
    rows: () =>
      ROUND_CABOCHONS.map((value) => ({
        id: `r${value}`,
        name: `${value} mm round`,
        value,
        cells: { strip: bezelStripMm(Math.PI * value, STRIP_MM) },
        says: ['round stone', 'cabochon'],
      })),
  }),
  defineTable({
    id: 'stone-risk',
    title: 'What stones take',
    shelf: 'stones',
    about:
      'Hardness, how it breaks, the heat it stands and whether acid and water harm it. A sudden change is worse than the heat; one that is not here counts as the most delicate.',
    unit: '°C',
    valueLabel: 'stands, °C',
    valueDigits: 0,
    columns: [
      { key: 'mohs', label: 'Mohs', digits: 1 },
      { key: 'breaks', label: 'breaks' },
      { key: 'acid', label: 'acid' },
      { key: 'wet', label: 'wet' },
    ],
    source: 'bench-practice',
    confidence: 'low',
    ownership: 'own',
    rows: () =>
      STONE_RISKS.map(({ id, name, mohs, breaks, standsC, acid, wet, confidence }) => ({
        id,
        name,
        value: standsC,
        cells: { mohs, breaks, acid, wet },
        confidence,
        says: [id.replaceAll('-', ' '), ...name.toLowerCase().split(', ')],
      })),
  }),
  defineTable({
    id: 'setting-rule',
    title: 'Bezel and tab rules',
    shelf: 'stones',
    about: 'Suggestions to start from. Fragile and soft stones (opal, pearl, turquoise): cold setting only.',
    columns: [
      { key: 'rule', label: 'rule' },
      { key: 'start', label: 'start with' },
    ],
    source: 'house-default',
    confidence: 'low',
    ownership: 'own',
    rows: () => [
      {
        id: 'bezel-length',
        name: 'bezel strip, any convex stone',
        cells: { rule: 'round the stone + π·t', start: 'ease 0 to 0.1 mm on the diameter' },
        says: ['bezel', 'strip'],
        source: 'parallel-curve',
        confidence: 'high',
      },
      {
        id: 'bezel-height',
        name: 'bezel height',
        cells: { rule: 'a third of the stone, or where it turns in + 0.5 mm, the larger', start: '+ 1.0 mm for stones over 10 mm' },
        says: ['bezel'],
      },
      {
        id: 'bezel-wall',
        name: 'bezel wall',
        cells: { rule: 'fine silver 0.25 to 0.40 mm', start: '30 to 26 ga B&S' },
        says: ['bezel'],
        confidence: 'medium',
        source: 'bench-practice',
      },
      {
        id: 'tab-length',
        name: 'tab length',
        cells: {
          rule: 'edge height + overlap + bend, overlap at most a fifth of the stone',
          start: 'overlap 1.0 to 1.5 mm up to 10 mm stones, 2.0 up to 20',
        },
        says: ['tab', 'prong'],
      },
      {
        id: 'tab-count',
        name: 'how many tabs',
        cells: { rule: 'three at least, four for ovals and squares', start: '2 to 3 mm wide, sheet 0.5 to 0.8 mm' },
        says: ['tab'],
      },
    ],
  }),
] as const
