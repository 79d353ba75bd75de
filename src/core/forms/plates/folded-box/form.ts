import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import type { Outline, Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, ratio } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FOLD_TEXTS = {
  scored: {
    title: 'Scored and folded',
    why: 'A right-angled groove nearly through: sharp corners, and the web left at its foot is all that bends.',
    formula: 'a + 2·(t − w) + 2·(h + t − w) + π·w/2',
  },
  bent: {
    title: 'Bent round a radius',
    why: 'Bent over an edge: rounder corners, no groove to fill with solder, and a little less metal.',
    formula: 'a − 2·r + 2·(h − r) + π·(r + k·t)',
  },
} as const
type Fold = keyof typeof FOLD_TEXTS

const CORNER_TEXTS = {
  butt: {
    title: 'Short walls between the long ones',
    why: 'The walls at the two ends stand inside the long walls: their ends are cut back by what those take, and nothing has to be mitred.',
  },
  mitre: {
    title: 'Mitred',
    why: 'All walls run to the outer corner and their ends are filed to 45° from inside, or they run into one another.',
  },
} as const
type Corner = keyof typeof CORNER_TEXTS

const input = () =>
  z
    .strictObject({
      lengthInsideMm: lengthMm({ label: 'Box inside length', min: 2, max: 400 }),
      widthInsideMm: lengthMm({ label: 'Box inside width', min: 2, max: 400 }),
      heightMm: lengthMm({ label: 'Inside wall height', min: 0.5, max: 150 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      webRatio: ratio({ label: 'Left under the score', min: 0.05, max: 0.6, help: 'Share of the thickness: about a fifth.' }).default(0.2),
      radiusMm: lengthMm({ label: 'Bend radius inside', min: 0, max: 20, help: 'Where it is bent, not scored.' }).default(0.8),
      neutralAxisRatio: ratio({ label: 'Bend factor', min: 0.3, max: 0.5, help: '0.33 in a tight bend, 0.5 in a wide one.' }).default(0.4),
      ...closingFields(0.1),
      schools: schoolsField({ fold: ['scored', 'bent'], corner: ['butt', 'mitre'] }),
    })
    .refine((value) => value.schools.fold !== 'bent' || value.heightMm > value.radiusMm, {
      path: ['radiusMm'],
      error: 'Bend radius inside: it must be less than the walls are high',
    })
    .refine((value) => value.schools.fold !== 'bent' || Math.min(value.lengthInsideMm, value.widthInsideMm) > 2 * value.radiusMm, {
      path: ['radiusMm'],
      error: 'Bend radius inside: two of them do not fit across the box',
    })
type Input = OutputOf<typeof input>

/** Developed length over two walls and the bottom between them. */
function overOf(log: WorkingLog, input: Input, school: Fold, insideMm: number, which: string): number {
  const { formula } = FOLD_TEXTS[school]
  const scored = school === 'scored'
  return derive(log, {
    label: `Over the ${which}`,
    formula,
    unit: 'mm',
    source: scored ? 'closed-form' : 'din-6935',
    given: [
      given('a', `inside, ${which}`, insideMm),
      given('h', 'walls', input.heightMm),
      given('t', 'thickness', input.thicknessMm),
      ...(scored
        ? [given('w', 'web left under the score', input.webRatio * input.thicknessMm)]
        : [given('r', 'bend radius', input.radiusMm), given('k', 'neutral axis', input.neutralAxisRatio, 'ratio')]),
    ],
  })
}

interface Cross {
  /** From the middle to the edge of a wall: along the length, and across it. */
  readonly x: number
  readonly y: number
  /** From the middle to a fold. */
  readonly u: number
  readonly v: number
  /** Half as long as the walls are along their edges: those at the ends, and the long ones. */
  readonly endHalf: number
  readonly longHalf: number
}

/** A cross: the bottom and four walls, the corners between them cut out so that no two walls stand in one place. */
function cross({ x, y, u, v, endHalf, longHalf }: Cross): Outline {
  const quarter: Point[] = [
    [x, endHalf],
    [u, endHalf],
    [u, v],
    [longHalf, v],
    [longHalf, y],
  ]
  const corner = quarter.filter(
    ([px, py], i) => i === 0 || Math.hypot(px - (quarter[i - 1]?.[0] ?? 0), py - (quarter[i - 1]?.[1] ?? 0)) > 1e-6,
  )
  const turned = (sx: number, sy: number) => corner.map(([px, py]): Point => [sx * px, sy * py])
  return [...turned(1, 1), ...turned(-1, 1).reverse(), ...turned(-1, -1), ...turned(1, -1).reverse()]
}

/** The box cut along its middle: bottom and two walls, as thick as they are. */
function sectionView({ lengthInsideMm, heightMm, thicknessMm: t }: Input): DrawingView {
  const [x, outer] = [lengthInsideMm / 2, lengthInsideMm / 2 + t]
  return view('section', 'Section along the box', {
    shapes: [
      region([
        [-outer, -t],
        [outer, -t],
        [outer, heightMm],
        [x, heightMm],
        [x, 0],
        [-x, 0],
        [-x, heightMm],
        [-outer, heightMm],
      ]),
    ],
    dimensions: [
      { from: [-x, heightMm], to: [x, heightMm], offset: 1, text: `${formatPlain(lengthInsideMm, 2)} inside` },
      { from: [outer, 0], to: [outer, heightMm], offset: -1, text: formatPlain(heightMm, 2) },
    ],
    handles: [{ field: 'heightMm', label: 'height', at: [outer - t / 2, heightMm], along: [0, 1], gain: 1 }],
  })
}

/** How much the end walls are cut back at each end so that they stand between the long ones; nothing where all are mitred. */
function reliefMm(log: WorkingLog, { thicknessMm, webRatio, radiusMm, schools }: Input): number {
  if (schools.corner === 'mitre') return 0
  const scored = schools.fold === 'scored'
  return derive(log, {
    label: 'End walls cut back at each end',
    formula: scored ? 't − w + π·w/8' : 'r',
    unit: 'mm',
    source: 'closed-form',
    given: scored
      ? [given('t', 'thickness', thicknessMm), given('w', 'web left under the score', webRatio * thicknessMm)]
      : [given('r', 'bend radius', radiusMm)],
    note: scored ? 'As thick as the long walls they stand between.' : 'Clear of the bend of the long walls; the corner stays open by it.',
  })
}

/** Half as long as each wall is along its edge. */
function wallHalves(
  { schools, radiusMm }: Input,
  { u, v, inside, relief }: { readonly u: number; readonly v: number; readonly inside: readonly [number, number]; readonly relief: number },
): Pick<Cross, 'endHalf' | 'longHalf'> {
  if (schools.fold === 'scored') return { longHalf: u, endHalf: schools.corner === 'mitre' ? v : Math.min(v, v - relief) }
  if (schools.corner === 'mitre') return { longHalf: inside[0] - radiusMm, endHalf: inside[1] - radiusMm }
  return { longHalf: Math.min(u, inside[0]), endHalf: inside[1] - relief }
}

/** What the checks weigh. */
interface Weighed {
  readonly school: 'scored' | 'bent'
  readonly web: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { school, web }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'score-web',
      ok: school === 'bent' || (web >= 0.1 && input.webRatio <= 0.35),
      level: 'warn',
      field: 'webRatio',
      source: 'bench-practice',
      actual: web,
      limit: 0.1,
      good:
        school === 'bent'
          ? 'Nothing is scored.'
          : `${formatPlain(web, 2)} mm stays under the score: it folds sharp and holds until it is soldered.`,
      bad:
        web < 0.1
          ? `Only ${formatPlain(web, 2)} mm stays under the score: it breaks off in the fold.`
          : 'Too much stays under the score: the corner folds round and opens the groove.',
    }),
    limitCheck({
      code: 'bend-radius',
      ok: school === 'scored' || input.radiusMm >= 0.5 * input.thicknessMm,
      level: 'warn',
      field: 'radiusMm',
      source: 'bench-practice',
      actual: input.radiusMm,
      limit: 0.5 * input.thicknessMm,
      good: 'The bends are round enough for soft metal.',
      bad: 'Under half the thickness inside, a bend cracks unless it is scored or freshly annealed.',
    }),
    {
      level: 'note',
      code: 'fold-once',
      source: 'bench-practice',
      message: 'A scored fold is bent once and never back. Fold, run hard solder along the groove, then close the four corners.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length over the walls', overOf(log, input, input.schools.fold, input.lengthInsideMm, 'length'))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('lengthMm', 'Box inside length', input.lengthInsideMm, 0.2, 'lengthInsideMm')

function planBox(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.fold
  const calculatedMm = overOf([], input, school, input.lengthInsideMm, 'length')
  const acrossMm = overOf(log, input, school, input.widthInsideMm, 'width')
  const answer = answerFor(log, input)
  const extra = answer.markAt - calculatedMm
  const web = input.webRatio * input.thicknessMm
  // to the middle of the fold: the apex of the groove, or the middle of the bend
  const foldMm =
    school === 'scored'
      ? input.heightMm + input.thicknessMm - web + (Math.PI * web) / 8
      : input.heightMm - input.radiusMm + (Math.PI / 4) * (input.radiusMm + input.neutralAxisRatio * input.thicknessMm)
  const wallMm = foldMm + extra / 2
  const [x, y] = [answer.markAt / 2, (acrossMm + extra) / 2]
  const [u, v] = [x - wallMm, y - wallMm]
  const { corner } = input.schools
  const relief = reliefMm(log, input)
  const inside = [input.lengthInsideMm / 2, input.widthInsideMm / 2] as const
  const outline = cross({ x, y, u, v, ...wallHalves(input, { u, v, inside, relief }) })
  const depth = input.thicknessMm - web
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'box', outline })],
    results: {
      acrossMm: { value: acrossMm + extra, unit: 'mm' },
      foldFromEdgeMm: { value: wallMm, unit: 'mm' },
      scoreDepthMm: { value: school === 'scored' ? depth : 0, unit: 'mm' },
      volumeMm3: { value: input.lengthInsideMm * input.widthInsideMm * input.heightMm, unit: 'mm3' },
      cornerSeamMm: { value: 4 * Math.max(0, wallMm - input.thicknessMm), unit: 'mm' },
      reliefMm: { value: relief, unit: 'mm' },
    },
    choice: schoolChoice('fold', 'How the walls come up', school, FOLD_TEXTS, (id) =>
      overOf([], input, id, input.lengthInsideMm, 'length'),
    ),
    choices: [
      schoolChoice('corner', 'How the corners close', corner, CORNER_TEXTS, (id: Corner) =>
        reliefMm([], { ...input, schools: { ...input.schools, corner: id } }),
      ),
    ],
    checks: checksOf(input, { school, web }),
    views: [
      view('blank', 'Blank, with its fold lines', {
        shapes: [region(outline), stroke('fold', [-u, -v], [u, -v], [u, v], [-u, v], [-u, -v]), cutAround(outline, 'outside')],
        dimensions: [
          { from: [-x, -y], to: [x, -y], offset: -2, text: `cut ${formatPlain(answer.markAt, 2)}` },
          { from: [x, -y], to: [x, y], offset: -1.4, text: formatPlain(2 * y, 2) },
          { from: [u, y], to: [x, y], offset: 1.2, text: `fold at ${formatPlain(wallMm, 2)}` },
          ...(relief > 0
            ? [
                {
                  from: [-x, y - wallMm] as const,
                  to: [-x, y - wallMm - relief] as const,
                  offset: -1.6,
                  text: `back ${formatPlain(relief, 2)}`,
                },
              ]
            : []),
        ],
        handles: [{ field: 'lengthInsideMm', label: 'length', at: [x, 0], along: [1, 0], gain: 2 }],
      }),
      sectionView(input),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the cross, corners out', cutMm: Math.min(2000, answer.markAt) } },
      { op: 'file', params: { what: corner === 'mitre' ? 'the edges square, the wall ends to 45°' : 'the edges square' } },
      { op: 'file', at: 'grooves', params: { what: 'the grooves at a right angle' } },
      {
        op: 'fold',
        params: {
          // the tip of a scoring tool is round by about half of what it leaves (estimate)
          ...(school === 'scored' ? { insideRadiusMm: web / 2, webMm: Math.max(0.01, web) } : { insideRadiusMm: input.radiusMm }),
          what: 'the four walls up',
          region: 'fold',
        },
      },
      { op: 'finish', params: {}, target },
    ],
    ...(school === 'scored' ? {} : { without: ['grooves'] }),
    regions: ['bottom', 'fold'],
    solids: [
      {
        solid: {
          kind: 'box',
          lengthMm: input.lengthInsideMm,
          widthMm: input.widthInsideMm,
          wallMm: input.heightMm,
          thicknessMm: input.thicknessMm,
        },
        at: [0, 0, 0],
      },
    ],
    method: `box, ${FOLD_TEXTS[school].title.toLowerCase()}`,
  })
}

export const foldedBox = defineForm({
  id: 'folded-box',
  title: 'Folded box',
  summary: 'A box with four walls folded up from one cross of sheet: how large to cut it, where to score, how deep.',
  input,
  example: { lengthInsideMm: 32, widthInsideMm: 21, heightMm: 9, alloy: 'sterling-925', thicknessMm: '20 ga' },
  ask: { words: ['box', 'folded box', 'tray'], sizes: ['lengthInsideMm', 'widthInsideMm', 'heightMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['lengthInsideMm', 'heightMm', 'radiusMm'],
  plan: planBox,
})
