import * as z from 'zod'
import { benchChemistry } from '../chemistry/forbidden'
import { agentOfPatina } from '../chemistry/step-agents'
import { ALLOY_TITLES, ALLOYS } from '../metals'
import { colourRun, patinaChecks, patinaOn } from '../surface/patina'
import { PATINA_TITLES, PUT_ON_WORDS, REJECTS, RELIEF_WORDS } from '../surface/run-words'
import { choice } from '../units/fields'
import { benchFields, defineAdviser } from './define-adviser'

const RUNS = { usual: 'as usual', one: '1', two: '2', three: '3', four: '4', five: '5', six: '6' } as const
const YES_NO = { no: 'no', yes: 'yes' } as const

const input = z.strictObject({
  alloy: choice('Metal', ALLOY_TITLES).default('copper-c110'),
  agent: choice('Colour with', PATINA_TITLES).default('sulphurated-potash'),
  by: choice('Put on', PUT_ON_WORDS).default('dip'),
  runs: choice('Dips or sprays', RUNS).default('usual'),
  relief: choice('Relieve with', { ...RELIEF_WORDS, none: 'nothing' }).default('pumice'),
  seal: choice('Seal', { wax: 'wax', lacquer: 'lacquer', none: 'none' }).default('wax'),
  worn: choice('Worn on the skin', YES_NO).default('no'),
  pickle: choice('Pickle on the same bench', YES_NO).default('no'),
  ...benchFields(),
})

export const colourRunAdviser = defineAdviser({
  id: 'colour-run',
  title: 'Colour, from clean to sealed',
  question: 'Does it take, and how is it run?',
  input,
  example: { alloy: 'copper-c110', agent: 'sulphurated-potash' },
  advise: ({ alloy, agent, by, runs, relief, seal, worn, pickle }) => {
    const asked = {
      agent,
      by,
      relief,
      reliefIsWet: true,
      seal,
      worn: worn === 'yes',
      ...(runs === 'usual' ? {} : { runs: Number(RUNS[runs]) }),
    }
    const takes = patinaOn(agent, alloy)
    const steps = colourRun(asked)
    const own = agentOfPatina(agent)
    return {
      answer: `${PATINA_TITLES[agent]} on ${ALLOYS[alloy].title.toLowerCase()}: ${takes}`,
      reason: `Dips and times are common practice. Put back, and why: ${REJECTS.map(({ looks, from }) => `${looks} – ${from}`).join('; ')}.`,
      picks: [],
      missing: null,
      checks: [...(own ? benchChemistry([own, ...(pickle === 'yes' ? (['pickle'] as const) : [])]) : []), ...patinaChecks(asked, alloy)],
      working: [],
      picture: { kind: 'steps', steps },
    }
  },
})
