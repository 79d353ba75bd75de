import * as z from 'zod'
import type { Check } from '../forms/contract'
import type { InputIssue } from '../sizes/read-fields'
import { ALL_GRITS, type Grit, gritsNamed } from '../tables/abrasives/grits'
import { figureOf, type OwnFigures } from '../tables/figures'
import { usable } from '../toolwall/tools'
import { choice, words } from '../units/fields'
import { formatPlain } from '../units/format'
import { given, note, type WorkingLog } from '../working/derive'
import type { ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

/** How much finer the next grain may and should be: at most twice, at least a quarter, or one's own figures. */
function stepLimits(own: OwnFigures) {
  return { skip: figureOf('grit-skip', own), least: figureOf('grit-gain', own) }
}

/** Deepest scratch by what left it, as the grain that takes it out first (house default). */
const STARTS: Readonly<Record<string, number>> = { 'saw marks': 68, 'file marks': 68, 'rolled sheet': 35, 'pickled sheet': 25.8 }

const FINISHES = {
  satin: 'Satin, P800',
  fine: 'Fine satin, P1200',
  bright: 'Bright, cut compound',
  mirror: 'Mirror, colour compound',
} as const
const FINISH_MICRON: Readonly<Record<keyof typeof FINISHES, number>> = { satin: 21.8, fine: 15.3, bright: 12.6, mirror: 12.6 }

const input = z.strictObject({
  from: words('Deepest scratch', 30, 'A grade such as P220, or saw marks, file marks, rolled sheet, pickled sheet.').default('file marks'),
  to: choice('Finish', FINISHES).default('bright'),
  /** A ladder to check instead of finding one, coarse to fine. */
  steps: z.array(z.string().max(20)).max(20).default([]),
  ...benchFields(),
})
type Input = z.output<typeof input>

interface Step {
  readonly name: string
  readonly micron: number
  readonly owned: boolean
}

/** Papers most benches have, each within a step of the next (medium). */
const USUAL = ['P80', 'P120', 'P220', 'P400', 'P800', 'P1200', 'P1500']

function gritNamed(text: string, path: string): Grit | InputIssue {
  const found = gritsNamed(text)
  const [only] = found
  if (!only)
    return {
      path,
      message: `"${text}" is not a grade in the tables; write P220, CAMI 600, JIS 1000, 15 µm, or ${Object.keys(STARTS).join(', ')}`,
    }
  if (found.length === 1) return only
  const options = found.map((grit) => `${grit.scale} ${grit.name.replace(/^\D+/, '')} is ${formatPlain(grit.micron)} µm`)
  return { path, message: `Which ${text}? ${options.join(', ')}. Write the scale before it.` }
}

function startOf(input: Input): { readonly micron: number; readonly first: boolean } | InputIssue {
  const known = STARTS[input.from.trim().toLowerCase()]
  if (known !== undefined) return { micron: known, first: true }
  const grit = gritNamed(input.from, 'from')
  return 'path' in grit ? grit : { micron: grit.micron, first: false }
}

function available(input: Input): Step[] {
  const own = usable(input.owned, 'abrasive').filter((tool) => tool.size > 5)
  if (own.length > 0) return own.map((tool) => ({ name: tool.label, micron: tool.size, owned: true })).reverse()
  return ALL_GRITS.filter((grit) => grit.scale === 'FEPA P' && USUAL.includes(grit.name)).map((grit) => ({
    name: grit.name,
    micron: grit.micron,
    owned: false,
  }))
}

interface Climb {
  readonly fromMicron: number
  /** The scratch is what the first grain takes out, not a grain itself. */
  readonly includeFirst: boolean
  readonly targetMicron: number
  readonly steps: readonly Step[]
  readonly own: OwnFigures
}

/** From a grain the finest that is not a skip, else the next finer there is; until the target is reached or nothing is finer. */
function climb({ fromMicron, includeFirst, targetMicron, steps, own }: Climb): Step[] {
  const limits = stepLimits(own)
  const chosen: Step[] = []
  let micron = includeFirst ? fromMicron * limits.least : fromMicron
  for (;;) {
    const finer = steps.filter((step) => step.micron < micron / 1.05 && step.micron >= targetMicron * 0.95)
    const within = finer.filter((step) => micron / step.micron <= limits.skip)
    const next = includeFirst && chosen.length === 0 ? (finer[0] ?? undefined) : (within.at(-1) ?? finer[0])
    if (!next) return chosen
    chosen.push(next)
    micron = next.micron
  }
}

function ratioChecks(steps: readonly Step[], fromMicron: number, own: OwnFigures): Check[] {
  const limits = stepLimits(own)
  return steps.flatMap((step, i): Check[] => {
    const before = steps[i - 1]?.micron ?? fromMicron
    const ratio = before / step.micron
    const name = steps[i - 1]?.name ?? 'the scratch'
    const facts = { actual: { value: ratio, unit: 'ratio' as const }, source: 'bench-practice' as const }
    if (ratio > limits.skip * 1.001)
      return [
        {
          level: 'warn',
          code: 'skips-a-grit',
          limit: { value: limits.skip, unit: 'ratio' },
          ...facts,
          message: `From ${name} to ${step.name} is ${ratio.toFixed(2)} times finer: you skip a grit, deep scratches may stay.`,
        },
      ]
    if (ratio < 1 / 1.02)
      return [
        {
          level: 'warn',
          code: 'goes-back',
          limit: { value: 1, unit: 'ratio' },
          ...facts,
          message: `${step.name} is coarser than ${name}: it puts deeper scratches back than the ones that are there.`,
        },
      ]
    if (ratio < limits.least && i > 0)
      return [
        {
          level: 'note',
          code: 'little-gain',
          limit: { value: limits.least, unit: 'ratio' },
          ...facts,
          message: `From ${name} to ${step.name} is only ${ratio.toFixed(2)} times finer: little gain.`,
        },
      ]
    return []
  })
}

function compounds(input: Input): Step[] {
  const last = [
    { name: 'cut compound (tripoli)', micron: 10 },
    ...(input.to === 'mirror' ? [{ name: 'colour compound (rouge)', micron: 0.75 }] : []),
  ]
  if (input.to !== 'bright' && input.to !== 'mirror') return []
  const own = usable(input.owned, 'abrasive')
  return last.map((step) => ({ ...step, owned: own.some((tool) => Math.abs(Math.log(tool.size / step.micron)) < 0.4) }))
}

function logSteps(log: WorkingLog, steps: readonly Step[], fromMicron: number): void {
  steps.forEach((step, i) => {
    const before = steps[i - 1]
    note(log, {
      kind: 'choose',
      label: step.name,
      formula: 'present grain / next grain, 1.33 to 2.0',
      value: (before?.micron ?? fromMicron) / step.micron,
      unit: 'ratio',
      source: 'bench-practice',
      given: [given('p', 'present grain', before?.micron ?? fromMicron, 'µm'), given('n', 'next grain', step.micron, 'µm')],
    })
  })
}

function namedSteps(names: readonly string[]): Step[] | InputIssue {
  const steps: Step[] = []
  for (const [i, name] of names.entries()) {
    const grit = gritNamed(name, `steps.${i}`)
    if ('path' in grit) return grit
    steps.push({ name: grit.name, micron: grit.micron, owned: false })
  }
  return steps
}

const CAUTION: Check = {
  level: 'note',
  code: 'turn-and-rinse',
  source: 'bench-practice',
  message:
    'Turn a quarter at each step until the last marks are gone, and rinse between. One buff to a compound. Mask against dust, eye protection at the wheel.',
}

export const abrasiveAdviser = defineAdviser({
  id: 'abrasive',
  title: 'Abrasive ladder',
  question: 'Which papers, in what order?',
  input,
  example: { from: 'file marks', to: 'bright' },
  advise: (input) => {
    const start = startOf(input)
    if ('path' in start) return start
    const given = namedSteps(input.steps)
    if ('path' in given) return given
    const papers =
      given.length > 0
        ? given
        : climb({
            fromMicron: start.micron,
            includeFirst: start.first,
            targetMicron: FINISH_MICRON[input.to],
            steps: available(input),
            own: input.figures,
          })
    const base = given.length > 0 ? (papers[0]?.micron ?? start.micron) : start.micron
    const log: WorkingLog = []
    logSteps(log, papers, base)
    const all = [...papers, ...(given.length > 0 ? [] : compounds(input))]
    const skipped = ratioChecks(papers, base, input.figures)
    const isOwn = usable(input.owned, 'abrasive').length > 0
    const lacking = all.filter((step) => !step.owned).map((step) => step.name)
    const reached = papers.at(-1)?.micron ?? start.micron
    return {
      answer: all.length > 0 ? all.map((step) => step.name).join(' → ') : 'it is as fine already',
      reason: 'Each grain between half and three quarters of the one before: the skip that still takes out the last scratches.',
      picks: all.map(
        (step): ToolPick => ({
          name: step.name,
          value: step.micron,
          unit: 'µm',
          detail: `${formatPlain(step.micron)} µm`,
          grade: 'right',
          owned: step.owned,
        }),
      ),
      missing:
        isOwn && (lacking.length > 0 || reached > FINISH_MICRON[input.to] * 1.1)
          ? `Missing from your wall: ${[...lacking, ...(reached > FINISH_MICRON[input.to] * 1.1 ? [`a paper near ${formatPlain(FINISH_MICRON[input.to])} µm`] : [])].join(', ')}.`
          : null,
      checks: [...skipped, CAUTION],
      working: log,
      picture: {
        kind: 'ladder',
        ladder: {
          unit: 'µm',
          spacing: 'ratio',
          joined: true,
          steps: all.map((step) => ({
            name: step.name,
            from: step.micron,
            to: step.micron,
            ...(skipped.some((check) => check.code === 'skips-a-grit' && check.message.includes(`to ${step.name} is`))
              ? { flag: 'skip' }
              : {}),
          })),
          limits: [{ name: start.first ? input.from : 'scratch', at: base }],
        },
      },
    }
  },
})
