import * as z from 'zod'
import { cutAlong, cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { arcPoints, circleHole, circleOutline } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, note, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  cleanUpOf,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  targetOf,
  view,
} from '../../common/plan-kit'
import { holeSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SPLIT_TEXTS = {
  equal: { title: 'Equal parts', why: 'The stamping is divided into so many like parts, by lines through its middle.' },
  fans: { title: 'As many fans as fit', why: 'Fans of the width wanted, side by side with a kerf between; the last bit is left over.' },
} as const
type Split = keyof typeof SPLIT_TEXTS

const input = () =>
  z
    .strictObject({
      outsideMm: lengthMm({ label: 'Stamping diameter', min: 4, max: 400 }),
      insideMm: lengthMm({ label: 'Hole in the stamping', min: 0, max: 380, help: '0 for a full disc.' }).default(0),
      sectorCount: count({ label: 'Parts', min: 2, max: 48 }).default(4),
      fanMm: lengthMm({ label: 'Fan width at the rim', min: 1, max: 400, help: 'The chord, where fans of one width are wanted.' }).default(
        12,
      ),
      holeMm: lengthMm({
        label: 'Holes',
        min: 0,
        max: 40,
        help: 'Drilled in the stamping before it is parted, alike in every part; 0 for none.',
      }).default(0),
      holesEachCount: count({ label: 'Holes in each part', min: 1, max: 12 }).default(1),
      holesOutMm: lengthMm({
        label: 'Holes from the middle',
        min: 0,
        max: 200,
        help: 'Middle of the stamping to middle of a hole.',
      }).default(10),
      kerfMm: lengthMm({ label: 'Saw kerf', min: 0, max: 2 }).default(0.25),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(0.2),
      ...closingFields(0.1),
      schools: schoolsField({ split: ['equal', 'fans'] }),
    })
    .refine((value) => value.holeMm === 0 || value.holesOutMm < value.outsideMm / 2, {
      path: ['holesOutMm'],
      error: 'Holes from the middle: they would lie outside the stamping',
    })
    .refine((value) => value.insideMm < value.outsideMm - 1, {
      path: ['insideMm'],
      error: 'Hole in the stamping: no ring of metal stays; it must be a millimetre under the stamping',
    })
    .refine((value) => value.schools.split !== 'fans' || value.fanMm < value.outsideMm, {
      path: ['fanMm'],
      error: 'Fan: its chord must be less than the stamping is across',
    })
type Input = OutputOf<typeof input>

/** Angle one fan takes at the rim with the kerf beside it, rad. */
const fanRad = ({ fanMm, kerfMm, outsideMm }: Input) => 2 * Math.asin(Math.min(1, fanMm / outsideMm)) + (2 * kerfMm) / outsideMm

function partsOf(input: Input, school: Split): number {
  return school === 'equal' ? input.sectorCount : Math.max(1, Math.floor((2 * Math.PI) / fanRad(input) + 1e-9))
}

/** A sector with half a kerf taken off both its straight sides, cut at the rim and at the hole. */
function sector(input: Input, fromRad: number, toRad: number): Outline {
  const [outer, inner] = [input.outsideMm / 2, input.insideMm / 2]
  const shrink = (radius: number) => Math.min((toRad - fromRad) / 2 - 1e-4, Math.asin(Math.min(1, input.kerfMm / 2 / radius)))
  const rim = arcPoints([0, 0], outer, fromRad + shrink(outer), toRad - shrink(outer))
  const least = Math.max(inner, input.kerfMm / 2 / Math.sin(Math.min(Math.PI / 2, (toRad - fromRad) / 2)))
  if (inner <= least && inner < 0.01) {
    const half = (fromRad + toRad) / 2
    const tip: Point = [least * Math.cos(half), least * Math.sin(half)]
    return [...rim, tip]
  }
  return [...rim, ...[...arcPoints([0, 0], least, fromRad + shrink(least), toRad - shrink(least))].reverse()]
}

/** Middles of the holes of one part: spread evenly over its angle, all as far from the middle of the stamping. */
function holeMiddles({ holeMm, holesEachCount, holesOutMm }: Input, eachRad: number, part: number): Point[] {
  if (holeMm === 0) return []
  return Array.from({ length: holesEachCount }, (_, i): Point => {
    const angle = (part + (i + 0.5) / holesEachCount) * eachRad
    return [holesOutMm * Math.cos(angle), holesOutMm * Math.sin(angle)]
  })
}

const holesIn = (input: Input, eachRad: number, part: number): Outline[] =>
  holeMiddles(input, eachRad, part).map((middle) => circleHole(input.holeMm / 2, middle))

/** Metal between a hole of a part and its nearest sawn side, mm. */
function holeWebMm(log: WorkingLog, input: Input, eachRad: number): number {
  return derive(log, {
    label: 'Metal beside a hole, to the sawn side',
    formula: 'p·sin(α/(2·n)) − k/2 − h/2',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('p', 'hole from the middle', input.holesOutMm),
      given('α', 'angle of a part', eachRad, 'rad'),
      given('n', 'holes in it', input.holesEachCount, 'count'),
      given('k', 'kerf', input.kerfMm),
      given('h', 'hole', input.holeMm),
    ],
    note: 'From hole to hole there is at least as much, and the kerf.',
  })
}

