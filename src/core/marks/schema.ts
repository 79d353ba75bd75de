import * as z from 'zod'
import { outline } from '../layout/outline-field'
import { ALLOY_IDS } from '../metals'
import { typedLengthMm as lengthMm, typedThicknessMm } from '../sizes/typed-length'
import { ownFiguresField } from '../tables/figures'
import { ownToolSchema } from '../toolwall/tools'
import { count, words } from '../units/fields'

const MOST_MM = 2000
const place = (label: string) => lengthMm({ label, min: -MOST_MM, max: MOST_MM })
const point = z.tuple([place('Place along'), place('Place across')])
const degrees = (label: string) =>
  z
    .number({ error: `${label}: degrees` })
    .min(-720, { error: `${label}: −720 to 720 degrees` })
    .max(720, { error: `${label}: −720 to 720 degrees` })

/** The lines that marks are set along. Left out, a line runs straight through the middle of the blank. */
const line = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('straight'), at: point.optional(), angleDeg: degrees('Angle').default(0) }),
  z.strictObject({
    kind: z.literal('circle'),
    centre: point.optional(),
    radiusMm: lengthMm({ label: 'Radius', min: 0.5, max: MOST_MM }),
    /** Where the middle of the line is, degrees counter-clockwise from x: 90 is the top. */
    middleDeg: degrees('Middle').default(90),
    facing: z.enum(['outwards', 'inwards']).default('outwards'),
  }),
  z.strictObject({
    kind: z.literal('ellipse'),
    centre: point.optional(),
    halfLengthMm: lengthMm({ label: 'Half length', min: 0.5, max: MOST_MM }),
    halfWidthMm: lengthMm({ label: 'Half width', min: 0.5, max: MOST_MM }),
    middleDeg: degrees('Middle').default(90),
    facing: z.enum(['outwards', 'inwards']).default('outwards'),
  }),
  /** Along the edge of the blank, so far inside it. */
  z.strictObject({
    kind: z.literal('edge'),
    insetMm: lengthMm({ label: 'Inset', min: 0, max: 500 }),
    /** The middle of the line is the place nearest to this point; the top of the blank where it is left out. */
    middle: point.optional(),
    facing: z.enum(['outwards', 'inwards']).default('outwards'),
  }),
])
export type MarkLine = z.output<typeof line>

const stampSize = {
  widthMm: lengthMm({ label: 'Stamp width', min: 0.1, max: 100 }),
  heightMm: lengthMm({ label: 'Stamp height', min: 0.1, max: 100 }).optional(),
}

const face = z.enum(['front', 'back']).default('front')
const id = words('Name', 80).optional()

const lettering = z.strictObject({
  kind: z.literal('letters'),
  id,
  face,
  text: words('Words', 400, 'As they will be stamped; a new line begins another row.').refine((text) => text.trim().length > 0, {
    error: 'Words: write what is stamped',
  }),
  heightMm: lengthMm({ label: 'Letter height', min: 0.5, max: 50 }),
  line: line.optional(),
  /** Beside what the characters take, so much between each two. */
  spacingMm: lengthMm({ label: 'Spacing', min: -5, max: 50 }).default(0),
  wordGapMm: lengthMm({ label: 'Word gap', min: 0, max: 100 }).optional(),
  /** From the baseline of one row to the next. */
  rowsMm: lengthMm({ label: 'From row to row', min: 0.1, max: 200 }).optional(),
})
export type Lettering = z.output<typeof lettering>

/** How stamps or holes are shared out along a line: so many evenly, or as many as go at a pitch. */
const shared = {
  line: line.optional(),
  stampCount: count({ label: 'How many', min: 1, max: 2000 }).optional(),
  pitchMm: lengthMm({ label: 'Pitch', min: 0.05, max: 500 }).optional(),
  /** Evenly by the length of the line, or, along an edge, by the angle about its middle. */
  by: z.enum(['length', 'angle']).default('length'),
}
const isSaidOnce = ({ stampCount, pitchMm }: { stampCount?: number | undefined; pitchMm?: number | undefined }) =>
  (stampCount === undefined) !== (pitchMm === undefined)
const ONCE = { path: ['stampCount'], error: 'Say how many, or the pitch, and not both' }
const isCounted = ({ by, pitchMm }: { by: string; pitchMm?: number | undefined }) => by === 'length' || pitchMm === undefined
const COUNTED = { path: ['pitchMm'], error: 'A division by angle has a number, not a pitch' }

