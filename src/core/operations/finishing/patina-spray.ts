import * as z from 'zod'
import { PATINA_TITLES, USUAL_RUNS } from '../../surface/run-words'
import { choice } from '../../units/fields'
import { defineOperation } from '../contract'

const { selenious, tellurium, 'ammonium-sulphide': ammonium } = PATINA_TITLES
const AGENTS = { selenious, tellurium, 'ammonium-sulphide': ammonium }

export const patinaSpray = defineOperation({
  id: 'patina-spray',
  title: 'Spray the patina',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  caution: 'Mask, gloves, eye protection, moving air; never on a hot piece indoors. Follow the product’s safety sheet and local rules.',
  does: 'attached: coloured, residue, wet; attached: sulphide (agent=ammonium-sulphide)',
  params: z.object({
    agent: choice('Patina', AGENTS).default('selenious'),
    sprays: z.int().min(1).max(20).optional(),
  }),
  words: ({ agent, sprays = USUAL_RUNS[agent] }) => ({
    title: sprays > 1 ? `Spray the patina, ${sprays} times` : 'Spray the patina',
    say: 'A fine mist, dried, and again, until the colour is even.',
    facts: [
      { label: 'Patina', value: AGENTS[agent] },
      { label: 'Sprays', value: sprays > 1 ? `${sprays}, each dried` : 'until it is even' },
    ],
  }),
})
