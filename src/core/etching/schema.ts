import * as z from 'zod'
import { outline } from '../layout/outline-field'
import { ALLOY_IDS } from '../metals'
import { typedLengthMm as lengthMm, typedThicknessMm as thicknessMm } from '../sizes/typed-length'
import { ownFiguresField } from '../tables/figures'

/** Baths that metal is etched in with a current, and what each takes. */
export const ETCH_BATHS = ['copper-sulphate', 'salt', 'copper-nitrate'] as const
export type EtchBath = (typeof ETCH_BATHS)[number]

/** How the resist gets onto the metal. */
export const RESISTS = ['toner-transfer', 'painted', 'tape', 'photo-film'] as const
export type Resist = (typeof RESISTS)[number]

const positive = (what: string, most: number) =>
  z
    .number({ error: `${what}: a number` })
    .positive({ error: `${what}: more than 0` })
    .max(most, { error: `${what}: at most ${most}` })

/** An etch that was made: what the efficiency of a bath is learned from. */
const run = z.strictObject({
  areaMm2: positive('Area', 1e6),
  currentA: positive('Current', 100),
  minutes: positive('Minutes', 10_000),
  depthMm: positive('Depth', 10),
})
export type EtchRun = z.output<typeof run>

/** A dark place of the artwork: an outline, or one with windows in it. */
const darkPlace = z.union([
  outline.transform((outer) => ({ outer, holes: [] as (typeof outer)[] })),
  z.strictObject({ outer: outline, holes: z.array(outline).max(2000).default([]) }),
])

/** What is chosen about an etch, whatever the blank. */
const choices = {
  /** What is covered by resist, where the artwork is dark; it is repeated over the blank where `tile` says how far apart. */
  dark: z.array(darkPlace).max(2000).default([]),
  tile: z
    .strictObject({
      alongMm: lengthMm({ label: 'Repeat along', min: 0.5, max: 1000 }),
      acrossMm: lengthMm({ label: 'Repeat across', min: 0.5, max: 1000 }),
    })
    .optional(),
  resist: z.enum(RESISTS).default('toner-transfer'),
  depthMm: lengthMm({ label: 'Depth', min: 0.005, max: 10 }).optional(),
  /** Etched until it is through; from both sides in half the time. */
  through: z.boolean().default(false),
  bothSides: z.boolean().default(false),
  edges: z.enum(['sealed', 'bare']).default('sealed'),
  back: z.enum(['taped', 'bare']).default('taped'),
  bath: z.enum(ETCH_BATHS).default('copper-sulphate'),
  /** A current, or so much of it for the area. */
  currentA: positive('Current', 100).optional(),
  densityAPerDm2: positive('Current for a square decimetre', 100).optional(),
  /** From the work to the other plate. */
  gapMm: lengthMm({ label: 'Gap', min: 0.5, max: 500 }).default(12),
  /** The smallest line and gap that the artwork means to keep. */
  finestMm: lengthMm({ label: 'Finest line', min: 0.01, max: 50 }).optional(),
}

interface Chosen {
  readonly depthMm?: number | undefined
  readonly through: boolean
  readonly currentA?: number | undefined
  readonly densityAPerDm2?: number | undefined
}
const isDepthSaid = ({ depthMm, through }: Chosen) => (depthMm !== undefined) !== through
const DEPTH = { path: ['depthMm'], error: 'Depth: say how deep, or that it goes through, and not both' }
const isCurrentOnce = ({ currentA, densityAPerDm2 }: Chosen) => currentA === undefined || densityAPerDm2 === undefined
const CURRENT = { path: ['currentA'], error: 'Current: say the current, or the current for a square decimetre, and not both' }

/** An etch as it is kept with a part: its blank and its metal are the part’s own. */
export const etchChoices = z.strictObject(choices).refine(isDepthSaid, DEPTH).refine(isCurrentOnce, CURRENT)
export type EtchChoices = z.output<typeof etchChoices>

export const etchInput = z
  .strictObject({
    alloy: z.enum(ALLOY_IDS),
    thicknessMm: thicknessMm({ label: 'Thickness', min: 0.05, max: 10 }),
    outer: outline,
    holes: z.array(outline).max(200).default([]),
    ...choices,
    /** Earlier etches in this bath. */
    runs: z.array(run).max(500).default([]),
    figures: ownFiguresField(),
  })
  .refine(isDepthSaid, DEPTH)
  .refine(isCurrentOnce, CURRENT)
export type EtchInput = z.output<typeof etchInput>
