import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import type { Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, ratio } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  completePlan,
  hazardNotes,
  limitCheck,
  measuringBand,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  view,
} from '../../common/plan-kit'
import type { Check, FormPlan } from '../../contract'
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

const input = () =>
  z
    .strictObject({
      lengthInsideMm: lengthMm({ label: 'Box inside, long way', min: 2, max: 400 }),
      widthInsideMm: lengthMm({ label: 'Box inside, short way', min: 2, max: 400 }),
      heightMm: lengthMm({ label: 'Walls inside, high', min: 0.5, max: 150 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      webRatio: ratio({ label: 'Left under the score', min: 0.05, max: 0.6, help: 'Share of the thickness: about a fifth.' }).default(0.2),
      radiusMm: lengthMm({ label: 'Bend radius inside', min: 0, max: 20, help: 'Where it is bent, not scored.' }).default(0.8),
      neutralAxisRatio: ratio({ label: 'Neutral axis k', min: 0.3, max: 0.5, help: '0.33 in a tight bend, 0.5 in a wide one.' }).default(
        0.4,
      ),
      ...closingFields(0.1),
      schools: schoolsField({ fold: ['scored', 'bent'] }),
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

/** A cross: the bottom and four walls, its corners cut out square. */
function cross(over: number, across: number, wall: number): Outline {
  const [x, y] = [over / 2, across / 2]
  const [u, v] = [x - wall, y - wall]
  return [
    [-u, -y],
    [u, -y],
    [u, -v],
    [x, -v],
    [x, v],
    [u, v],
    [u, y],
    [-u, y],
    [-u, v],
    [-x, v],
    [-x, -v],
    [-u, -v],
  ]
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

function planBox(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.fold
  const reckonedMm = overOf(log, input, school, input.lengthInsideMm, 'long way')
  const acrossMm = overOf(log, input, school, input.widthInsideMm, 'short way')
  const answer = answerOf(log, input, 'cut length over the walls', reckonedMm)
  const extra = answer.markAt - reckonedMm
  const web = input.webRatio * input.thicknessMm
  // to the middle of the fold: the apex of the groove, or the middle of the bend
  const foldMm =
    school === 'scored'
      ? input.heightMm + input.thicknessMm - web + (Math.PI * web) / 8
      : input.heightMm - input.radiusMm + (Math.PI / 4) * (input.radiusMm + input.neutralAxisRatio * input.thicknessMm)
  const wallMm = foldMm + extra / 2
  const outline = cross(answer.markAt, acrossMm + extra, wallMm)
  const [x, y] = [answer.markAt / 2, (acrossMm + extra) / 2]
  const [u, v] = [x - wallMm, y - wallMm]
  const depth = input.thicknessMm - web
  const target = { dimension: 'lengthMm', label: 'Box inside, long way', valueMm: input.lengthInsideMm, plusMinusMm: 0.2 }
  const corner = 2 * Math.max(0, wallMm - input.thicknessMm)
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
      cornerSeamMm: { value: corner * 2, unit: 'mm' },
    },
    choice: schoolChoice('fold', 'How the walls come up', school, FOLD_TEXTS, (id) =>
      overOf([], input, id, input.lengthInsideMm, 'long way'),
    ),
    sensitivity: [
      {
        input: 'thickness',
        change: '+ 0.1 mm',
        effect: `+ ${formatPlain(overOf([], { ...input, thicknessMm: input.thicknessMm + 0.1 }, school, input.lengthInsideMm, 'long way') - reckonedMm, 2)} mm over the walls`,
      },
      { input: 'walls', change: '+ 1 mm', effect: '+ 2 mm both ways' },
    ],
    checks: checksOf(input, { school, web }),
    uncertainty: measuringBand(input.measuredWith, 2, 2),
    views: [
      view('blank', 'Blank, with its fold lines', {
        shapes: [region(outline), stroke('scribe', [-u, -v], [u, -v], [u, v], [-u, v], [-u, -v]), cutAround(outline, 'outside')],
        dimensions: [
          { from: [-x, -y], to: [x, -y], offset: -2, text: `cut ${formatPlain(answer.markAt, 2)}` },
          { from: [x, -y], to: [x, y], offset: -1.4, text: formatPlain(2 * y, 2) },
          { from: [u, y], to: [x, y], offset: 1.2, text: `fold at ${formatPlain(wallMm, 2)}` },
        ],
        handles: [{ field: 'lengthInsideMm', label: 'long way', at: [x, 0], along: [1, 0], gain: 2 }],
      }),
      sectionView(input),
    ],
    route: [
      { op: 'saw', params: { what: 'the cross, corners out', cutMm: Math.min(2000, answer.markAt) } },
      { op: 'file', params: { what: school === 'scored' ? 'the grooves at a right angle' : 'the edges square' } },
      { op: 'anneal', params: {} },
      { op: 'bend', params: { insideRadiusMm: school === 'scored' ? 0 : input.radiusMm, what: 'the four walls up', manner: 'fold' } },
      { op: 'solder', params: { solder: 'hard-75', what: 'grooves and corners' } },
      { op: 'pickle', params: {} },
      { op: 'finish', params: {}, target },
    ],
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
    learns: { target, blankPerMm: 1 },
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
  plan: planBox,
})
