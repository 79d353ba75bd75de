import * as z from 'zod'
import { linesAndArcs, type Vertex } from '../geometry/bulge'
import { leastBox } from '../geometry/least-box'
import type { Outline } from '../geometry/point'
import { median } from '../numerics/median'
import { choice, lengthMm } from '../units/fields'
import { derive, given, type WorkingLog, type WorkingStep } from '../working/derive'
import { SCALE_LINE_MM } from './card'
import { type MeasuredOutline, measureOutline } from './measure-outline'
import type { Picture } from './picture'
import type { Refused } from './refusals'

const FIELDS = { white: 'White', green: 'Green' }
const line = (along: string) =>
  lengthMm({
    label: `The card’s 100 mm line ${along}, measured`,
    min: 95,
    max: 105,
    help: 'Printers are off by up to 3 %, and differently along x and y.',
  })

/** What is asked of a picture: how high the thing is, and what is known of the card. */
export const outlineInput = z.strictObject({
  heightMm: lengthMm({ label: 'Height of its edge over the card', min: 0, max: 30, help: '0 for sheet.' }).default(0),
  heightOffMm: lengthMm({ label: 'Height may be off by', min: 0, max: 5 }).default(0.2),
  card: z
    .union([
      choice('Card', FIELDS),
      z.strictObject({
        field: choice('Card', FIELDS).optional(),
        lineXMm: line('along x').optional(),
        lineYMm: line('along y').optional(),
      }),
    ])
    .optional(),
})
export type OutlineInput = z.output<typeof outlineInput>

/** A measured outline as every interface gives it. */
export interface OutlineAnswer {
  readonly outline: Outline
  /** What each point may be off by, 19 times in 20, mm. */
  readonly offMm: readonly number[]
  readonly uncertainty: { readonly plusMinus: number; readonly unit: 'mm'; readonly why: string }
  readonly corners: Outline
  /** Where the picture shows its edge, pixels from the upper left. */
  readonly inPicture: Outline
  /** The same outline told by straight runs and arcs. */
  readonly vertices: readonly Vertex[]
  /** Sides of the smallest rectangle round it, however it lies on the card. */
  readonly lengthMm: number
  readonly widthMm: number
  readonly areaMm2: number
  readonly areaOffMm2: number
  readonly perimeterMm: number
  readonly card: Pick<MeasuredOutline, 'field' | 'pixelsPerMm' | 'cameraHeightMm' | 'tiltDeg' | 'bowMm' | 'dots' | 'leftPx' | 'blurMm'>
  readonly notes: readonly string[]
  readonly working: readonly WorkingStep[]
}

/** Runs and arcs stay so near the points that were measured. */
const ARC_TOLERANCE_MM = 0.06

function workingOf(
  measured: MeasuredOutline,
  input: OutlineInput,
  lines: { readonly x?: number | undefined; readonly y?: number | undefined },
): WorkingLog {
  const log: WorkingLog = []
  for (const [axis, mm] of [
    ['x', lines.x],
    ['y', lines.y],
  ] as const)
    derive(log, {
      label: `The card was printed so much larger along ${axis}`,
      formula: 'l/L',
      given: [
        given('l', mm === undefined ? 'line, not measured: taken as drawn' : 'line as measured', mm ?? SCALE_LINE_MM),
        given('L', 'line as drawn', SCALE_LINE_MM),
      ],
      unit: 'ratio',
      source: 'closed-form',
    })
  if (input.heightMm > 0) {
    const farMm = Math.max(...measured.outline.map(([x, y]) => Math.hypot(x, y)))
    derive(log, {
      label: 'An edge this high is seen further out by at most',
      formula: 'r·h/(H - h)',
      given: [
        given('r', 'from the middle of the card', farMm),
        given('h', 'height of the edge', input.heightMm),
        given('H', 'height of the camera', measured.cameraHeightMm),
      ],
      unit: 'mm',
      source: 'closed-form',
    })
  }
  return log
}

/** The outline of what lies on the card of a picture, or why it cannot be told. */
export function answerOutline(picture: Picture, input: OutlineInput): OutlineAnswer | Refused {
  const { heightMm, heightOffMm, card } = input
  const lines = typeof card === 'object' ? card : {}
  const field = typeof card === 'object' ? card.field : card
  const measured = measureOutline(picture, { heightMm, heightOffMm, lineXMm: lines.lineXMm, lineYMm: lines.lineYMm })
  if (!measured.ok) return measured
  const { outline, offMm, corners, inPicture, areaMm2, areaOffMm2, perimeterMm, notes, ok: _, ...seen } = measured
  const { lengthMm, widthMm } = leastBox(outline)
  const otherCard = field !== undefined && (field === 'green') !== (seen.field === 'coloured')
  return {
    outline,
    offMm,
    uncertainty: {
      plusMinus: median(offMm),
      unit: 'mm',
      why: whyOff(heightMm, lines.lineXMm !== undefined && lines.lineYMm !== undefined),
    },
    corners,
    inPicture,
    vertices: linesAndArcs(outline, ARC_TOLERANCE_MM, corners),
    lengthMm,
    widthMm,
    areaMm2,
    areaOffMm2,
    perimeterMm,
    card: seen,
    notes: otherCard ? [...notes, `the picture shows the ${seen.field === 'coloured' ? 'green' : 'white'} card`] : notes,
    working: workingOf(measured, input, { x: lines.lineXMm, y: lines.lineYMm }),
  }
}

function whyOff(heightMm: number, isMeasured: boolean): string {
  const causes = [
    'how softly the edge is drawn',
    heightMm > 0 && 'how well its height is known',
    isMeasured ? 'the card’s lines as measured' : 'a card whose lines have not been measured: 0.5 %',
  ]
  return `${causes.filter((cause) => cause !== false).join(', ')}; half of all points are nearer than this, each has its own in offMm`
}
