import * as z from 'zod'
import { AGENT_IDS } from '../chemistry/agents'
import { ALLOY_IDS } from '../metals'
import { typedLengthMm, typedThicknessMm } from '../sizes/typed-length'
import { ownFiguresField } from '../tables/figures'
import { TEXTURE_WAY_IDS } from '../texture/ids'
import { ownToolSchema } from '../toolwall/tools'

/** How a face may look in the end. */
export const FINISH_IDS = ['mirror', 'fine-satin', 'satin', 'brush-glow', 'abrasive-texture', 'tumbled', 'as-formed'] as const
export type FinishId = (typeof FINISH_IDS)[number]

/** Agents that colour, as the table of patinas has them. */
export const PATINA_IDS = [
  'sulphurated-potash',
  'ammonium-sulphide',
  'selenious',
  'tellurium',
  'ammonia-fume',
  'ammonia-salt',
  'verdigris',
  'heat-colour',
] as const
export type PatinaId = (typeof PATINA_IDS)[number]

/** What takes the colour off the high places again. */
export const RELIEFS = ['pumice', 'steel-wool', 'pad', 'brass-brush', 'tumble', 'none'] as const
export type Relief = (typeof RELIEFS)[number]

const faceLook = z.strictObject({
  name: z.string().min(1, { error: 'what the face is called' }).max(60),
  /** The deepest scratch: a grade such as P220, or saw marks, file marks, rolled sheet, pickled sheet. */
  from: z.string().max(30).default('file marks'),
  finish: z.enum(FINISH_IDS).default('satin'),
})
export type FaceLook = z.output<typeof faceLook>

const face = faceLook.extend({ areaMm2: z.number().positive({ error: 'an area of more than 0 mm²' }).max(1e6).optional() })
export type FaceAsked = z.output<typeof face>

const patina = z.strictObject({
  agent: z.enum(PATINA_IDS),
  /** Dips, or sprays with dryings between. */
  runs: z.int().min(1, { error: '1 to 20 dips or sprays' }).max(20, { error: '1 to 20 dips or sprays' }).optional(),
  /** Dipped, or sprayed in a fine mist, where its agent is. */
  by: z.enum(['dip', 'spray']).default('dip'),
  relief: z.enum(RELIEFS).default('pumice'),
  reliefIsWet: z.boolean().default(true),
  seal: z.enum(['wax', 'lacquer', 'none']).default('wax'),
  /** Worn on the skin, or eaten from. */
  worn: z.boolean().default(false),
})
export type PatinaAsked = z.output<typeof patina>

/** How its sheet is textured while it is flat. */
const texture = z.strictObject({
  way: z.enum(TEXTURE_WAY_IDS),
  depthMm: typedLengthMm({ label: 'Relief', min: 0.01, max: 2 }).default(0.1),
})

/** How a part is to look, as it is kept with it: its metal, its areas and what comes later are the part’s own. */
export const surfaceChoices = z.strictObject({
  faces: z.array(faceLook).max(20).default([]),
  patina: patina.optional(),
  texture: texture.optional(),
})
export type SurfaceChoices = z.output<typeof surfaceChoices>

/** Steps that come after the finishing, by what they do to it. */
export const LATER = ['solder', 'anneal', 'pickle', 'file', 'sand', 'hammer', 'stamp', 'polish', 'tumble', 'set-stone', 'hang'] as const
export type Later = (typeof LATER)[number]

export const surfaceInput = z.strictObject({
  alloy: z.enum(ALLOY_IDS),
  thicknessMm: typedThicknessMm({ label: 'Thickness', min: 0.05, max: 10 }).optional(),
  faces: z.array(face).min(1, { error: 'at least one face' }).max(20),
  patina: patina.optional(),
  /** Tumbled before the colour, or coloured before it is tumbled (S14). */
  order: z.enum(['tumble-first', 'patina-first']).default('tumble-first'),
  later: z.array(z.enum(LATER)).max(40).default([]),
  /** What stands on the bench, or is used one after another where `baths` says so. */
  bench: z.array(z.enum(AGENT_IDS)).max(40).default([]),
  baths: z.array(z.enum(AGENT_IDS)).max(60).default([]),
  owned: z.array(ownToolSchema).max(500).default([]),
  figures: ownFiguresField(),
})
export type SurfaceInput = z.output<typeof surfaceInput>