function holeCheck(input: Input, sideMm: number): Check {
  const leastMm = Math.min(
    sideMm,
    (input.outsideMm - input.holeMm) / 2 - input.holesOutMm,
    input.insideMm > 0 ? input.holesOutMm - (input.insideMm + input.holeMm) / 2 : sideMm,
  )
  return limitCheck({
    code: 'part-hole-web',
    ok: leastMm >= 1,
    level: leastMm <= 0 ? 'stop' : 'warn',
    field: 'holesOutMm',
    source: 'bench-practice',
    actual: leastMm,
    limit: 1,
    good: `Every part carries its holes, with ${formatPlain(leastMm, 2)} mm of metal beside them.`,
    bad:
      leastMm <= 0
        ? 'A hole runs over the edge of its part: move the holes, or make them smaller.'
        : `Only ${formatPlain(leastMm, 2)} mm stays beside a hole; 1 mm is the usual least.`,
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly chordMm: number
  readonly parts: number
  readonly school: 'equal' | 'fans'
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { chordMm, parts, school }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'part-width',
      ok: chordMm >= 2,
      level: chordMm <= 0 ? 'stop' : 'warn',
      field: 'sectorCount',
      source: 'bench-practice',
      actual: chordMm,
      limit: 2,
      good: `${parts} parts of ${formatPlain(chordMm, 2)} mm across the rim from each stamping.`,
      bad: 'The parts come out too narrow to hold and saw: fewer of them.',
    }),
    ...(parts % 2 === 0 && school === 'equal'
      ? [
          {
            level: 'note' as const,
            code: 'pairs',
            source: 'bench-practice' as const,
            message: `${parts / 2} pairs: saw neighbours as one, then apart, and a pair mirrors exactly.`,
          },
        ]
      : []),
    {
      level: 'note',
      code: 'square-first',
      source: 'bench-practice',
      message: 'Scribe the first two lines at right angles through the middle, then divide between them.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly eachRad: number
  readonly parts: number
  readonly r: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, eachRad, parts, r }: Drawn): DrawingView[] {
  return [
    view('blank', 'Stamping and its parts', {
      shapes: [
        ...Array.from({ length: parts }, (_, i) => region(sector(input, i * eachRad, (i + 1) * eachRad), holesIn(input, eachRad, i))),
        cutAround(circleOutline(answer.markAt / 2), 'outside'),
        ...Array.from({ length: parts }, (_, i) =>
          cutAlong(
            [(input.insideMm / 2) * Math.cos(i * eachRad), (input.insideMm / 2) * Math.sin(i * eachRad)],
            [r * Math.cos(i * eachRad), r * Math.sin(i * eachRad)],
          ),
        ),
      ],
      dimensions: [
        {
          from: [-r, -r],
          to: [r, -r],
          offset: -1.8,
          text: `${formatPlain(input.outsideMm, 2)}, saw outside at ${formatPlain(answer.markAt, 2)}`,
        },
      ],
      handles: [{ field: 'outsideMm', label: 'across', at: [r, 0], along: [1, 0], gain: 2 }],
    }),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'stamping across', input.outsideMm, cleanUpOf(input))
}

