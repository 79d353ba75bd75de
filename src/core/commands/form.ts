import * as z from 'zod'
import { answerBend } from '../forming/bend-answer'
import { fineBulge } from '../forming/bulge/bulge'
import { type DapStageResult, fitsPunch, smallestPunchMm } from '../forming/dapping/dap'
import { poleBand, punchesFor, withAnneals } from '../forming/dapping/plan-dap'
import { atPole } from '../forming/dapping/sheet'
import { hardeningOf } from '../forming/hardening'
import { drawSchedule, rollSchedule, stripToTube } from '../forming/schedules'
import { strainLimit } from '../forming/work-used'
import { ALLOY_IDS, type AlloyId } from '../metals/alloys'
import { BOUGHT_TEMPER_IDS, boughtStrain } from '../metals/tempers'
import { objectOfFields, readChecked } from '../sizes/read-fields'
import { type OwnFigures, ownFiguresField } from '../tables/figures'
import { alloyWith, isMetalKnown, sayMetalUnknown } from '../tables/own-metal'
import { lengthMm, thicknessMm } from '../units/fields'
import { sayIssue } from '../units/plain-words'
import { bad, type DoorAnswer } from './door-answer'

const DEG = 180 / Math.PI
const metal = { alloy: z.enum(ALLOY_IDS), bought: z.enum(BOUGHT_TEMPER_IDS).default('annealed'), figures: ownFiguresField() }
const thick = thicknessMm({ label: 'Thickness', min: 0.05, max: 12 })
const punch = z.number({ error: 'a punch diameter in mm' }).min(1, { error: '1 mm or more' }).max(500, { error: '500 mm or less' })

const domeInput = z.strictObject({
  kind: z.literal('dome'),
  ...metal,
  discMm: lengthMm({ label: 'Disc', min: 2, max: 500 }),
  thicknessMm: thick,
  punchesMm: z.array(punch).min(1, { error: 'one punch at least' }).max(40, { error: '40 punches at most' }),
  /** `as-given` goes through the punches in their order; `sequence` picks those it needs of the ones at hand. */
  want: z.enum(['as-given', 'sequence']).default('as-given'),
  friction: z.number().min(0).max(4).default(0),
  rings: z.int().min(10).max(160).default(40),
})
const bulgeInput = z.strictObject({
  kind: z.literal('bulge'),
  ...metal,
  radiusMm: lengthMm({ label: 'Radius', min: 1, max: 500 }),
  thicknessMm: thick,
  heightMm: lengthMm({ label: 'Height', min: 0.1, max: 500 }),
  rings: z.int().min(10).max(80).default(40),
})
const bendInput = z.strictObject({
  kind: z.literal('bend'),
  ...metal,
  radiusMm: lengthMm({ label: 'Radius', min: 0.5, max: 1000 }),
  thicknessMm: thick,
  widthMm: lengthMm({ label: 'Width', min: 0.2, max: 1000 }),
})
const tubeInput = z.strictObject({
  kind: z.literal('strip-to-tube'),
  widthMm: lengthMm({ label: 'Width', min: 1, max: 200 }),
  thicknessMm: thick,
  insideDiameterMm: lengthMm({ label: 'Inside diameter', min: 10, max: 200 }),
  stages: z.int().min(1).max(60).default(6),
})
const reduced = {
  ...metal,
  lengthMm: lengthMm({ label: 'Length', min: 1, max: 100000 }),
  reductionFraction: z.number().min(0.01).max(0.6).default(0.12),
}
const rollInput = z.strictObject({
  kind: z.literal('roll'),
  ...reduced,
  fromMm: thick,
  toMm: thick,
  widthMm: lengthMm({ label: 'Width', min: 0.2, max: 1000 }),
  rollsMm: lengthMm({ label: 'Rolls', min: 20, max: 300 }).default(60),
})
const drawInput = z.strictObject({ kind: z.literal('draw'), ...reduced, fromMm: thick, toMm: thick })

