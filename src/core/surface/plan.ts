import { benchChemistry, sequenceChemistry } from '../chemistry/forbidden'
import { agentOfPatina } from '../chemistry/step-agents'
import type { Check } from '../forms/contract'
import { ALLOYS } from '../metals'
import type { InputIssue } from '../sizes/read-fields'
import { figureOf } from '../tables/figures'
import { usable } from '../toolwall/tools'
import { formatPlain } from '../units/format'
import { derive, given, note, type WorkingLog, type WorkingStep } from '../working/derive'
import { FINISHES, finishNotes, finishRefusal } from './finishes'
import { type Handling, handlingOf } from './handling'
import { climb, papersOf, type Rung, ratioChecks, scratchOf } from './ladder'
import { laterChecks } from './later'
import { colourRun, patinaChecks, patinaOn } from './patina'
import { type ColourStep, REJECTS } from './run-words'
import type { FaceAsked, SurfaceInput } from './schema'

/** A rung of a face’s ladder, and the way it is rubbed: across the one before. */
export interface FaceRung extends Rung {
  readonly ratio: number
  readonly directionDeg: 0 | 90
  readonly minutes?: number
}

export interface FacePlan {
  readonly face: string
  readonly finish: string
  readonly ladder: readonly FaceRung[]
  readonly after: readonly string[]
  /** Where the papers stop, and why there. */
  readonly stopsAt: string
  readonly why: string
  readonly minutes?: number
}

export interface SurfaceAnswer {
  readonly faces: readonly FacePlan[]
  readonly colour?: { readonly takes: string; readonly steps: readonly ColourStep[]; readonly rejects: typeof REJECTS }
  /** All of it in the order of work. */
  readonly sequence: readonly string[]
  /** How the piece is held along it. */
  readonly handling: readonly Handling[]
  readonly checks: readonly Check[]
  readonly working: readonly WorkingStep[]
}

/** Minutes that a rung takes on so much of a face. */
function minutesOf(areaMm2: number | undefined, what: string, input: SurfaceInput, log: WorkingLog): number | undefined {
  if (areaMm2 === undefined) return undefined
  return derive(log, {
    label: what,
    formula: 'A / v',
    given: [given('A', 'area', areaMm2, 'mm2'), given('v', 'rubbed in a minute', figureOf('sand-rate-face', input.figures), 'mm2')],
    unit: 'min',
    source: input.figures['sand-rate-face'] === undefined ? 'house-default' : 'own-choice',
  })
}

interface PlannedFace {
  readonly plan: FacePlan
  readonly checks: readonly Check[]
}

function planFace(face: FaceAsked, at: number, input: SurfaceInput, log: WorkingLog): PlannedFace | InputIssue {
  const finish = FINISHES[face.finish]
  const scratch = scratchOf(face.from, `faces.${at}.from`)
  if ('path' in scratch) return scratch
  const isThin = ALLOYS[input.alloy].behaviour.finish === 'thin-layer'
  const target = isThin ? undefined : finish.targetMicron
  const rungs =
    target === undefined
      ? []
      : climb({
          fromMicron: scratch.micron,
          includeFirst: scratch.first,
          targetMicron: target,
          steps: papersOf(input.owned),
          own: input.figures,
        })
  const ladder = rungs.map((rung, i): FaceRung => {
    const before = rungs[i - 1]?.micron ?? scratch.micron
    const ratio = note(log, {
      kind: 'choose',
      label: `${face.name}: ${rung.name}`,
      formula: 'present grain / next grain, 1.33 to 2.0',
      given: [given('p', 'present grain', before, 'µm'), given('n', 'next grain', rung.micron, 'µm')],
      value: before / rung.micron,
      unit: 'ratio',
      source: 'bench-practice',
    })
    const minutes = minutesOf(face.areaMm2, `${face.name}: minutes with ${rung.name}`, input, log)
    return { ...rung, ratio, directionDeg: i % 2 === 0 ? 0 : 90, ...(minutes === undefined ? {} : { minutes }) }
  })
  const reached = rungs.at(-1)?.micron ?? scratch.micron
  const isShort = target !== undefined && reached > target * 1.1
  const source = 'bench-practice' as const
  const refusal = finishRefusal(face.finish, ALLOYS[input.alloy])
  const checks: Check[] = [
    ...ratioChecks(rungs, scratch.micron, input.figures),
    ...(refusal ? [{ level: 'stop', code: 'thin-layer', field: `faces.${at}.finish`, source, message: refusal } satisfies Check] : []),
    ...finishNotes(face.finish, ALLOYS[input.alloy]).map(
      (message): Check => ({ level: 'note', code: 'finish-on-this-metal', field: `faces.${at}.finish`, source, message }),
    ),
    ...(isShort
      ? [
          {
            level: 'warn',
            code: 'paper-missing',
            field: `faces.${at}.finish`,
            actual: { value: reached, unit: 'µm' },
            limit: { value: target, unit: 'µm' },
            source,
            message: `${face.name}: the finest paper there is ends at ${formatPlain(reached)} µm; ${finish.title} asks for about ${formatPlain(target)} µm.`,
          } satisfies Check,
        ]
      : []),
  ]
  const minutes = face.areaMm2 === undefined ? undefined : ladder.reduce((sum, rung) => sum + (rung.minutes ?? 0), 0)
  return {
    plan: {
      face: face.name,
      finish: finish.title,
      ladder,
      after: refusal ? ['soft brush, soap and water'] : finish.after,
      stopsAt: rungs.at(-1)?.name ?? 'no paper',
      why: isThin ? 'A thin wear layer is not sanded.' : finish.why,
      ...(minutes === undefined ? {} : { minutes }),
    },
    checks,
  }
}

