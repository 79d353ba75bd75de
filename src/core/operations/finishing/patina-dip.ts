import * as z from 'zod'
import { DIPPED, PATINA_TITLES, SULPHIDE_COLOURS, USUAL_RUNS } from '../../surface/run-words'
import { choice } from '../../units/fields'
import { defineOperation } from '../contract'

const { 'sulphurated-potash': potash, 'ammonium-sulphide': ammonium, selenious, tellurium } = PATINA_TITLES
const AGENTS = { 'sulphurated-potash': potash, 'ammonium-sulphide': ammonium, selenious, tellurium }

export const patinaDip = defineOperation({
  id: 'patina-dip',
  title: 'Dip in the patina',
  kind: 'bath',
  resource: 'bath',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution:
    'Ventilation, gloves and eye protection; no acid and no pickle near a sulphide. Follow the product’s safety sheet and local rules.',
  includes: '*, rinse, brush-rinse',
  does: 'attached: coloured, powder, wet; attached: sulphide (agent!=selenious|tellurium)',
  params: z.object({
    agent: choice('Patina', AGENTS).default('sulphurated-potash'),
    dips: z.int().min(1).max(20).optional(),
  }),
  words: ({ agent, dips = USUAL_RUNS[agent] }) => {
    const isSulphide = DIPPED.includes(agent)
    return {
      title: dips > 1 ? `Dip in the patina, ${dips} times` : 'Dip in the patina',
      say: isSulphide
        ? 'Warm piece in for 2 to 10 seconds, out, rinse cold, brush both faces, look. Several weak dips, not one strong one.'
        : 'Degreased piece in once, moved all the time; out when it is even, rinse cold until the water is clear.',
      facts: [
        { label: 'Patina', value: isSulphide ? `${AGENTS[agent]}, fresh, 40 to 60 °C` : AGENTS[agent] },
        { label: 'Dips', value: `${dips}, each rinsed and brushed` },
        ...(isSulphide ? [{ label: 'It turns', value: SULPHIDE_COLOURS }] : []),
      ],
      watch: 'Rainbow colours: too short, once more. Patches: grease. A crust: too long, brush it off and begin again, weaker.',
    }
  },
})
