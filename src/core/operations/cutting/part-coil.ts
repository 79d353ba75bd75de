import * as z from 'zod'
import { defineOperation } from '../contract'

export const partCoil = defineOperation({
  id: 'part-coil',
  title: 'Part the coil',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Hold the coil with wood, not pliers. Eye protection.',
  does: 'cut, endsSquare',
  params: z.object({ by: z.enum(['saw', 'cutters']).optional() }),
  words: ({ by }) => ({
    title: 'Part the coil',
    say:
      by === 'cutters'
        ? 'Flush cutters, ring by ring, the flat side to the ring; each end is trimmed flat.'
        : 'Tape round the coil, saw down one side with a fine blade, turning with the coil.',
    facts: [],
  }),
})