/** All steps in their order: papers face by face from coarse to fine, tumbling and colour as the school has it, the seal last. */
function sequenceOf(faces: readonly FacePlan[], input: SurfaceInput): string[] {
  const papers = faces.flatMap(({ face, ladder }) => ladder.map(({ name }) => `${face}: ${name}`))
  const isTumbled = (step: string) => step.startsWith('tumble') || step === 'rinse and dry'
  const after = faces.flatMap(({ face, after: steps }) => steps.map((step) => ({ step, text: `${face}: ${step}` })))
  const shine = after.filter(({ step }) => !isTumbled(step)).map(({ text }) => text)
  const tumble = [...new Set(after.filter(({ step }) => isTumbled(step)).map(({ step }) => step))]
  const colour = input.patina ? colourRun(input.patina).map(({ step }) => step) : []
  const isSeal = (step: string) => step === 'wax' || step === 'lacquer'
  const seal = colour.filter(isSeal)
  const run = colour.filter((step) => !isSeal(step))
  if (colour.length === 0 || input.order === 'tumble-first') return [...papers, ...shine, ...tumble, ...run, ...seal]
  return [...papers, ...run, ...shine, ...tumble, ...seal]
}

/** What the agents of the bench and of the colour have against each other. */
function chemistryChecks({ bench, baths, patina }: SurfaceInput): Check[] {
  const own = patina ? agentOfPatina(patina.agent) : undefined
  return [...benchChemistry([...bench, ...(own ? [own] : [])]), ...sequenceChemistry(baths)]
}

export type SurfaceResult =
  | { readonly ok: true; readonly answer: SurfaceAnswer }
  | { readonly ok: false; readonly issues: readonly InputIssue[] }

/** The papers of each face from its deepest scratch to its finish, the colour run, and what stands against them; grains in µm. */
export function surfacePlan(input: SurfaceInput): SurfaceResult {
  const log: WorkingLog = []
  const planned = input.faces.map((face, i) => planFace(face, i, input, log))
  const issues = planned.filter((one): one is InputIssue => 'path' in one)
  if (issues.length > 0) return { ok: false, issues }
  const faces = planned.filter((one): one is PlannedFace => 'plan' in one)
  const { patina } = input
  const hasOwn = usable(input.owned, 'abrasive').length > 0
  const sequence = sequenceOf(
    faces.map(({ plan }) => plan),
    input,
  )
  return {
    ok: true,
    answer: {
      faces: faces.map(({ plan }) => plan),
      ...(patina ? { colour: { takes: patinaOn(patina.agent, input.alloy), steps: colourRun(patina), rejects: REJECTS } } : {}),
      sequence,
      handling: handlingOf(sequence),
      checks: [
        ...chemistryChecks(input),
        ...(patina ? patinaChecks(patina, input.alloy) : []),
        ...laterChecks(input),
        ...faces.flatMap(({ checks }) => checks),
        {
          level: 'note',
          code: 'handling',
          source: 'bench-practice',
          message: `Turn a quarter at each paper and rinse between.${hasOwn ? '' : ' Papers are the usual ones: hang your own on the tool wall.'}`,
        },
      ],
      working: log,
    },
  }
}
