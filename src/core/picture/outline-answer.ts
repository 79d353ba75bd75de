import * as z from 'zod'
import { linesAndArcs, type Vertex } from '../geometry/bulge'
import { leastBox } from '../geometry/least-box'
import type { Outline } from '../geometry/point'
import { median } from '../numerics/median'
import { choice, lengthMm } from '../units/fields'
import { derive, given, type WorkingLog, type WorkingStep } from '../working/derive'
import { SCALE_LINE_MM } from './card'
import { type KnownDistance, measureByPoints } from './measure-by-points'
import { measureOutline } from './measure-outline'
import type { MeasuredOutline } from './outline-from-edge'
import type { Picture } from './picture'
import { type Refused, refuse } from './refusals'

const FIELDS = { white: 'White', green: 'Green' }
const line = (along: string) =>
  lengthMm({
    label: `The card’s 100 mm line ${along}, measured`,
    min: 95,
    max: 105,
    help: 'Printers are off by up to 3 %, and differently along x and y.',
  })

/** A place of the picture, pixels from the upper left. */
const place = z.tuple([z.number(), z.number()])

/** What is asked of a picture: how high the thing is, and what is known of the card; or two points and their distance where it shows none. */
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
  points: z.tuple([place, place]).optional(),
  apartMm: lengthMm({
    label: 'Distance of the two points',
    min: 2,
    max: 2000,
    help: 'Of a steel rule beside it from mark to mark, as far apart as the picture allows.',
  }).optional(),
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
  /** How the card was seen; not there where two points told the scale and no card. */
  readonly card?: Pick<MeasuredOutline, 'field' | 'pixelsPerMm' | 'cameraHeightMm' | 'tiltDeg' | 'bowMm' | 'dots' | 'leftPx' | 'blurMm'>
  /** How much less sure it is without a card, and what half of its points would be off by at most on one, mm. */
  readonly withoutCard?: { readonly timesLessSure: number; readonly onCardOffMm: number; readonly pixelsPerMm: number }
  readonly notes: readonly string[]
  readonly working: readonly WorkingStep[]
}

/** Runs and arcs stay so near the points that were measured. */
const ARC_TOLERANCE_MM = 0.06

/** How much further out an edge is seen for standing high. */
function seenFurtherOut({ outline, cameraHeightMm }: MeasuredOutline, heightMm: number): WorkingLog {
  const log: WorkingLog = []
  if (heightMm === 0) return log
  derive(log, {
    label: 'An edge this high is seen further out by at most',
    formula: 'r·h/(H - h)',
    given: [
      given('r', 'from under the camera', Math.max(...outline.map(([x, y]) => Math.hypot(x, y)))),
      given('h', 'height of the edge', heightMm),
      given('H', 'height of the camera', cameraHeightMm),
    ],
    unit: 'mm',
    source: 'closed-form',
  })
  return log
}

interface Lines {
  readonly x: number | undefined
  readonly y: number | undefined
}

function workingOnCard(measured: MeasuredOutline, heightMm: number, lines: Lines): WorkingLog {
  const log: WorkingLog = []
  for (const axis of ['x', 'y'] as const)
    derive(log, {
      label: `The card was printed so much larger along ${axis}`,
      formula: 'l/L',
      given: [
        given('l', lines[axis] === undefined ? 'line, not measured: taken as drawn' : 'line as measured', lines[axis] ?? SCALE_LINE_MM),
        given('L', 'line as drawn', SCALE_LINE_MM),
      ],
      unit: 'ratio',
      source: 'closed-form',
    })
  return [...log, ...seenFurtherOut(measured, heightMm)]
}

