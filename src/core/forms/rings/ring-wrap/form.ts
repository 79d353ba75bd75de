import * as z from 'zod'
import { cutAlong } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import type { BentSegment } from '../../../drawing/solid/solid'
import { arcPoints, circleHole, circleOutline } from '../../../geometry/outline'
import type { Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm, ringDiameterMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  onlySchool,
  region,
  sheetBlank,
  stripView,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { bentSolid, stripSection } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

/** Metal that stays between a hole and an edge (common practice, no source). */
const WEB_MM = 1

const HOLE_WHEN = { wrapped: 'Once it is wrapped, through both layers', flat: 'In the flat strip, in the outer end' } as const

const input = () =>
  z.strictObject({
    insideDiameterMm: ringDiameterMm({ label: 'Size', min: 8, max: 35, help: 'A ring size, or the inside diameter.' }),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    widthMm: lengthMm({ label: 'Width', min: 1, max: 40 }).default(6),
    overlapMm: lengthMm({ label: 'Overlap', min: 0, max: 40, help: 'How far the outer end lies over the inner one.' }).default(5),
    holeMm: lengthMm({ label: 'Rivet hole', min: 0, max: 10, help: 'Through both layers; 0 for none.' }).default(0),
    holeWhen: choice('Hole drilled', HOLE_WHEN).default('wrapped'),
    ...closingFields(0.5),
    schools: schoolsField({ length: ['spiral'] }),
  })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Once round and the overlap',
    formula: 'π·(d + t) + o',
    unit: 'mm',
    source: 'hill',
    given: [
      given('d', 'inside diameter', input.insideDiameterMm),
      given('t', 'thickness', input.thicknessMm),
      given('o', 'overlap', input.overlapMm),
    ],
    note: 'The outer end climbs one thickness over the inner one; its own length is the overlap as it lies.',
  })
}

/** The angle that the outer end laps over, rad, along the middle of its metal. */
const lapRad = ({ insideDiameterMm, overlapMm, thicknessMm }: Input) => overlapMm / (insideDiameterMm / 2 + 1.5 * thicknessMm)

/** Where the rivet’s hole falls in each layer once it is in the middle of the lap, mm from the end of that layer. */
function holePlaces(log: WorkingLog, input: Input): { innerMm: number; outerMm: number } {
  const innerMm = derive(log, {
    label: 'Hole from the inner end',
    formula: 'o/2·(d + t)/(d + 3·t)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('o', 'overlap', input.overlapMm),
      given('d', 'inside diameter', input.insideDiameterMm),
      given('t', 'thickness', input.thicknessMm),
    ],
    note: 'The layer beneath lies on a smaller circle: the same angle takes less of it.',
  })
  const outerMm = derive(log, {
    label: 'Hole from the outer end',
    formula: 'o/2',
    unit: 'mm',
    source: 'closed-form',
    given: [given('o', 'overlap', input.overlapMm)],
  })
  return { innerMm, outerMm }
}

/** The spiral in section: once round, then over itself. */
function sectionView(input: Input) {
  const inner = input.insideDiameterMm / 2
  const turn = 2 * Math.PI
  const lap = Math.min(turn * 0.95, lapRad(input))
  const t = input.thicknessMm
  const ring = (radius: number, from: number, to: number) => arcPoints([0, 0], radius, from, to)
  return view('section', 'Section', {
    shapes: [
      region([...ring(inner + t, 0, turn - 0.02), ...[...ring(inner, 0, turn - 0.02)].reverse()]),
      region([...ring(inner + 2 * t, 0, Math.max(0.02, lap)), ...[...ring(inner + t, 0, Math.max(0.02, lap))].reverse()]),
      cutAlong([inner, 0], [inner + t, 0]),
    ],
    dimensions: [
      { from: [-inner, 0], to: [inner, 0], offset: 0, text: `${formatPlain(input.insideDiameterMm, 2)} inside` },
      {
        from: [-inner - t, -inner - t],
        to: [inner + t, -inner - t],
        offset: -2,
        text: `${formatPlain(2 * (inner + t), 2)} outside, overlap ${formatPlain(input.overlapMm, 2)}`,
      },
    ],
    handles: [
      {
        field: 'overlapMm',
        label: 'overlap',
        at: [(inner + 2 * t) * Math.cos(lap), (inner + 2 * t) * Math.sin(lap)],
        along: [-Math.sin(lap), Math.cos(lap)],
        gain: 1,
      },
    ],
  })
}

/** The strip, and where the rivet's hole falls in each of its ends. */
function blankView(input: Input, cutMm: number, places: { innerMm: number; outerMm: number } | undefined): DrawingView {
  const flat = stripView(cutMm, input.widthMm, { length: `cut ${formatPlain(cutMm, 2)}`, width: `${formatPlain(input.widthMm, 2)} wide` })
  if (!places) return flat
  const across = input.widthMm / 2
  const rim = (x: number) => circleOutline(input.holeMm / 2).map(([px, py]): Point => [px + x, py + across])
  const outerAt = cutMm - places.outerMm
  return {
    ...flat,
    shapes: [...flat.shapes, stroke('scribe', ...rim(places.innerMm)), stroke('scribe', ...rim(outerAt))],
    dimensions: [
      ...flat.dimensions,
      { from: [0, input.widthMm], to: [places.innerMm, input.widthMm], offset: 1.6, text: `beneath ${formatPlain(places.innerMm, 2)}` },
      { from: [outerAt, input.widthMm], to: [cutMm, input.widthMm], offset: 1.6, text: `above ${formatPlain(places.outerMm, 2)}` },
    ],
  }
}