const repeat = z
  .strictObject({ kind: z.literal('repeat'), id, face, ...stampSize, ...shared })
  .refine(isSaidOnce, ONCE)
  .refine(isCounted, COUNTED)
export type Repeat = z.output<typeof repeat>

/** Holes along a line: their centres are punched, then they are drilled. */
const holes = z
  .strictObject({ kind: z.literal('holes'), id, face, diameterMm: lengthMm({ label: 'Hole', min: 0.2, max: 100 }), ...shared })
  .refine(isSaidOnce, ONCE)
  .refine(isCounted, COUNTED)
export type Holes = z.output<typeof holes>

const single = z.strictObject({
  kind: z.literal('stamp'),
  id,
  face,
  ...stampSize,
  at: point,
  angleDeg: degrees('Angle').default(0),
})

const hallmark = z.strictObject({
  kind: z.literal('hallmark'),
  id,
  face: z.enum(['front', 'back']).default('back'),
  /** Each mark of the row, by the width of its punch. */
  widthsMm: z
    .array(lengthMm({ label: 'Punch width', min: 0.1, max: 20 }))
    .min(1, { error: 'the width of each punch' })
    .max(12),
  heightMm: lengthMm({ label: 'Punch height', min: 0.1, max: 20 }),
  gapMm: lengthMm({ label: 'Gap', min: 0, max: 20 }).default(0.5),
  /** Where along the strip: half-way is opposite the seam. */
  share: z.number().min(0, { error: 'a share of 0 to 1' }).max(1, { error: 'a share of 0 to 1' }).default(0.5),
})
export type Hallmark = z.output<typeof hallmark>

const patternMap = z.strictObject({
  kind: z.literal('map'),
  id,
  face,
  /** Points in any unit: the map is scaled to the blank. */
  points: z
    .array(z.strictObject({ name: z.string().max(40).optional(), x: z.number().min(-1e6).max(1e6), y: z.number().min(-1e6).max(1e6) }))
    .min(1, { error: 'at least one point' })
    .max(2000),
  /** Pairs of points by their number in the list, from 0. */
  links: z
    .array(z.tuple([z.int().min(0), z.int().min(0)]))
    .max(4000)
    .default([]),
  dotMm: lengthMm({ label: 'Dot at a point', min: 0.1, max: 20 }).default(1.2),
  linkDotMm: lengthMm({ label: 'Dot on a link', min: 0.1, max: 20 }).default(0.6),
  /** About so far from dot to dot along a link; each link is shared out evenly. */
  pitchMm: lengthMm({ label: 'Pitch on a link', min: 0.2, max: 100 }).default(1.5),
  /** Kept clear along the edge of the blank. */
  marginMm: lengthMm({ label: 'Margin', min: 0, max: 100 }).default(2),
})
export type PatternMap = z.output<typeof patternMap>

export const mark = z.discriminatedUnion('kind', [lettering, repeat, holes, single, hallmark, patternMap])
export type Mark = z.output<typeof mark>

const chord = z.tuple([point, point])

/** What the blank is formed into once it is marked. */
const after = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('dome'),
    /** The punches it is domed with, one after another. */
    punchesMm: z
      .array(lengthMm({ label: 'Punch', min: 1, max: 500 }))
      .min(1, { error: 'at least one punch' })
      .max(20),
  }),
  z.strictObject({
    kind: z.literal('bend'),
    insideDiameterMm: lengthMm({ label: 'Inside diameter', min: 1, max: 1000 }),
    outside: z.enum(['front', 'back']).default('front'),
  }),
])
export type After = z.output<typeof after>

/** The blank as it lies, what is struck and drilled on it, and what its centre is found from. */
export const marksInput = z
  .strictObject({
    outer: outline,
    holes: z.array(outline).max(200).default([]),
    thicknessMm: typedThicknessMm({ label: 'Thickness', min: 0.05, max: 10 }).optional(),
    alloy: z.enum(ALLOY_IDS).optional(),
    marks: z.array(mark).max(40).default([]),
    after: after.optional(),
    /** What the centre of a disc is found from: three points of its edge, or two chords. */
    centreOf: z
      .union([z.strictObject({ points: z.tuple([point, point, point]) }), z.strictObject({ chords: z.tuple([chord, chord]) })], {
        error: 'three points of the edge, or two chords by their ends',
      })
      .optional(),
    owned: z.array(ownToolSchema).max(500).default([]),
    figures: ownFiguresField(),
  })
  .refine(({ marks, centreOf }) => marks.length > 0 || centreOf !== undefined, { path: ['marks'], error: 'at least one mark' })
export type MarksInput = z.output<typeof marksInput>
