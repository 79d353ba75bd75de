import * as z from 'zod'
import { formatPlain } from '../../units/format'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation, UNWORKED } from '../contract'

export const ageHarden = defineOperation({
  id: 'age-harden',
  title: 'Harden by age',
  kind: 'heat',
  resource: 'torch',
  together: true,
  handsOnS: 60,
  waitS: 2700,
  caution: HEAT_CAUTION,
  includes: '*, cool',
  heatC: 300,
  params: z.object({
    tempC: z.number().min(150, { error: 'at least 150 °C' }).max(400, { error: 'at most 400 °C' }).default(300),
    timeS: z.number().min(60, { error: 'at least a minute' }).max(36000, { error: 'at most 10 h' }).default(2700),
  }),
  refuses: (_, { alloy }) => (alloy.ageing ? undefined : `${alloy.title} does not harden by age: sterling and germanium sterling do`),
  effect: (age) => ({ elsewhere: UNWORKED, age }),
  words: ({ tempC, timeS }) => ({
    title: 'Harden by age',
    say: `In a kiln or an oven with a thermometer at ${formatPlain(tempC, 0)} °C for ${formatPlain(timeS / 60, 0)} minutes, then cool in air. After the last soldering, before the last polish: any hotter heat takes it away.`,
    facts: [{ label: 'Gains', value: 'all of it from a kiln at the heat of solution, half from a torch anneal' }],
  }),
})