/** Once round and over itself: the strip climbs by its own thickness on the way. */
function spiral({ insideDiameterMm, thicknessMm, overlapMm }: Input): BentSegment[] {
  const [inner, steps] = [(insideDiameterMm + thicknessMm) / 2, 48]
  const climb = Array.from({ length: steps }, (_, i) => ({
    radiusMm: inner + (thicknessMm * Math.max(0, i - steps / 2)) / (steps / 2),
    turnRad: (2 * Math.PI) / steps,
  }))
  const over = inner + thicknessMm
  return [...climb, { radiusMm: over, turnRad: overlapMm / over }]
}

function overlapCheck(input: Input) {
  const need = input.holeMm + 2 * WEB_MM
  const shortMm = (holePlaces([], input).innerMm * 2 - input.holeMm) / 2
  return limitCheck({
    code: 'overlap-for-rivet',
    ok: input.overlapMm >= need,
    level: 'stop',
    field: 'overlapMm',
    source: 'bench-practice',
    actual: input.overlapMm,
    limit: need,
    good: `The hole has ${formatPlain(shortMm, 2)} mm of metal to the end in the layer beneath, ${formatPlain((input.overlapMm - input.holeMm) / 2, 2)} mm in the one above.`,
    bad: `A ${formatPlain(input.holeMm, 2)} mm hole needs ${formatPlain(need, 2)} mm of overlap: the hole and ${WEB_MM} mm each side in both layers.`,
  })
}

function holeNote({ holeWhen }: Input): Check {
  return {
    level: 'note',
    code: 'hole-both-layers',
    field: 'holeWhen',
    source: 'bench-practice',
    message:
      holeWhen === 'flat'
        ? 'Drill the outer end flat, wrap the ring to size, then drill the layer beneath through that hole: a second hole drilled flat never meets it.'
        : 'Wrap the ring to size first, hold the layers with a clamp on a rod, and drill through both at once.',
  }
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('insideDiameterMm', 'Inside diameter', input.insideDiameterMm, 0.2)

function planRingWrap(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input)
  const answer = answerFor(log, input)
  const places = input.holeMm > 0 ? holePlaces(log, input) : undefined
  const hole = places ? [circleHole(input.holeMm / 2, [answer.markAt - places.outerMm, input.widthMm / 2])] : []
  const target = targetOf(outcomeOf(input))
  const outline = [
    [0, 0],
    [answer.markAt, 0],
    [answer.markAt, input.widthMm],
    [0, input.widthMm],
  ] as const
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline, ...(input.holeWhen === 'flat' ? { holes: hole } : {}) })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      thickAtLapMm: { value: 2 * input.thicknessMm, unit: 'mm' },
      ...(places ? { holeInnerMm: { value: places.innerMm, unit: 'mm' }, holeOuterMm: { value: places.outerMm, unit: 'mm' } } : {}),
    },
    choice: onlySchool('length', 'Calculation', {
      id: 'spiral',
      title: 'Once round and the overlap',
      value: calculatedMm,
      why: 'The inner turn is a ring by the middle of its metal; what lies over it is added as it lies.',
    }),
    checks: [...(input.holeMm > 0 ? [overlapCheck(input), holeNote(input)] : []), ...hazardNotes(input.alloy)],
    views: [sectionView(input), blankView(input, answer.markAt, places)],
    sizedSteps: [
      ...bentSteps({
        what: 'the strip',
        cutMm: answer.markAt,
        insideRadiusMm: input.insideDiameterMm / 2,
        on: 'the ring mandrel',
        target,
      }),
      ...(input.holeMm > 0 ? [{ op: 'drill', at: 'overlap', params: { diameterMm: Math.max(0.3, input.holeMm) } } as const] : []),
    ],
    regions: ['outside', 'inside'],
    solids: bentSolid(spiral(input), stripSection(input.widthMm, input.thicknessMm)),
    method: 'strip, wrapped',
  })
}

export const ringWrap = defineForm({
  id: 'ring-wrap',
  title: 'Wrapped ring',
  summary: 'A ring of strip that laps over itself, riveted or sprung: how long to cut, and whether a rivet has room.',
  input,
  example: { insideDiameterMm: 'UK O', alloy: 'red-brass-c230', thicknessMm: '19 ga', widthMm: 7, overlapMm: 6, holeMm: 1.5 },
  ask: { words: ['wrap ring', 'wrapped ring'], sizes: ['insideDiameterMm', 'widthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['insideDiameterMm', 'overlapMm'],
  plan: planRingWrap,
})
