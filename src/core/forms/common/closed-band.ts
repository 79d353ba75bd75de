import { drawClosedBand } from '../../drawing/closed-band'
import {
  BAND_LENGTH_SCHOOLS,
  BAND_LENGTH_TEXTS,
  type BandLengthSchool,
  bandLengthMm,
  PI_SCHOOLS,
  PI_TEXTS,
  type PiSchool,
} from '../../forming/band-length'
import { bendStrain } from '../../forming/strain'
import { RISK_AT, smallestBendRatio, strainLimit } from '../../forming/work-used'
import { circleOutline, rectangleOutline } from '../../geometry/outline'
import type { AlloyId } from '../../metals/alloys'
import { alloyWith } from '../../tables/own-metal'
import type { Bench } from '../../toolwall/tools'
import { formatPlain } from '../../units/format'
import { derive, given, type WorkingLog } from '../../working/derive'
import type { Answer, BlankSpec, Check, FormPlan, OutcomeSpec, SchoolChoice, SizedStep } from '../contract'
import { bandPlaces } from './places'
import { hazardNotes, markedAt, sheetBlank, targetOf, wireBlank } from './plan-kit'
import { bentSteps } from './sized-steps'
import { ringSolid, stripSection } from './solids'

/** A strip or wire bent into a closed round band: what rings and bangles have in common. */
export interface ClosedBand {
  readonly name: string
  readonly qty: number
  readonly alloy: AlloyId
  readonly stock: 'strip' | 'round-wire'
  readonly insideDiameterMm: number
  readonly thicknessMm: number
  readonly widthMm: number
  readonly neutralAxisRatio: number
  readonly jointAllowanceMm: number
  readonly allowanceMm: number
  readonly roundUpMm: number
  readonly schools: { readonly length: BandLengthSchool; readonly pi: PiSchool }
  /** Added to the inside diameter before calculating (a wide band's fit). */
  readonly fitMm: number
  /** How much it grows on the diameter in truing and texture: it is calculated so much smaller. */
  readonly growthMm?: number
}

/** The inside diameter to make: as measured, with the fit of a wide band. */
function fittedMm(band: ClosedBand): number {
  return band.insideDiameterMm + band.fitMm
}

function lengthOf(log: WorkingLog, band: ClosedBand, school = band.schools.length, pi = band.schools.pi): number {
  const { thicknessMm, neutralAxisRatio } = band
  return bandLengthMm(log, school, { insideDiameterMm: fittedMm(band) - (band.growthMm ?? 0), thicknessMm, neutralAxisRatio, pi })
}

/** The length to cut: of the band, with joint and own record. */
export function bandAnswer(log: WorkingLog, band: ClosedBand): Answer {
  const value = derive(log, {
    label: 'Cut length',
    formula: 'L + j + r',
    unit: 'mm',
    source: band.allowanceMm === 0 ? 'own-choice' : 'own-record',
    given: [
      given('L', 'length of the band', lengthOf(log, band)),
      given('j', 'joint and filing', band.jointAllowanceMm),
      given('r', 'my allowance', band.allowanceMm),
    ],
  })
  return { name: 'cut length', value, unit: 'mm', markAt: markedAt(log, value, band.roundUpMm) }
}

/** The inside it is made to: what the record of every closed band is kept of. */
export function bandOutcome(band: ClosedBand): OutcomeSpec {
  return { dimension: 'insideDiameterMm', label: 'Inside diameter', valueMm: fittedMm(band), plusMinusMm: 0.1, follows: 1 / Math.PI }
}

function blankOf(band: ClosedBand, markAt: number, bench: Bench): BlankSpec {
  const { name } = band
  if (band.stock === 'strip') return sheetBlank(band, bench, { name, outline: rectangleOutline(markAt, band.widthMm) })
  return wireBlank(band, bench, { name, lengthMm: markAt })
}

function lengthChoice(band: ClosedBand): SchoolChoice {
  return {
    question: 'length',
    label: 'Calculation',
    unit: 'mm',
    school: band.schools.length,
    schools: BAND_LENGTH_SCHOOLS.map((id) => ({
      id,
      title: BAND_LENGTH_TEXTS[id].title,
      why: BAND_LENGTH_TEXTS[id].why,
      value: lengthOf([], band, id),
    })),
  }
}

function piChoice(band: ClosedBand): SchoolChoice {
  return {
    question: 'pi',
    label: 'π',
    unit: 'mm',
    school: band.schools.pi,
    schools: PI_SCHOOLS.map((id) => ({ id, ...PI_TEXTS[id], value: lengthOf([], band, band.schools.length, id) })),
  }
}