type Fault = { readonly path: string; readonly message: string }
type Ran = { readonly body: unknown } | { readonly fault: Fault }

function shownStage({ sphereRadiusMm, rimAngleRad, ...stage }: DapStageResult) {
  return { ...stage, sphereRadiusMm, rimAngleDeg: rimAngleRad * DEG }
}

function runDome({
  alloy: id,
  bought,
  figures,
  discMm,
  thicknessMm: t,
  punchesMm,
  want,
  friction,
  rings,
}: z.output<typeof domeInput>): Ran {
  const small = punchesMm.find((one) => !fitsPunch(discMm, one, t))
  if (small !== undefined)
    return {
      fault: {
        path: 'punchesMm',
        message: `a disc of ${discMm} mm wraps more than half round a punch of ${small} mm; allowed: ${smallestPunchMm(discMm, t).toFixed(1)} mm or more`,
      },
    }
  const picked = want === 'sequence' ? punchesFor({ discMm, thicknessMm: t }, punchesMm) : undefined
  const input = { alloy: alloyWith(id, figures), discMm, thicknessMm: t, strain: boughtStrain(bought), friction, rings }
  const { stages, annealBefore } = withAnneals(input, picked?.punchesMm ?? punchesMm)
  const last = stages.at(-1)
  return {
    body: {
      kind: 'dome',
      ...(picked ? { sequence: picked.outcome } : {}),
      annealBefore,
      stages: stages.map(shownStage),
      poleThicknessMm: last ? poleBand({ thicknessMm: t }, last) : null,
      confidence: { rim: 'medium', pole: 'low', source: 'dap-fit' },
    },
  }
}

function runBulge({ alloy: id, bought, figures, radiusMm, thicknessMm: t, heightMm, rings }: z.output<typeof bulgeInput>): Ran {
  if (heightMm > radiusMm)
    return {
      fault: {
        path: 'heightMm',
        message: `${heightMm} mm was given; a held sheet of ${radiusMm} mm radius rises by its radius at the most`,
      },
    }
  const strain = boughtStrain(bought)
  const found = fineBulge({ radiusMm, hardening: hardeningOf(alloyWith(id, figures)), strain, heightFraction: heightMm / radiusMm, rings })
  const strains = found.rings.map((ring) => -(ring.alongStrain + ring.roundStrain))
  const most = found.pressures.reduce((top, one) => (one.pressureMPa > top.pressureMPa ? one : top), { heightFraction: 0, pressureMPa: 0 })
  return {
    body: {
      kind: 'bulge',
      outcome: found.outcome,
      heightMm: found.heightFraction * radiusMm,
      poleStrain: -found.poleThinningStrain,
      poleThicknessMm: t * Math.exp(-found.poleThinningStrain),
      pressureMPa: (found.pressureMPa * t) / radiusMm,
      mostPressure: { heightMm: most.heightFraction * radiusMm, pressureMPa: (most.pressureMPa * t) / radiusMm },
      workUsedFraction: atPole(found.rings.map((ring) => ring.strain)) / strainLimit(alloyWith(id, figures)),
      profile: found.radiiMm.map((rMm, i) => ({
        rMm,
        zMm: found.heightsMm[i] ?? 0,
        thicknessMm: t * Math.exp(strains[Math.min(i, strains.length - 1)] ?? 0),
      })),
      confidence: { value: 'medium', source: 'clamped-bulge' },
    },
  }
}

function runBend({ alloy: id, bought, figures, radiusMm, thicknessMm: t, widthMm }: z.output<typeof bendInput>): Ran {
  if (radiusMm <= t / 2)
    return {
      fault: { path: 'radiusMm', message: `${radiusMm} mm was given; the middle of ${t} mm metal lies at ${t / 2} mm at the least` },
    }
  const bent = answerBend(alloyWith(id, figures), { radiusMm, thicknessMm: t, widthMm, strain: boughtStrain(bought) })
  return { body: { kind: 'bend', ...bent, confidence: { value: 'low', source: 'springback' } } }
}

