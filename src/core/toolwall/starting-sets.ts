import { SOLDERS } from '../metals/solders'
import { ALL_GRITS } from '../tables/abrasives/grits'
import { type DrillSeries, STANDARD_DRILLS } from '../tables/drills/drills'
import { ringInsideMm, ringSizeName } from '../tables/rings/rings'
import { BLADES } from '../tables/saws/blades'
import { DAPPING_CUPS_MM, DAPPING_PUNCHES_MM } from '../tables/tools/dapping'
import { DISC_CUTTERS_IN, DISC_CUTTERS_MM, HOLE_PUNCHES, TOOL_FACES } from '../tables/tools/tool-data'
import { formatPlain } from '../units/format'
import type { OwnTool, ToolKind } from './tools'

/** Tools as they are sold together: tick a set, then correct each by measuring it. */
export interface StartingSet {
  readonly id: string
  readonly title: string
  readonly kind: ToolKind
  readonly tools: readonly OwnTool[]
}

function drills(series: DrillSeries, least: number, most: number): OwnTool[] {
  return STANDARD_DRILLS.filter(
    (drill) => drill.series === series && drill.diameterMm >= least - 1e-9 && drill.diameterMm <= most + 1e-9,
  ).map((drill) => ({ kind: 'drill', label: drill.name, nominal: drill.diameterMm, count: 1 }))
}

function blades(names: readonly string[], count: number): OwnTool[] {
  return BLADES.filter((blade) => names.includes(blade.name)).map((blade) => ({
    kind: 'blade',
    label: blade.name,
    nominal: blade.thicknessMm,
    count,
    facts: { widthMm: blade.widthMm, teethPerCm: blade.teethPerCm },
  }))
}

function solders(family: string): OwnTool[] {
  return Object.values(SOLDERS)
    .filter((solder) => solder.family === family)
    .map((solder) => ({ kind: 'solder', label: solder.title, nominal: solder.liquidusC, facts: { solidusC: solder.solidusC } }))
}

function papers(names: readonly string[]): OwnTool[] {
  return ALL_GRITS.filter((grit) => grit.scale === 'FEPA P' && names.includes(grit.name)).map((grit) => ({
    kind: 'abrasive',
    label: grit.name,
    nominal: grit.micron,
    count: 5,
    facts: { scale: grit.scale },
  }))
}

function hammers(ids: readonly string[]): OwnTool[] {
  return TOOL_FACES.filter((face) => ids.includes(face.id)).map((face) => ({
    kind: 'hammer',
    label: face.title,
    ...(face.hrc ? { nominal: (face.hrc[0] + face.hrc[1]) / 2 } : {}),
    facts: { face: face.id },
  }))
}

function sized(kind: ToolKind, mm: readonly number[]): OwnTool[] {
  return mm.map((nominal) => ({ kind, label: `${formatPlain(nominal)} mm`, nominal }))
}

/** A ring mandrel as marked, US 1 to 15 in halves, before it is measured. */
function ringMandrel(): OwnTool {
  const sizes = Array.from({ length: 29 }, (_, i) => 1 + i / 2)
  return {
    kind: 'mandrel',
    label: 'ring mandrel, US 1 to 15',
    facts: {
      marks: sizes.map((size) => ({ mark: `US ${ringSizeName('US', size)}`, diameterMm: Number(ringInsideMm('US', size).toFixed(4)) })),
    },
  }
}

export const STARTING_SETS: readonly StartingSet[] = [
  { id: 'drills-50-80', title: 'Number drills #50 to #80', kind: 'drill', tools: drills('number', 0.34, 1.79) },
  { id: 'drills-1-60', title: 'Number drills #1 to #60', kind: 'drill', tools: drills('number', 1.01, 5.8) },
  { id: 'drills-metric', title: 'Metric drills 0.5 to 3 by 0.05', kind: 'drill', tools: drills('metric', 0.5, 3) },
  { id: 'drills-fraction', title: 'Fractional drills to 1/4 in', kind: 'drill', tools: drills('fraction', 0.7, 6.35) },
  {
    id: 'blades-fine',
    title: 'Fine blades, a dozen each of 6/0 to 2/0',
    kind: 'blade',
    tools: blades(['6/0', '5/0', '4/0', '3/0', '2/0'], 12),
  },
  {
    id: 'blades-all',
    title: 'A dozen of every blade',
    kind: 'blade',
    tools: blades(
      BLADES.map((blade) => blade.name),
      12,
    ),
  },
  {
    id: 'punches',
    title: 'Dapping punches, 2.5 to 60 mm',
    kind: 'punch',
    tools: sized(
      'punch',
      DAPPING_PUNCHES_MM.filter((mm) => mm <= 60),
    ),
  },
  { id: 'cups', title: 'Doming block, 20 cups', kind: 'cup', tools: sized('cup', DAPPING_CUPS_MM) },
  { id: 'cutters-mm', title: 'Disc cutters, 3 to 16 mm', kind: 'disc-cutter', tools: sized('disc-cutter', DISC_CUTTERS_MM) },
  {
    id: 'cutters-inch',
    title: 'Disc cutters, 1/8 to 1-1/4 in',
    kind: 'disc-cutter',
    tools: DISC_CUTTERS_IN.map(([name, inches]) => ({ kind: 'disc-cutter', label: `${name} in`, nominal: 25.4 * inches })),
  },
  {
    id: 'hole-punches',
    title: 'Screw and plier punches',
    kind: 'hole-punch',
    tools: HOLE_PUNCHES.map(([label, nominal]) => ({ kind: 'hole-punch', label, nominal })),
  },
  { id: 'ring-mandrel', title: 'Ring mandrel, US 1 to 15', kind: 'mandrel', tools: [ringMandrel()] },
  {
    id: 'stakes',
    title: 'Mushroom and dome stakes',
    kind: 'stake',
    tools: [18, 30, 60].map((nominal) => ({ kind: 'stake', label: `dome stake ${nominal}`, nominal })),
  },
  { id: 'stamps-2', title: 'Letters and figures, 2 mm', kind: 'stamp', tools: [{ kind: 'stamp', label: 'letters 2 mm', nominal: 2 }] },
  { id: 'stamps-3', title: 'Letters and figures, 3 mm', kind: 'stamp', tools: [{ kind: 'stamp', label: 'letters 3 mm', nominal: 3 }] },
  { id: 'solder-percent', title: 'Silver solders by content', kind: 'solder', tools: solders('percent') },
  { id: 'solder-british', title: 'British silver solders', kind: 'solder', tools: solders('british') },
  { id: 'papers', title: 'Papers P220 to P1500', kind: 'abrasive', tools: papers(['P220', 'P400', 'P800', 'P1500']) },
  { id: 'papers-gentle', title: 'Papers P240 to P1200, gentle', kind: 'abrasive', tools: papers(['P240', 'P400', 'P600', 'P1200']) },
  {
    id: 'compounds',
    title: 'Tripoli and rouge',
    kind: 'abrasive',
    tools: [
      { kind: 'abrasive', label: 'tripoli', nominal: 10, count: 1 },
      { kind: 'abrasive', label: 'red rouge', nominal: 0.75, count: 1 },
    ],
  },
  {
    id: 'hammers',
    title: 'Five hammers to begin with',
    kind: 'hammer',
    tools: hammers(['brass-hammer', 'rawhide-mallet', 'tool-hammer', 'chasing-hammer', 'planishing-hammer']),
  },
]

/** The starting set of this id, or undefined. */
export function findStartingSet(id: string): StartingSet | undefined {
  return STARTING_SETS.find((set) => set.id === id)
}
