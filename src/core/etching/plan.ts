import type { Check } from '../forms/contract'
import type { Region } from '../geometry/clip'
import { perimeterMm } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import { ALLOYS, type AlloyId } from '../metals'
import { figureOf } from '../tables/figures'
import { capitalised, formatPlain } from '../units/format'
import { derive, given, note, type WorkingLog, type WorkingStep } from '../working/derive'
import { artworkOn } from './artwork'
import { refusal } from './baths'
import { type Efficiency, efficiencyOf } from './efficiency'
import { etchChecks } from './etch-checks'
import { electronsMolPerKg, FARADAY_C_PER_MOL } from './faraday'
import type { EtchBath, EtchInput } from './schema'

export interface EtchAnswer {
  /** Metal that the current takes off: what the artwork leaves bare, and edges and back where they are. */
  readonly areaMm2: number
  readonly artworkMm2: number
  readonly currentA: number
  readonly densityAPerDm2: number
  readonly depthMm: number
  /** Of what Faraday’s law says, by the runs of this bath; 1 where there are none. */
  readonly efficiencyRatio: number
  readonly rateUmPerMin: number
  readonly minutes: number
  /** Between which the minutes lie: by what this bath has done, or by what is met where nothing is logged. */
  readonly minutesLeast: number
  readonly minutesMost: number
  /** If it were left in: when it is through. */
  readonly throughMinutes: number
  readonly massOffG: number
  /** Eaten in under each edge of the resist; a dark line comes out narrower by twice this, a bare one wider. */
  readonly undercutMm: number
  readonly finestLineMm: number
  /** Printed mirrored so that it reads right on the metal. */
  readonly isMirrored: boolean
  /** What resist covers on the blank, and which of it the etch would eat away. */
  readonly covered: readonly Region[]
  readonly lost: readonly Outline[]
  readonly checks: readonly Check[]
  readonly working: readonly WorkingStep[]
}

/** A line that is left this wide is a line still, mm (low). */
const LINE_LEFT_MM = 0.1
function refused(input: EtchInput, message: string): EtchAnswer {
  return {
    areaMm2: 0,
    artworkMm2: 0,
    currentA: 0,
    densityAPerDm2: 0,
    depthMm: input.depthMm ?? input.thicknessMm,
    efficiencyRatio: 1,
    rateUmPerMin: 0,
    minutes: 0,
    minutesLeast: 0,
    minutesMost: 0,
    throughMinutes: 0,
    massOffG: 0,
    undercutMm: 0,
    finestLineMm: 0,
    isMirrored: isMirrored(input),
    covered: [],
    lost: [],
    checks: [{ level: 'stop', code: 'not-etched', message, source: 'bench-practice' }],
    working: [],
  }
}

/** Toner is ironed on face down, so it is printed mirrored; what is painted, taped or lies face up is not. */
const isMirrored = ({ resist }: Pick<EtchInput, 'resist'>) => resist === 'toner-transfer'

/** The area that the current works on, mm². */
function areaOf(input: EtchInput, artworkMm2: number, log: WorkingLog): number {
  const { outer, holes, thicknessMm, edges, back, bothSides } = input
  const edgeMm = [outer, ...holes].reduce((sum, ring) => sum + perimeterMm(ring), 0)
  return derive(log, {
    label: 'Metal the current works on',
    formula: 's·A + e·P·t + b·A',
    given: [
      given('s', bothSides ? 'sides etched' : 'side etched', bothSides ? 2 : 1, 'count'),
      given('A', 'bare in the artwork', artworkMm2, 'mm2'),
      given('e', edges === 'bare' ? 'edges bare' : 'edges sealed', edges === 'bare' ? 1 : 0, 'count'),
      given('P', 'edges', edgeMm),
      given('t', 'thickness', thicknessMm),
      given('b', back === 'bare' && !bothSides ? 'back bare' : 'back covered', back === 'bare' && !bothSides ? 1 : 0, 'count'),
    ],
    unit: 'mm2',
    source: 'closed-form',
  })
}

/** The current as set, or for the area. */
function currentFor(input: EtchInput, areaMm2: number, log: WorkingLog): number {
  if (input.currentA !== undefined)
    return note(log, { kind: 'choose', label: 'Current', formula: 'as set', value: input.currentA, unit: 'A', source: 'own-choice' })
  const wanted = input.densityAPerDm2 ?? figureOf('etch-density', input.figures)
  return derive(log, {
    label: 'Current',
    formula: 'J·A / 10000',
    given: [given('J', 'for a square decimetre', wanted, 'A/dm2'), given('A', 'metal the current works on', areaMm2, 'mm2')],
    unit: 'A',
    source: input.densityAPerDm2 === undefined ? 'house-default' : 'own-choice',
  })
}

/** What this bath does of Faraday’s law, by what it has done. */
function noteEfficiency(efficiency: Efficiency, log: WorkingLog): number {
  return note(log, {
    kind: efficiency.count > 0 ? 'solve' : 'choose',
    label: 'What this bath does, of Faraday’s law',
    formula: efficiency.count > 0 ? 'middle of depth etched over depth by the law' : 'as the law says',
    value: efficiency.ratio,
    unit: 'ratio',
    source: efficiency.count > 0 ? 'own-record' : 'faraday',
    note:
      efficiency.count > 0
        ? `of ${efficiency.count} etched before, ${formatPlain(efficiency.least, 2)} to ${formatPlain(efficiency.most, 2)}`
        : 'measure the depth of the first etch and log it',
  })
}