/** Angle of one part, rad. */
const eachRadOf = (input: Input) => (input.schools.split === 'equal' ? (2 * Math.PI) / partsOf(input, 'equal') : fanRad(input))

/** Each part across its rim: half a kerf goes from each of its two sides. */
function chordOf(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Width of each part at the rim',
    formula: 'D·sin(α/2) − k·cos(α/2)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('D', 'stamping', input.outsideMm),
      given('α', 'angle of a part', eachRadOf(input), 'rad'),
      given('k', 'kerf', input.kerfMm),
    ],
    note: 'Half a kerf goes from each of its two sides.',
  })
}

/** Equal parts grow with their stamping; fans keep the width they were marked at. */
const outcomeOf = (input: Input): OutcomeSpec =>
  asked('chordMm', 'Part width at the rim', chordOf([], input), 0.3, Math.sin(eachRadOf(input) / 2))

function planSectors(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.split
  const parts = note(log, {
    kind: 'choose',
    label: 'Parts from one stamping',
    formula: school === 'equal' ? 'as asked' : 'full turn over one fan and its kerf, whole ones',
    value: partsOf(input, school),
    unit: 'count',
    source: 'closed-form',
    given: school === 'equal' ? [] : [given('α', 'one fan and its kerf', fanRad(input), 'rad')],
  })
  const eachRad = eachRadOf(input)
  const chordMm = chordOf(log, input)
  const answer = answerFor(log, input)
  const outline = circleOutline(answer.markAt / 2)
  const drilled = Array.from({ length: parts }, (_, i) => holesIn(input, eachRad, i)).flat()
  const holes = [...(input.insideMm > 0 ? [circleHole(input.insideMm / 2)] : []), ...drilled]
  const areaMm2 = (Math.PI / 4) * (answer.markAt ** 2 - input.insideMm ** 2 - drilled.length * input.holeMm ** 2)
  const webMm = input.holeMm > 0 ? holeWebMm(log, input, eachRad) : undefined
  const leftRad = 2 * Math.PI - parts * eachRad
  const target = targetOf(outcomeOf(input))
  const r = input.outsideMm / 2
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      sheetBlank(input, bench, {
        name: 'stamping',
        outline,
        holes,
        areaMm2,
        ...(input.insideMm === 0 ? { circleRadiusMm: answer.markAt / 2 } : {}),
      }),
    ],
    results: {
      partsCount: { value: parts, unit: 'count' },
      chordMm: { value: chordMm, unit: 'mm' },
      ...(webMm === undefined ? {} : { holeWebMm: { value: webMm, unit: 'mm' as const } }),
      angleDeg: { value: (eachRad * 180) / Math.PI, unit: '°' },
      leftOverDeg: { value: (Math.max(0, leftRad) * 180) / Math.PI, unit: '°' },
    },
    choice: { ...schoolChoice('split', 'How it is divided', school, SPLIT_TEXTS, (id) => partsOf(input, id)), unit: 'count' },
    checks: [...checksOf(input, { chordMm, parts, school }), ...(webMm === undefined ? [] : [holeCheck(input, webMm)])],
    views: viewsOf(input, { answer, eachRad, parts, r }),
    sizedSteps: [
      ...holeSteps('holes', input.holeMm),
      { op: 'file', at: 'cuts', params: { what: 'the edges to the line' }, target },
      { op: 'finish', params: {}, target },
    ],
    without: input.holeMm > 0 ? [] : ['holes'],
    method: `parts of a stamping, ${SPLIT_TEXTS[school].title.toLowerCase()}`,
  })
}

export const sectors = defineForm({
  id: 'sectors',
  title: 'Parts of a stamping',
  summary: 'A round stamping sawn into equal parts or into fans: how many it gives, how wide each is once the saw has had its kerf.',
  input,
  example: { outsideMm: 46, insideMm: 14, sectorCount: 6, alloy: 'copper-c110', thicknessMm: '22 ga' },
  ask: { words: ['sectors', 'parts of a stamping'], sizes: ['outsideMm', 'insideMm'] },
  answer: answerFor,
  outcomes: (input) => (input.schools.split === 'equal' ? [outcomeOf(input)] : []),
  measured: ['outsideMm'],
  varies: { cleanUpMm: 0.1 },
  plan: planSectors,
})
