import type { Check } from '../forms/contract'
import { AGENTS, type AgentId, isOf } from './agents'

interface Forbidden {
  readonly one: string
  readonly other: string
  readonly gives: string
}

/** Two kinds that never come together in one bath or on one bench; a stop of these cannot be overridden (high, from memory). */
const FORBIDDEN: readonly Forbidden[] = [
  { one: 'sulphide', other: 'acid', gives: 'poisonous hydrogen sulphide' },
  { one: 'ammonia', other: 'bleach', gives: 'poisonous chloramines' },
  { one: 'acid', other: 'bleach', gives: 'chlorine' },
  { one: 'peroxide', other: 'solvent', gives: 'fire, and explosive peroxides' },
  { one: 'oxidiser', other: 'solvent', gives: 'fire' },
  { one: 'strong-acid', other: 'solvent', gives: 'fire and poisonous fumes' },
]

const AFTERWARDS = 'Keep them apart, in labelled vessels; follow the products’ safety sheets and local rules.'

const stop = (code: string, message: string, level: Check['level'] = 'stop'): Check => ({ level, code, source: 'chemistry', message })

/** What of the agents on one bench, or in one bath, must never meet; cyanide never, with anything. */
export function benchChemistry(agents: readonly AgentId[]): Check[] {
  const here = [...new Set(agents)]
  const pairs = here.flatMap((one, i) =>
    here
      .slice(i + 1)
      .flatMap((other) =>
        FORBIDDEN.filter(
          (rule) => (isOf(one, rule.one) && isOf(other, rule.other)) || (isOf(one, rule.other) && isOf(other, rule.one)),
        ).map((rule) =>
          stop('forbidden-chemistry', `${AGENTS[one].title} and ${AGENTS[other].title} together give ${rule.gives}. ${AFTERWARDS}`),
        ),
      ),
  )
  const poisonous = here.filter((agent) => isOf(agent, 'selenious'))
  return [
    ...(here.includes('cyanide')
      ? [
          stop(
            'cyanide',
            'Cyanide is not planned here, in no bath and no amount: it is work for a licensed trade, and with any acid it kills.',
          ),
        ]
      : []),
    ...pairs,
    ...(poisonous.length > 0
      ? [
          stop(
            'poisonous-agent',
            `${poisonous.map((agent) => AGENTS[agent].title).join(' and ')}: poisonous. Gloves and extraction; follow the product’s safety sheet.`,
            'warn',
          ),
        ]
      : []),
  ]
}

/**
 * What is wrong with baths that a piece goes through one after another: what would clash in one bath clashes as well where the piece carries the
 * one into the other, unless it was rinsed and, after an acid, neutralised in between.
 */
export function sequenceChemistry(steps: readonly AgentId[]): Check[] {
  const checks: Check[] = []
  let [last, isRinsed, isNeutralised]: [AgentId | undefined, boolean, boolean] = [undefined, false, false]
  for (const agent of steps) {
    if (agent === 'water') isRinsed = true
    else if (agent === 'bicarbonate') isNeutralised = true
    else {
      const clash = last && benchChemistry([last, agent]).find(({ code }) => code === 'forbidden-chemistry')
      const isSafe = isRinsed && (isNeutralised || !(last && (isOf(last, 'acid') || isOf(agent, 'acid'))))
      if (clash && last && !isSafe)
        checks.push(
          stop(
            'forbidden-sequence',
            `From ${AGENTS[last].title} into ${AGENTS[agent].title}: what clings to the piece gives the same as mixing them. Rinse, neutralise in bicarbonate and rinse again in between.`,
          ),
        )
      ;[last, isRinsed, isNeutralised] = [agent, false, false]
    }
  }
  return checks
}
