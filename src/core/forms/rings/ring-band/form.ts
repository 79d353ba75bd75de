import { type HammeredRing, hammeredWidthMm, hammerGrowthMm } from '../../../forming/hammered-ring'
import { figureOf } from '../../../tables/figures'
import { MM_PER_US_SIZE, ringSizeOf, ringSizeWords } from '../../../tables/rings/rings'
import { wideBandUsSizes } from '../../../tables/rings/wide-band'
import type { Bench } from '../../../toolwall/tools'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { bandAnswer, bandOutcome, type ClosedBand, planClosedBand } from '../../common/closed-band'
import type { OutputOf } from '../../common/fields'
import type { Check, FormPlan, SchoolChoice } from '../../contract'
import { defineForm } from '../../define-form'
import { FIT_SCHOOLS, ringBandInput } from './input'

type Input = OutputOf<typeof ringBandInput>

const FIT_TEXT = {
  'as-measured': { title: 'As measured', why: 'The size was taken with a gauge of the same width.' },
  'wide-band': {
    title: 'Wide band',
    why: 'A wide band grips more of the finger; adds the house table’s quarter to three quarters of a size.',
  },
} as const

function fitOf(input: Input, school: Input['schools']['fit'], bench: Bench): number {
  return school === 'wide-band' && input.stock === 'strip' ? wideBandUsSizes(input.widthMm, bench.figures) * MM_PER_US_SIZE : 0
}

function fitChoice(input: Input, bench: Bench): SchoolChoice {
  return {
    question: 'fit',
    label: 'Fit of a wide band',
    unit: 'mm',
    school: input.schools.fit,
    schools: FIT_SCHOOLS.map((id) => ({ id, ...FIT_TEXT[id], value: fitOf(input, id, bench) })),
  }
}

/** The ring under the hammer, where it is a strip that is hammered down. */
function hammered({ stock, hammeredToMm, ...input }: Input, { figures }: Bench, fitMm: number): HammeredRing | undefined {
  if (stock !== 'strip' || hammeredToMm === undefined) return undefined
  return { ...input, hammeredToMm, insideDiameterMm: input.insideDiameterMm + fitMm, spreadRatio: figureOf('hammer-spread', figures) }
}

function bandOf(input: Input, bench: Bench): ClosedBand {
  const fitMm = fitOf(input, input.schools.fit, bench)
  const ring = hammered(input, bench, fitMm)
  return { ...input, name: 'band', fitMm, growthMm: input.growthMm + (ring ? hammerGrowthMm(ring) : 0) }
}

/** What the hammer makes of the ring, step and all; without it the step is left out. */
function underHammer(log: WorkingLog, input: Input, bench: Bench): Pick<FormPlan, 'results' | 'sizedSteps' | 'without'> {
  const ring = hammered(input, bench, fitOf(input, input.schools.fit, bench))
  if (!ring) return { results: {}, sizedSteps: [], without: ['planish'] }
  const { insideDiameterMm, thicknessMm, hammeredToMm, spreadRatio } = ring
  const growthMm = derive(log, {
    label: 'Grows under the hammer',
    formula: 'd − ((d + h)·(h/t)^(1 − λ) − t)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('d', 'inside diameter', insideDiameterMm),
      given('t', 'thickness', thicknessMm),
      given('h', 'hammered down to', hammeredToMm),
      given('λ', 'share that goes into the width', spreadRatio, 'ratio'),
    ],
    note: 'The metal keeps its volume; how much of it goes into the width is the hand’s, and its figure is yours to set.',
  })
  return {
    results: { hammerGrowthMm: { value: growthMm, unit: 'mm' }, hammeredWidthMm: { value: hammeredWidthMm(ring), unit: 'mm' } },
    sizedSteps: [{ op: 'planish', params: { what: 'the outside', thinnedFraction: 1 - hammeredToMm / thicknessMm } }],
  }
}

function ownChecks(input: Input, bench: Bench): Check[] {
  const checks: Check[] = []
  if (input.stock === 'strip' && input.widthMm > 4 && input.schools.fit === 'as-measured') {
    const sizes = wideBandUsSizes(input.widthMm, bench.figures)
    checks.push({
      level: 'note',
      code: 'wide-band',
      field: 'widthMm',
      source: 'house-default',
      message: `At ${formatPlain(input.widthMm, 1)} mm a band feels tighter: about ${sizes} of a US size. Measure with a gauge of this width, or choose the wide-band fit.`,
    })
  }
  if (input.stock === 'strip' && input.widthMm < input.thicknessMm) {
    checks.push({
      level: 'warn',
      code: 'narrower-than-thick',
      field: 'widthMm',
      source: 'bench-practice',
      message: 'The strip is narrower than it is thick: it will want to fall over in the bend.',
    })
  }
  return checks
}