function runTube({ widthMm, thicknessMm: t, insideDiameterMm, stages }: z.output<typeof tubeInput>): Ran {
  const outsideMm = widthMm / Math.PI + t
  if (outsideMm <= 2 * t)
    return {
      fault: {
        path: 'widthMm',
        message: `${widthMm} mm was given; a strip of ${t} mm closes to a tube from ${(Math.PI * t).toFixed(2)} mm on`,
      },
    }
  const turned = stripToTube(widthMm, t, insideDiameterMm, stages)
  return {
    body: { kind: 'strip-to-tube', outsideMm, stages: turned.map(({ turnRad, ...stage }) => ({ ...stage, turnDeg: turnRad * DEG })) },
  }
}

const isReduced = (fromMm: number, toMm: number): Fault | undefined =>
  toMm < fromMm ? undefined : { path: 'toMm', message: `${toMm} mm was given; allowed: less than ${fromMm} mm` }

function runRoll({ alloy: id, bought, figures, ...input }: z.output<typeof rollInput>): Ran {
  const fault = isReduced(input.fromMm, input.toMm)
  return fault
    ? { fault }
    : { body: { kind: 'roll', passes: rollSchedule({ ...input, alloy: alloyWith(id, figures), strain: boughtStrain(bought) }) } }
}

function runDraw({ alloy: id, bought, figures, ...input }: z.output<typeof drawInput>): Ran {
  const fault = isReduced(input.fromMm, input.toMm)
  return fault
    ? { fault }
    : { body: { kind: 'draw', passes: drawSchedule({ ...input, alloy: alloyWith(id, figures), strain: boughtStrain(bought) }) } }
}

/** Why nothing can be said of a metal; undefined where it is known, or where no metal is asked for. */
function unknownMetal({ alloy, figures }: { readonly alloy?: AlloyId; readonly figures?: OwnFigures }): Fault | undefined {
  return alloy && !isMetalKnown(alloy, figures ?? {}) ? { path: 'figures', message: sayMetalUnknown(alloy) } : undefined
}

function kindOf<S extends z.ZodObject>(schema: S, run: (input: z.output<S>) => Ran) {
  return {
    schema,
    answer: (raw: Readonly<Record<string, unknown>>): DoorAnswer => {
      const read = readChecked(schema, raw, { gaugeSystem: 'B&S' })
      if (!read.ok) return bad('bad-input', read.issues.map(sayIssue).join('; '), read.issues)
      const unknown = unknownMetal(read.data)
      const ran = unknown ? { fault: unknown } : run(read.data as z.output<S>)
      return 'fault' in ran ? bad('bad-input', sayIssue(ran.fault), [ran.fault]) : { ok: true, body: ran.body }
    },
  }
}

/** What can be simulated, each with its schema. */
export const FORM_KINDS = {
  dome: kindOf(domeInput, runDome),
  bulge: kindOf(bulgeInput, runBulge),
  bend: kindOf(bendInput, runBend),
  'strip-to-tube': kindOf(tubeInput, runTube),
  roll: kindOf(rollInput, runRoll),
  draw: kindOf(drawInput, runDraw),
} as const

/** Simulates forming: a dome through its punches, a held bulge, a bend, a strip closed to a tube, rolling and drawing in passes. */
export function form(raw: unknown): DoorAnswer {
  const object = objectOfFields(raw)
  const kinds = Object.keys(FORM_KINDS).join(', ')
  const { kind } = object ?? {}
  if (!object || typeof kind !== 'string' || !Object.hasOwn(FORM_KINDS, kind)) {
    const issue = { path: 'kind', message: `${kind === undefined ? 'nothing' : JSON.stringify(kind)} was given; allowed: ${kinds}` }
    return bad('bad-input', sayIssue(issue), [issue])
  }
  return FORM_KINDS[kind as keyof typeof FORM_KINDS].answer(object)
}
