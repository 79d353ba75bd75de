import * as z from 'zod'
import type { OwnFigures } from '../tables/figures'

export const TOOL_KINDS = [
  'drill',
  'blade',
  'punch',
  'cup',
  'disc-cutter',
  'hole-punch',
  'mandrel',
  'stake',
  'stamp',
  'solder',
  'abrasive',
  'hammer',
] as const
export type ToolKind = (typeof TOOL_KINDS)[number]

interface KindInfo {
  readonly title: string
  readonly one: string
  /** What a tool's one number is, or null where it has none. */
  readonly size: { readonly label: string; readonly unit: 'mm' | 'µm' | '°C' | 'HRC'; readonly min: number; readonly max: number } | null
  /** Used up and counted. */
  readonly counted: boolean
}

/** The kinds of tool on the wall, in the order they hang. */
export const TOOL_KIND_INFO: Readonly<Record<ToolKind, KindInfo>> = {
  drill: { title: 'Drills', one: 'drill', size: { label: 'Diameter', unit: 'mm', min: 0.05, max: 30 }, counted: true },
  blade: { title: 'Saw blades', one: 'blade', size: { label: 'Thickness', unit: 'mm', min: 0.05, max: 3 }, counted: true },
  punch: { title: 'Dapping punches', one: 'punch', size: { label: 'Ball', unit: 'mm', min: 0.5, max: 200 }, counted: false },
  cup: { title: 'Doming cups', one: 'cup', size: { label: 'Opening', unit: 'mm', min: 0.5, max: 200 }, counted: false },
  'disc-cutter': { title: 'Disc cutters', one: 'cutter', size: { label: 'Hole', unit: 'mm', min: 0.5, max: 200 }, counted: false },
  'hole-punch': { title: 'Hole punches', one: 'hole punch', size: { label: 'Hole', unit: 'mm', min: 0.2, max: 30 }, counted: false },
  mandrel: { title: 'Mandrels', one: 'mandrel', size: null, counted: false },
  stake: { title: 'Stakes', one: 'stake', size: { label: 'Radius', unit: 'mm', min: 0.5, max: 500 }, counted: false },
  stamp: { title: 'Stamps', one: 'stamp set', size: { label: 'Height', unit: 'mm', min: 0.3, max: 50 }, counted: false },
  solder: { title: 'Solders', one: 'solder', size: { label: 'Flows at', unit: '°C', min: 100, max: 1200 }, counted: false },
  abrasive: { title: 'Abrasives', one: 'abrasive', size: { label: 'Grain', unit: 'µm', min: 0.05, max: 3000 }, counted: true },
  hammer: { title: 'Hammers', one: 'hammer', size: { label: 'Face', unit: 'HRC', min: 5, max: 70 }, counted: false },
}

const positive = z.number().positive()

/** What a kind of tool has beside its one number. Left out is not known; a maker's label never stands in for it. */
export const toolFacts = z.strictObject({
  teethPerCm: positive.max(100).optional(),
  widthMm: positive.max(20).optional(),
  solidusC: positive.max(1300).optional(),
  /** Mark on a mandrel to the diameter measured there, thin end first. */
  marks: z
    .array(z.strictObject({ mark: z.string().min(1).max(20), diameterMm: positive.max(300) }))
    .max(200)
    .optional(),
  /** Measured width of each stamped character, mm. */
  widths: z.record(z.string().length(1), positive.max(50)).optional(),
  /** Which face of the table of hammer and tool faces it is. */
  face: z.string().max(40).optional(),
  scale: z.string().max(20).optional(),
  shape: z.string().max(80).optional(),
})
export type ToolFacts = z.output<typeof toolFacts>

/** A tool the smith owns. The label is a name and nothing else. */
export interface OwnTool {
  readonly kind: ToolKind
  readonly label: string
  /** As sold, in the kind's unit. */
  readonly nominal?: number | undefined
  /** As measured: it wins. */
  readonly measured?: number | undefined
  readonly count?: number | undefined
  readonly facts?: ToolFacts | undefined
}

/** The same for data from outside. */
export const ownToolSchema = z.strictObject({
  kind: z.enum(TOOL_KINDS),
  label: z.string().min(1).max(80),
  nominal: positive.optional(),
  measured: positive.optional(),
  count: z.int().min(0).optional(),
  facts: toolFacts.optional(),
})

/** What a workshop brings to every plan and every piece of advice: its tools and its own figures. */
export interface Bench {
  readonly tools: readonly OwnTool[]
  readonly figures: OwnFigures
}

/** A tool's number as measured, else as sold; undefined where only its label is known. */
export function sizeOfTool(tool: OwnTool): number | undefined {
  return tool.measured ?? tool.nominal
}

/** Tools of a kind with a size and not used up, small to large. */
export function usable(tools: readonly OwnTool[], kind: ToolKind): (OwnTool & { readonly size: number })[] {
  return tools
    .filter((tool) => tool.kind === kind && tool.count !== 0)
    .flatMap((tool) => {
      const size = sizeOfTool(tool)
      return size === undefined ? [] : [{ ...tool, size }]
    })
    .sort((a, b) => a.size - b.size)
}