/** What a your strip gives: the inside it closes to, and how far its ends lap on a former that is smaller. */
function fromStrip(log: WorkingLog, input: Input): Pick<FormPlan, 'results' | 'checks'> {
  const stripMm = input.stripMm
  if (stripMm === undefined) return { results: {}, checks: [] }
  const insideMm = derive(log, {
    label: 'Inside from your strip',
    formula: 'S/π − 2·k·t',
    unit: 'mm',
    source: 'hill',
    given: [
      given('S', 'strip', stripMm),
      given('k', 'neutral axis', input.neutralAxisRatio, 'ratio'),
      given('t', 'thickness', input.thicknessMm),
    ],
  })
  const lapMm = Math.max(0, stripMm - Math.PI * ((input.formerMm ?? insideMm) + 2 * input.neutralAxisRatio * input.thicknessMm))
  const size = ringSizeOf('US', insideMm)
  return {
    results: {
      stripInsideMm: { value: insideMm, unit: 'mm' },
      stripUsSize: { value: size, unit: 'US size' },
      lapMm: { value: lapMm, unit: 'mm' },
    },
    checks: [
      {
        level: insideMm < 8 ? 'stop' : 'note',
        code: 'strip-in-hand',
        field: 'stripMm',
        source: 'hill',
        message:
          insideMm < 8
            ? `A strip of ${formatPlain(stripMm, 1)} mm closes to ${formatPlain(Math.max(0, insideMm), 2)} mm inside: too small for any finger.`
            : `A strip of ${formatPlain(stripMm, 1)} mm closes to ${formatPlain(insideMm, 2)} mm inside, about US ${formatPlain(size, 1)}.`,
      },
      ...(input.formerMm !== undefined && lapMm > 0.05
        ? [
            {
              level: 'warn' as const,
              code: 'strip-laps',
              field: 'formerMm',
              source: 'closed-form' as const,
              message: `On a former of ${formatPlain(input.formerMm, 2)} mm its ends lap by ${formatPlain(lapMm, 2)} mm: cut that off, or take the larger former.`,
            },
          ]
        : []),
    ],
  }
}

function planRingBand(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const fitMm = fitOf(input, input.schools.fit, bench)
  if (fitMm > 0) {
    derive(log, {
      label: 'Inside, with room for a wide band',
      formula: 'd + n·0.8128',
      unit: 'mm',
      source: 'house-default',
      given: [given('d', 'inside diameter', input.insideDiameterMm), given('n', 'sizes added', fitMm / MM_PER_US_SIZE, 'US size')],
    })
  }
  const plan = planClosedBand(log, bandOf(input, bench), bench)
  const strip = fromStrip(log, input)
  const hammer = underHammer(log, input, bench)
  const us = ringSizeOf('US', input.insideDiameterMm)
  const uk = ringSizeOf('UK', input.insideDiameterMm)
  return {
    ...plan,
    results: {
      ...plan.results,
      usSize: { value: us, unit: 'US size' },
      ukSize: { value: uk, unit: 'UK size' },
      isoSize: { value: ringSizeOf('ISO', input.insideDiameterMm), unit: 'ISO size' },
      ...strip.results,
      ...hammer.results,
      usSizesPerHalfMm: { value: 0.5 / Math.PI / MM_PER_US_SIZE, unit: 'US size' },
    },
    choices: [...plan.choices, fitChoice(input, bench)],
    sizedSteps: [...plan.sizedSteps, ...hammer.sizedSteps],
    ...(hammer.without ? { without: hammer.without } : {}),
    checks: [
      {
        level: 'ok',
        code: 'size',
        source: 'us-ring-scale',
        message: `US ${ringSizeWords('US', input.insideDiameterMm)}, UK ${ringSizeWords('UK', input.insideDiameterMm)}, ISO ${ringSizeWords('ISO', input.insideDiameterMm)}, to the nearest step of each scale; where it lies between two, both.`,
      },
      ...plan.checks,
      ...strip.checks,
      ...ownChecks(input, bench),
    ],
  }
}

export const ringBand = defineForm({
  id: 'ring-band',
  title: 'Ring band',
  summary: 'A finger ring bent round from flat strip or round wire and soldered shut: how long to cut.',
  input: ringBandInput,
  onlyWhen: { widthMm: ['stock', 'strip'], hammeredToMm: ['stock', 'strip'] },
  example: { insideDiameterMm: 'US 7 1/4', alloy: 'sterling-925', stock: 'strip', thicknessMm: '17 ga', widthMm: 3.5 },
  ask: { words: ['ring', 'band'], sizes: ['insideDiameterMm', 'widthMm'] },
  answer: (log, input, bench) => bandAnswer(log, bandOf(input, bench)),
  outcomes: (input, bench) => [bandOutcome(bandOf(input, bench))],
  measured: ['insideDiameterMm'],
  plan: planRingBand,
})