function workingByPoints(measured: MeasuredOutline, heightMm: number, { from, to, apartMm }: KnownDistance): WorkingLog {
  const log: WorkingLog = []
  derive(log, {
    label: 'Millimetres to a pixel',
    formula: 'L/p',
    given: [
      given('L', 'distance between the two points', apartMm),
      given('p', 'the same in the picture, pixels', Math.hypot(to[0] - from[0], to[1] - from[1])),
    ],
    unit: 'mm',
    source: 'closed-form',
  })
  return [...log, ...seenFurtherOut(measured, heightMm)]
}

/** What is said alike of an outline however its scale is known. */
function told(measured: MeasuredOutline): Omit<OutlineAnswer, 'uncertainty' | 'working'> {
  const { outline, offMm, corners, inPicture, areaMm2, areaOffMm2, perimeterMm, notes } = measured
  const { lengthMm, widthMm } = leastBox(outline)
  const vertices = linesAndArcs(outline, ARC_TOLERANCE_MM, corners)
  return { outline, offMm, corners, inPicture, vertices, lengthMm, widthMm, areaMm2, areaOffMm2, perimeterMm, notes }
}

/** The outline of what lies in a picture on the card, or beside two points of a known distance; or why it cannot be told. */
export function answerOutline(picture: Picture, input: OutlineInput): OutlineAnswer | Refused {
  const { points, apartMm } = input
  if (!points && apartMm === undefined) return answerOnCard(picture, input)
  if (!points) return refuse('points-missing')
  if (apartMm === undefined) return refuse('distance-missing')
  return answerByPoints(picture, input, { from: points[0], to: points[1], apartMm })
}

function answerByPoints(picture: Picture, { heightMm, heightOffMm }: OutlineInput, points: KnownDistance): OutlineAnswer | Refused {
  const measured = measureByPoints(picture, { heightMm, heightOffMm, points })
  if (!measured.ok) return measured
  const plusMinus = median(measured.offMm)
  const { onCardOffMm, pixelsPerMm } = measured
  return {
    ...told(measured),
    uncertainty: {
      plusMinus,
      unit: 'mm',
      why: whyOff(heightMm, 'how askew the camera was held, what its lens bends, how well the two points were pointed at'),
    },
    withoutCard: { timesLessSure: plusMinus / onCardOffMm, onCardOffMm, pixelsPerMm },
    working: workingByPoints(measured, heightMm, points),
  }
}

function answerOnCard(picture: Picture, { heightMm, heightOffMm, card }: OutlineInput): OutlineAnswer | Refused {
  const lines = typeof card === 'object' ? card : {}
  const field = typeof card === 'object' ? card.field : card
  const measured = measureOutline(picture, { heightMm, heightOffMm, lineXMm: lines.lineXMm, lineYMm: lines.lineYMm })
  if (!measured.ok) return measured
  const { field: seenField, pixelsPerMm, cameraHeightMm, tiltDeg, bowMm, dots, leftPx, blurMm } = measured
  const otherCard = field !== undefined && (field === 'green') !== (seenField === 'coloured')
  const isMeasured = lines.lineXMm !== undefined && lines.lineYMm !== undefined
  const onCard = told(measured)
  return {
    ...onCard,
    uncertainty: {
      plusMinus: median(measured.offMm),
      unit: 'mm',
      why: whyOff(heightMm, isMeasured ? 'the card’s lines as measured' : 'a card whose lines have not been measured: 0.5 %'),
    },
    card: { field: seenField, pixelsPerMm, cameraHeightMm, tiltDeg, bowMm, dots, leftPx, blurMm },
    notes: otherCard ? [...onCard.notes, `the picture shows the ${seenField === 'coloured' ? 'green' : 'white'} card`] : onCard.notes,
    working: workingOnCard(measured, heightMm, { x: lines.lineXMm, y: lines.lineYMm }),
  }
}

function whyOff(heightMm: number, ofScale: string): string {
  const causes = ['how softly the edge is drawn', heightMm > 0 && 'how well its height is known', ofScale]
  return `${causes.filter((cause) => cause !== false).join(', ')}; half of all points are nearer than this, each has its own in offMm`
}
