import { capHalfAngleRad, capHeightOnSphereMm, capRadiusMm, type DomeMid, rimPerDisc } from '../../../forming/dome'
import { bisect } from '../../../numerics/bisect'
import type { Bench } from '../../../toolwall/tools'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { type Cups, cupsFor, dapSteps } from '../../common/cups'
import { BLANK_SCHOOLS, BLANK_TEXTS, domeBlankMm, domeSpread } from '../../common/dome-blank'
import { domedThicknesses } from '../../common/dome-thickness'
import { answerOf, discBlank } from '../../common/plan-kit'
import type { Answer, FormPlan, OutcomeSpec, Quantity, SchoolChoice, SizedStep, Target } from '../../contract'
import { defineForm } from '../../define-form'
import { domeChecks } from './checks'
import { drawDome } from './drawing'
import { type DomeInput, domeInput, middleOf } from './input'

function blankChoice(input: DomeInput, mid: DomeMid): SchoolChoice {
  return {
    question: 'blank',
    label: 'Calculation',
    unit: 'mm',
    school: input.schools.blank,
    schools: BLANK_SCHOOLS.map((id) => ({ id, title: BLANK_TEXTS[id].title, why: BLANK_TEXTS[id].why, value: domeBlankMm([], id, mid) })),
  }
}

/** Outside, inside or middle: what was measured comes back from the middle of the metal. */
function asMeasured(input: DomeInput, mid: DomeMid): { widthMm: number; heightMm: number } {
  const shiftMm = input.heightMm - middleOf(input).heightMm
  return { widthMm: 2 * (mid.baseRadiusMm + shiftMm), heightMm: mid.heightMm + shiftMm }
}

/** The dome of the same shape that a disc of another size gives, by the chosen school. */
function inverse(input: DomeInput, mid: DomeMid, discMm: number): Record<string, Quantity> {
  const usable = discMm - 2 * input.cleanUpMm - input.trimMm - input.allowanceMm
  const scaled = (factor: number): DomeMid => ({ baseRadiusMm: mid.baseRadiusMm * factor, heightMm: mid.heightMm * factor })
  const factor = usable / domeBlankMm([], input.schools.blank, mid)
  const same = asMeasured(input, scaled(factor))
  const hemisphere = bisect(
    (radius) => domeBlankMm([], input.schools.blank, { baseRadiusMm: radius, heightMm: radius }) - usable,
    1e-6,
    1000,
  ).x
  return {
    fromDiscWidthMm: { value: same.widthMm, unit: 'mm' },
    fromDiscHeightMm: { value: same.heightMm, unit: 'mm' },
    fromDiscHemisphereMm: { value: 2 * hemisphere, unit: 'mm' },
  }
}

/** The steps of the punches, each with the height it should come to. */
function heightSteps(input: DomeInput, sequence: Cups, discMm: number, shiftMm: number): SizedStep[] {
  const steps = dapSteps(sequence.punchesMm, discMm)
  return steps.map((step, i) => {
    const last = i === steps.length - 1
    const sphere = ((sequence.punchesMm[i] ?? 0) + input.thicknessMm) / 2
    const height = last ? input.heightMm : capHeightOnSphereMm(discMm, sphere) + shiftMm
    return {
      ...step,
      target: { dimension: last ? 'heightMm' : `height${i + 1}Mm`, label: 'Height', valueMm: height, plusMinusMm: last ? 0.2 : 0.4 },
    }
  })
}

function sizedSteps(input: DomeInput, sequence: Cups, blankMm: number, markAt: number): SizedStep[] {
  const shiftMm = input.heightMm - middleOf(input).heightMm
  const width: Target = { dimension: 'widthMm', label: 'Across the rim', valueMm: input.widthMm, plusMinusMm: 0.3 }
  return [
    {
      op: 'saw',
      params: { what: 'the disc', cutMm: markAt },
      target: { dimension: 'discMm', label: 'Disc', valueMm: markAt, plusMinusMm: 0.2 },
    },
    { op: 'file', params: { what: 'the edge smooth' } },
    ...heightSteps(input, sequence, blankMm, shiftMm),
    { op: 'sand-flat', params: {}, target: width },
    { op: 'finish', params: {}, target: { ...width, dimension: 'heightMm', label: 'Height', valueMm: input.heightMm, plusMinusMm: 0.2 } },
  ]
}

