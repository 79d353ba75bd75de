import * as z from 'zod'
import { drawClosedBand } from '../../../drawing/closed-band'
import { arcPoints, circleOutline } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm, ringDiameterMm } from '../../../units/fields'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, completePlan, hazardNotes, jointOf, lengthBlank, schoolChoice, targetOf } from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { ringSolid, stripSection } from '../../common/solids'
import type { Answer, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const PROFILES = {
  round: 'Round',
  square: 'Square',
  'half-round': 'Half round, flat inside',
  'half-round-out': 'Half round, curve inside',
} as const
type Profile = keyof typeof PROFILES

const LENGTH_TEXTS = {
  centroid: {
    title: 'Middle of the section',
    why: 'A section keeps its volume when bent on the circle of its centroid; exact for every profile.',
  },
  'half-height': { title: 'Half the height', why: 'Quick, and right for round and square; for half round it cuts a little long.' },
} as const

const input = () =>
  z.strictObject({
    insideDiameterMm: ringDiameterMm({ label: 'Size', min: 8, max: 35, help: 'A ring size, or the inside diameter.' }),
    alloy: commonFields.alloy(),
    profile: choice('Profile', PROFILES).default('half-round'),
    thicknessMm: commonFields.thickness('Height'),
    jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5, help: 'What you file off the two ends together.' }).default(0),
    ...closingFields(0.5),
    schools: schoolsField({ length: ['centroid', 'half-height'] }),
  })
type Input = OutputOf<typeof input>

/** Height of the centroid over the inside of the ring, as a share of the section's height: 4/3π for a half round on its flat. */
const CENTROID: Readonly<Record<Profile, number>> = {
  round: 0.5,
  square: 0.5,
  'half-round': 4 / (3 * Math.PI),
  'half-round-out': 1 - 4 / (3 * Math.PI),
}

function sectionMm2(profile: Profile, heightMm: number): number {
  if (profile === 'square') return heightMm ** 2
  return profile === 'round' ? (Math.PI * heightMm ** 2) / 4 : (Math.PI * heightMm ** 2) / 2
}

/** The section about its centroid, outward up. */
function sectionOf(profile: Profile, heightMm: number): Outline {
  if (profile === 'round') return circleOutline(heightMm / 2)
  if (profile === 'square') return stripSection(heightMm, heightMm)
  const foot = -CENTROID[profile] * heightMm
  return profile === 'half-round'
    ? arcPoints([0, foot], heightMm, 0, Math.PI)
    : arcPoints([0, foot + heightMm], heightMm, Math.PI, 2 * Math.PI)
}

function lengthOf(log: WorkingLog, input: Input, school: Input['schools']['length']): number {
  return derive(log, {
    label: LENGTH_TEXTS[school].title,
    formula: 'π·(d + 2·c·h)',
    unit: 'mm',
    source: school === 'centroid' ? 'pappus' : 'bench-practice',
    given: [
      given('d', 'inside diameter', input.insideDiameterMm),
      given('c', 'centroid, share of the height', school === 'centroid' ? CENTROID[input.profile] : 0.5, 'ratio'),
      given('h', 'height of the section', input.thicknessMm),
    ],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.length), jointOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('insideDiameterMm', 'Inside diameter', input.insideDiameterMm, 0.1)

function planRingWire(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const lengthMm = lengthOf([], input, input.schools.length)
  const answer = answerFor(log, input)
  const wide = input.profile.startsWith('half') ? 2 * input.thicknessMm : input.thicknessMm
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      lengthBlank(input, bench, {
        name: 'wire',
        stock: 'wire',
        lengthMm: answer.markAt,
        heightMm: wide,
        sectionMm2: sectionMm2(input.profile, input.thicknessMm),
      }),
    ],
    results: {
      lengthMm: { value: lengthMm, unit: 'mm' },
      widthMm: { value: wide, unit: 'mm' },
      outsideDiameterMm: { value: input.insideDiameterMm + 2 * input.thicknessMm, unit: 'mm' },
    },
    choice: schoolChoice('length', 'Calculation', input.schools.length, LENGTH_TEXTS, (id) => lengthOf([], input, id)),
    checks: [
      {
        level: 'note',
        code: 'half-round-rocks',
        source: 'bench-practice',
        message: 'Bend it in a groove or between wood so that the profile does not flatten or twist.',
      },
      ...hazardNotes(input.alloy),
    ],
    views: drawClosedBand({
      insideDiameterMm: input.insideDiameterMm,
      thicknessMm: input.thicknessMm,
      widthMm: wide,
      cutMm: answer.markAt,
      lengthMm: Math.min(lengthMm, answer.markAt),
      wire: true,
    }).views,
    sizedSteps: bentSteps({
      what: 'the wire',
      cutMm: answer.markAt,
      insideRadiusMm: input.insideDiameterMm / 2,
      on: 'the ring mandrel',
      target,
    }),
    regions: ['outside', 'inside'],
    solids: ringSolid(input.insideDiameterMm, CENTROID[input.profile] * input.thicknessMm, sectionOf(input.profile, input.thicknessMm)),
    method: `${PROFILES[input.profile].toLowerCase()} wire`,
  })
}

export const ringWire = defineForm({
  id: 'ring-wire',
  title: 'Ring of profiled wire',
  summary: 'A finger ring bent from round, square or half-round wire: how long to cut, by where the middle of the section lies.',
  input,
  example: { insideDiameterMm: 'UK P', alloy: 'sterling-925', profile: 'half-round', thicknessMm: 1.7 },
  ask: { words: ['wire ring', 'half round ring'], sizes: ['insideDiameterMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['insideDiameterMm'],
  plan: planRingWire,
})