/** Of Faraday’s law, what is met in each bath where nothing is logged yet (low). */
const USUAL_EFFICIENCY: Readonly<Record<EtchBath, readonly [least: number, most: number]>> = {
  'copper-sulphate': [0.9, 1.05],
  salt: [0.9, 1.9],
  'copper-nitrate': [0.85, 1.05],
}
/** How far the next etch may lie from those that were logged (low). */
const BESIDE_RATIO = 0.05

/** Between which the minutes lie. */
function minutesBetween(minutes: number, { ratio, least, most, count }: Efficiency, { bath }: EtchInput) {
  const [low, high] = count > 0 ? [least * (1 - BESIDE_RATIO), most * (1 + BESIDE_RATIO)] : USUAL_EFFICIENCY[bath]
  return { minutesLeast: (minutes * ratio) / high, minutesMost: (minutes * ratio) / low }
}

/** Depth that the current takes off in a minute. */
function rateFor(alloy: AlloyId, densityAPerDm2: number, efficiencyRatio: number, log: WorkingLog): number {
  return derive(log, {
    label: 'Depth in a minute',
    formula: '6·10^6·J·n / (F·r·q)',
    given: [
      given('J', 'current for a square decimetre', densityAPerDm2, 'A/dm2'),
      given('n', 'of Faraday’s law', efficiencyRatio, 'ratio'),
      given('F', 'Faraday constant', FARADAY_C_PER_MOL, 'C/mol'),
      given('r', 'density', ALLOYS[alloy].densityGPerCm3, 'g/cm3'),
      given('q', 'electrons of a kilogram', electronsMolPerKg(ALLOYS[alloy]), 'mol/kg'),
    ],
    unit: 'µm/min',
    source: 'faraday',
  })
}

/**
 * How an etch is made: current and minutes to a depth by Faraday’s law, with what this bath has done before; what the undercut leaves of fine
 * lines, and what stands against it. Depth in mm, minutes with the current on.
 */
export function etchPlan(input: EtchInput): EtchAnswer {
  const no = refusal(input.alloy, input.bath)
  if (no) return refused(input, no)
  const log: WorkingLog = []
  const { alloy, thicknessMm, through, bothSides, figures } = input
  const depthMm = through ? thicknessMm / (bothSides ? 2 : 1) : (input.depthMm as number)
  const undercutMm = derive(log, {
    label: 'Eaten in under each edge of the resist',
    formula: 'u·D',
    given: [given('u', 'sideways for so much deep', figureOf('etch-undercut', figures), 'ratio'), given('D', 'depth', depthMm)],
    unit: 'mm',
    source: figures['etch-undercut'] === undefined ? 'house-default' : 'own-choice',
    note: '0.5 to 1 of the depth, by bath and movement (low)',
  })
  const artwork = artworkOn(input, undercutMm)
  if ('fault' in artwork) return refused(input, `${capitalised(artwork.fault)}.`)
  if (artwork.bareMm2 <= 0) return refused(input, 'The artwork covers the whole blank: nothing would be etched. Dark is what stays.')
  const areaMm2 = areaOf(input, artwork.bareMm2, log)
  const currentA = currentFor(input, areaMm2, log)
  const densityAPerDm2 = (10_000 * currentA) / areaMm2
  const efficiency = efficiencyOf(alloy, input.runs)
  const efficiencyRatio = noteEfficiency(efficiency, log)
  const rateUmPerMin = rateFor(alloy, densityAPerDm2, efficiencyRatio, log)
  const minutes = derive(log, {
    label: 'Minutes with the current on',
    formula: '1000·D / v',
    given: [given('D', 'depth', depthMm), given('v', 'depth in a minute', rateUmPerMin, 'µm/min')],
    unit: 'min',
    source: 'faraday',
  })
  const finestLineMm = derive(log, {
    label: 'Finest dark line to draw',
    formula: '2·c + l',
    given: [given('c', 'undercut', undercutMm), given('l', 'line that has to be left', LINE_LEFT_MM)],
    unit: 'mm',
    source: 'house-default',
  })
  const found = {
    areaMm2,
    artworkMm2: artwork.bareMm2,
    currentA,
    densityAPerDm2,
    depthMm,
    efficiencyRatio,
    rateUmPerMin,
    minutes,
    ...minutesBetween(minutes, efficiency, input),
    throughMinutes: (1000 * thicknessMm) / rateUmPerMin / (bothSides ? 2 : 1),
    massOffG: (artwork.bareMm2 * depthMm * (bothSides ? 2 : 1) * ALLOYS[alloy].densityGPerCm3) / 1000,
    undercutMm,
    finestLineMm,
    isMirrored: isMirrored(input),
    covered: artwork.covered,
    lost: artwork.lost,
  }
  return { ...found, checks: etchChecks(input, found), working: log }
}
