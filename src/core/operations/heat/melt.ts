import * as z from 'zod'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation, UNWORKED } from '../contract'

export const melt = defineOperation({
  id: 'melt',
  title: 'Melt',
  kind: 'heat',
  resource: 'torch',
  together: false,
  handsOnS: 90,
  waitS: 0,
  includes: '*, cool',
  heatC: 950,
  caution: `${HEAT_CAUTION} Brass and nickel silver give off zinc fume when they melt: extraction, or leave them.`,
  params: z.object({ what: z.string().default('the end into a ball'), timeS: z.number().min(1).max(600).default(10) }),
  /** What stays solid beside the ball is as hot as it can be and stay so. */
  effect: ({ timeS }, { alloy }) => ({ elsewhere: UNWORKED, heat: { tempC: alloy.annealHighC, timeS } }),
  words: ({ what }, { alloy }) => ({
    title: `Melt ${what}`,
    say: 'A little flux, the end down in the flame, hottest just over the blue cone. When it draws up and spins bright, lift the flame away slowly and let it set.',
    facts: [
      { label: 'Melts from', value: `${alloy.solidusC} to ${alloy.liquidusC} °C` },
      { label: 'Afterwards', value: 'the wire beside it is soft' },
    ],
    watch: 'A ball that pits was overheated or dirty: pickle, flux and draw it up again. Let go before it grows heavy enough to drop.',
  }),
})
