import * as z from 'zod'
import type { Check } from '../forms/contract'
import type { InputIssue } from '../sizes/read-fields'
import { climb, gritNamed, papersOf, type Rung, ratioChecks, scratchOf } from '../surface/ladder'
import { usable } from '../toolwall/tools'
import { choice, words } from '../units/fields'
import { formatPlain } from '../units/format'
import { given, note, type WorkingLog } from '../working/derive'
import type { ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

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

function compounds(input: Input): Rung[] {
  const last = [
    { name: 'cut compound (tripoli)', micron: 10 },
    ...(input.to === 'mirror' ? [{ name: 'colour compound (rouge)', micron: 0.75 }] : []),
  ]
  if (input.to !== 'bright' && input.to !== 'mirror') return []
  const own = usable(input.owned, 'abrasive')
  return last.map((step) => ({ ...step, owned: own.some((tool) => Math.abs(Math.log(tool.size / step.micron)) < 0.4) }))
}

function logSteps(log: WorkingLog, steps: readonly Rung[], fromMicron: number): void {
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

function namedSteps(names: readonly string[]): Rung[] | InputIssue {
  const steps: Rung[] = []
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
    const start = scratchOf(input.from)
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
            steps: papersOf(input.owned),
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