function bendCheck(band: ClosedBand, { figures }: Bench): Check {
  const alloy = alloyWith(band.alloy, figures)
  const strain = bendStrain(band.insideDiameterMm / 2, band.thicknessMm, band.widthMm)
  const share = strain / strainLimit(alloy)
  const actual = { value: 100 * share, unit: '%' as const }
  const limit = { value: 100 * RISK_AT, unit: '%' as const }
  if (share > RISK_AT) {
    return {
      level: 'stop',
      code: 'bend-too-tight',
      field: 'thicknessMm',
      actual,
      limit,
      source: 'trade-limit',
      message: `Bending it round would use ${formatPlain(100 * share, 0)} % of what annealed ${alloy.title.toLowerCase()} takes. From soft metal ${formatPlain(smallestBendRatio(alloy, 0) * band.thicknessMm, 1)} mm of inside radius is the least: thinner metal or a larger size.`,
    }
  }
  return {
    level: 'ok',
    code: 'bend',
    actual,
    limit,
    source: 'trade-limit',
    message: `One bend uses about ${formatPlain(100 * share, 0)} % of what annealed ${alloy.title.toLowerCase()} takes.`,
  }
}

/** Checks every closed band shares: the bend, stiffness, and what the metal's own hazards are. */
export function closedBandChecks(band: ClosedBand, bench: Bench): Check[] {
  const checks = [bendCheck(band, bench)]
  if (band.thicknessMm / (band.insideDiameterMm + band.thicknessMm) < 0.012) {
    checks.push({
      level: 'warn',
      code: 'thin-for-size',
      field: 'thicknessMm',
      source: 'house-default',
      message: `${formatPlain(band.thicknessMm, 2)} mm is thin for this size: it will flex and go out of round. About ${formatPlain(0.02 * band.insideDiameterMm, 1)} mm is stiffer.`,
    })
  }
  if (band.jointAllowanceMm === 0)
    checks.push({
      level: 'note',
      code: 'no-joint-allowance',
      field: 'jointAllowanceMm',
      source: 'bench-practice',
      message: 'Nothing is allowed for filing the ends. Add what you usually take off to get them square.',
    })
  return [...checks, ...hazardNotes(band.alloy)]
}

function sizedSteps(band: ClosedBand, markAt: number): SizedStep[] {
  return bentSteps({
    what: band.stock === 'round-wire' ? 'the wire' : 'the strip',
    cutMm: markAt,
    insideRadiusMm: fittedMm(band) / 2,
    on: band.insideDiameterMm > 35 ? 'the bangle mandrel' : 'the ring mandrel',
    target: targetOf(bandOutcome(band)),
  })
}

/** The plan of a closed band; forms add their own results and checks to it. */
export function planClosedBand(log: WorkingLog, band: ClosedBand, bench: Bench): FormPlan {
  const answer = bandAnswer(log, band)
  const { markAt } = answer
  const lengthMm = lengthOf([], band)
  const blank = blankOf(band, markAt, bench)
  const wire = band.stock === 'round-wire'
  const perHalfMm = 0.5 / Math.PI
  return {
    answer,
    blanks: [blank],
    results: {
      lengthMm: { value: lengthMm, unit: 'mm' },
      insideDiameterMm: { value: fittedMm(band), unit: 'mm' },
      outsideDiameterMm: { value: fittedMm(band) + 2 * band.thicknessMm, unit: 'mm' },
      insideCircumferenceMm: { value: Math.PI * fittedMm(band), unit: 'mm' },
      massG: { value: blank.massG, unit: 'g' },
      diameterPerHalfMm: { value: perHalfMm, unit: 'mm' },
    },
    working: log,
    choice: lengthChoice(band),
    choices: [piChoice(band)],
    checks: closedBandChecks(band, bench),
    places: bandPlaces({
      insideDiameterMm: fittedMm(band),
      widthMm: wire ? band.thicknessMm : band.widthMm,
      thicknessMm: band.thicknessMm,
      blankLengthMm: lengthMm,
    }),
    solids: ringSolid(
      band.insideDiameterMm,
      band.neutralAxisRatio * band.thicknessMm,
      (wire ? circleOutline(band.thicknessMm / 2) : stripSection(band.widthMm, band.thicknessMm)).map(([across, out]) => [
        across,
        out + (0.5 - band.neutralAxisRatio) * band.thicknessMm,
      ]),
    ),
    drawing: drawClosedBand({
      insideDiameterMm: band.insideDiameterMm,
      thicknessMm: band.thicknessMm,
      widthMm: wire ? band.thicknessMm : band.widthMm,
      cutMm: markAt,
      lengthMm: Math.min(lengthMm, markAt),
      wire,
    }),
    sizedSteps: sizedSteps(band, markAt),
    regions: ['outside', 'inside'],
    method: `${wire ? 'round wire' : 'strip'}, ${BAND_LENGTH_TEXTS[band.schools.length].title.toLowerCase()}`,
  }
}
