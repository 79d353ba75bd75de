import * as z from 'zod'
import { rectangleOutline, roundedRectangle, setOffMm } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { SLOT_REFUSAL, slotHasBridge, strapChecks, strapFields, strapResults, strapSteps, strapView } from '../../common/leather-strap'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { aroundSolid, stripSection } from '../../common/solids'
import type { Answer, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const JOIN_TEXTS = {
  butt: { title: 'Soldered end to end', why: 'The ends meet at the back and are soldered: nothing is added.' },
  lap: { title: 'Lapped and riveted', why: 'The ends lie over one another behind the strap: no heat near the leather.' },
} as const
type Join = keyof typeof JOIN_TEXTS

const input = () =>
  z
    .strictObject({
      strapMm: lengthMm({ label: 'Strap width', min: 3, max: 120 }),
      leatherMm: lengthMm({ label: 'Leather thickness', min: 0.5, max: 10 }),
      easeMm: lengthMm({ label: 'Ease all over', min: 0, max: 5 }).default(0.5),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      widthMm: lengthMm({ label: 'Loop width', min: 1, max: 40 }).default(5),
      radiusMm: lengthMm({ label: 'Corner radius inside', min: 0, max: 10 }).default(0.5),
      lapMm: lengthMm({ label: 'Lap', min: 2, max: 60, help: 'For a riveted loop.' }).default(8),
      tongueMm: lengthMm({
        label: 'Tongue of the buckle',
        min: 0.5,
        max: 12,
        help: 'Its wire: the slot in the leather lets it through.',
      }).default(2.4),
      ...strapFields(),
      ...closingFields(0.5),
      schools: schoolsField({ join: ['butt', 'lap'] }),
    })
    .refine(slotHasBridge, SLOT_REFUSAL)
type Input = OutputOf<typeof input>

const insideOf = ({ strapMm, leatherMm, easeMm }: Input) => [strapMm + easeMm, 2 * leatherMm + easeMm] as const

function lengthOf(log: WorkingLog, input: Input, school: Join): number {
  const [wide, high] = insideOf(input)
  const r = Math.min(input.radiusMm, high / 2)
  return derive(log, {
    label: JOIN_TEXTS[school].title,
    formula: school === 'lap' ? '2·(a + b) − 8·r + 2·π·r + π·t + l' : '2·(a + b) − 8·r + 2·π·r + π·t',
    unit: 'mm',
    source: 'parallel-curve',
    given: [
      given('a', 'inside, strap and ease', wide),
      given('b', 'inside, two leathers and ease', high),
      given('r', 'corner radius', r),
      given('t', 'thickness', input.thicknessMm),
      ...(school === 'lap' ? [given('l', 'lap', input.lapMm)] : []),
    ],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.join))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('insideMm', 'Inside along the strap', insideOf(input)[0], 0.5, 'strapMm')

function planLoop(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const leather = strapResults(log, input)
  const answer = answerFor(log, input)
  const [wide, high] = insideOf(input)
  const inside = roundedRectangle(wide, high, Math.max(0.02, Math.min(input.radiusMm, high / 2)))
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'loop', outline: rectangleOutline(answer.markAt, input.widthMm) })],
    results: {
      insideWideMm: { value: wide, unit: 'mm' },
      insideHighMm: { value: high, unit: 'mm' },
      ...leather,
    },
    choice: schoolChoice('join', 'How it closes', input.schools.join, JOIN_TEXTS, (id) => lengthOf([], input, id)),
    checks: [...strapChecks(input), ...hazardNotes(input.alloy)],
    views: [
      view('section', 'The loop round two leathers', {
        shapes: [
          region(setOffMm(inside, input.thicknessMm), [[...inside].reverse()]),
          stroke('centre', [-input.strapMm / 2, 0], [input.strapMm / 2, 0]),
        ],
        dimensions: [
          { from: [-wide / 2, -high / 2], to: [wide / 2, -high / 2], offset: -2.4, text: `${formatPlain(wide, 2)} inside` },
          {
            from: [wide / 2 + input.thicknessMm, -high / 2],
            to: [wide / 2 + input.thicknessMm, high / 2],
            offset: -1.2,
            text: formatPlain(high, 2),
          },
        ],
        handles: [{ field: 'strapMm', label: 'strap', at: [wide / 2, 0], along: [1, 0], gain: 2 }],
      }),
      stripView(answer.markAt, input.widthMm, {
        length: `cut ${formatPlain(answer.markAt, 1)}`,
        width: `${formatPlain(input.widthMm, 1)} wide`,
      }),
      strapView(input),
    ],
    sizedSteps: bentSteps({
      what: 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm: Math.max(0.2, input.radiusMm),
      on: 'a block of two leathers',
      bend: { what: 'its four corners', manner: 'fold' },
      target,
    }).filter((step) => input.schools.join === 'butt' || (step.op !== 'solder' && step.op !== 'pickle')),
    companionSteps: strapSteps(input),
    regions: ['outside', 'inside'],
    solids: aroundSolid(setOffMm(inside, input.thicknessMm / 2), stripSection(input.widthMm, input.thicknessMm)),
    method: `strap loop, ${JOIN_TEXTS[input.schools.join].title.toLowerCase()}`,
  })
}

export const strapLoop = defineForm({
  id: 'strap-loop',
  title: 'Strap loop and its leather',
  summary: 'A metal keeper round two thicknesses of strap, and the slot and size holes the leather needs.',
  input,
  example: { strapMm: 24, leatherMm: 2.6, alloy: 'yellow-brass-c260', thicknessMm: '20 ga', widthMm: 6 },
  ask: { words: ['strap loop', 'keeper', 'belt loop'], sizes: ['strapMm', 'leatherMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['strapMm', 'leatherMm', 'radiusMm'],
  plan: planLoop,
})
