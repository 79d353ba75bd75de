import * as z from 'zod'
import { PATINA_TITLES, REST_S, runSteps, USUAL_RUNS } from '../../surface/run-words'
import { choice } from '../../units/fields'
import { defineOperation } from '../contract'

const { verdigris: chloride, 'ammonia-fume': fume, 'ammonia-salt': salt } = PATINA_TITLES
const AGENTS = { verdigris: chloride, 'ammonia-fume': fume, 'ammonia-salt': salt }

export const verdigris = defineOperation({
  id: 'verdigris',
  title: 'Verdigris',
  kind: 'finish',
  resource: 'bench',
  together: true,
  handsOnS: 300,
  waitS: REST_S.verdigris,
  runs: ({ agent, runs = USUAL_RUNS[agent] }) => ({ count: runs, restS: REST_S[agent] }),
  caution: 'Ventilation, gloves and eye protection; not on skin, nor for food. Follow the product’s safety sheet and local rules.',
  does: 'attached: coloured',
  params: z.object({
    agent: choice('Grown with', AGENTS).default('verdigris'),
    runs: z.int().min(1).max(20).optional(),
  }),
  words: ({ agent, runs = USUAL_RUNS[agent] }) => ({
    title: runs > 1 ? `Verdigris, ${runs} times` : 'Verdigris',
    say: runSteps(agent)
      .map(({ say }) => say)
      .join(' '),
    facts: [
      { label: 'Grown with', value: AGENTS[agent] },
      ...(runs > 1 ? [{ label: 'Sprays', value: `${runs}, each dried in the air, over days` }] : []),
    ],
    watch: 'Rinsed, dried and sealed it stays; unsealed it goes on growing and comes off green.',
  }),
})