function answerFor(log: WorkingLog, input: DomeInput): Answer {
  return answerOf(log, input, 'cut diameter', domeBlankMm(log, input.schools.blank, middleOf(input)), [
    { symbol: 'c', name: 'filing allowance per side', valueMm: input.cleanUpMm, times: 2 },
    { symbol: 's', name: 'trim', valueMm: input.trimMm },
  ])
}

/** In the same cup: height and rim both grow with the disc, until a half sphere only grows deeper; the metal thins at the crown. */
function domeOutcomes(input: DomeInput, bench: Bench): readonly OutcomeSpec[] {
  const mid = middleOf(input)
  const disc = domeBlankMm([], 'equal-area', mid)
  const sphere = capRadiusMm(mid)
  return [
    { dimension: 'heightMm', label: 'Height', valueMm: input.heightMm, plusMinusMm: 0.2, follows: disc / (4 * sphere) },
    {
      dimension: 'widthMm',
      label: 'Across the rim',
      valueMm: input.widthMm,
      plusMinusMm: 0.3,
      follows: rimPerDisc(disc, sphere),
    },
    ...domedThicknesses({ ...input, discMm: domeBlankMm([], input.schools.blank, mid), sphereMm: sphere }, bench),
  ]
}

function planDome(input: DomeInput, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const mid = middleOf(input)
  const sides = input.measured === 'middle' ? '' : input.measured === 'outside' ? ' − t' : ' + t'
  derive(log, {
    label: 'Half the width, middle of the metal',
    formula: `(W${sides})/2`,
    unit: 'mm',
    source: 'closed-form',
    given: [given('W', 'across the rim', input.widthMm), given('t', 'thickness', input.thicknessMm)],
  })
  const sphere = derive(log, {
    label: 'Radius of the dome',
    formula: '(a^2 + h^2)/(2·h)',
    unit: 'mm',
    source: 'spherical-cap',
    given: [given('a', 'half the width', mid.baseRadiusMm), given('h', 'height', mid.heightMm)],
  })
  const blankMm = domeBlankMm([], input.schools.blank, mid)
  const answer = answerFor(log, input)
  const { markAt } = answer
  const sequence = cupsFor(input.thicknessMm, bench, blankMm, sphere)
  const blank = discBlank(input, bench, { name: 'disc', diameterMm: markAt })
  const { massG, areaMm2 } = blank
  return {
    answer,
    blanks: [blank],
    results: {
      blankMm: { value: blankMm, unit: 'mm' },
      sphereRadiusMm: { value: sphere, unit: 'mm' },
      areaMm2: { value: areaMm2, unit: 'mm2' },
      massG: { value: massG, unit: 'g' },
      ...inverse(input, mid, input.fromDiscMm ?? markAt),
    },
    working: log,
    choice: blankChoice(input, mid),
    choices: [],
    checks: domeChecks(input, mid, blankMm, sequence),
    solids: [
      {
        solid: { kind: 'cap', discMm: blankMm, halfAngleRad: capHalfAngleRad(mid), thicknessMm: input.thicknessMm, facing: 1 },
        at: [0, 0, 0],
      },
    ],
    drawing: drawDome(input, mid, blankMm, markAt),
    sizedSteps: sizedSteps(input, sequence, blankMm, markAt),
    regions: ['crown', 'middle', 'rim'],
    method: BLANK_TEXTS[input.schools.blank].title.toLowerCase(),
  }
}

export const dome = defineForm({
  id: 'dome',
  title: 'Domed disc',
  summary: 'A shallow or full dome from a flat disc: the disc to cut, the punches to use, and what dome a disc gives.',
  input: domeInput,
  example: { widthMm: 26, heightMm: 6.5, alloy: 'red-brass-c230', thicknessMm: '21 ga' },
  ask: { words: ['dome', 'domed', 'button'], sizes: ['widthMm', 'heightMm'] },
  answer: answerFor,
  outcomes: domeOutcomes,
  measured: ['widthMm', 'heightMm'],
  spread: domeSpread,
  plan: planDome,
})
