import * as z from 'zod'
import type { RecordAnswer } from '@/core/logbook'
import { answersIn, recordName } from '../services/own-record'
import { linesOf, ownAction, refuse } from './action'
import { againstSettings } from './settings'

/** So many readings of one kind of work are said to be right; of more the oldest are asked about again. */
const MOST_RIGHT = 200

const LABELS = { since: 'Readings that count, since', isRight: 'The reading' }

const says = z.discriminatedUnion('of', [
  z.object({
    of: z.literal('hand'),
    since: z.iso.datetime({ error: 'Since: when the first reading that counts was taken' }).or(z.literal('')),
  }),
  z.object({ of: z.literal('reading'), item: z.string().max(200), isRight: z.boolean() }),
])

function withSaid({ since, right }: RecordAnswer, said: z.output<typeof says>): RecordAnswer {
  if (said.of === 'hand') return { since: said.since, right }
  const others = right.filter((item) => item !== said.item)
  return { since, right: said.isRight ? [...others, said.item].slice(-MOST_RIGHT) : others }
}

/** What a smith answers where the record of one kind of work asks: from when on its readings tell of the hand, and whether one far out is right. */
export const answerRecord = ownAction({
  input: z.object({ form: z.string().max(80), alloy: z.string().max(80), method: z.string().max(200), says }),
  against: (to, { says: said, ...kind }) => {
    const now = answersIn(to)(kind)
    if (said.of === 'hand') return againstSettings(to, linesOf(LABELS, { since: now.since }, { since: said.since }))
    const words = (isRight: boolean) => ({ isRight: isRight ? 'is right' : 'is asked about' })
    return againstSettings(to, linesOf(LABELS, words(now.right.includes(said.item)), words(said.isRight)))
  },
  run: (to, { says: said, ...kind }) => {
    if (to.record.sumsOf(kind).count === 0)
      return refuse('Nothing is measured of this kind of work any more. Open the Book anew.', [], 'gone')
    const answer = withSaid(answersIn(to)(kind), said)
    const { [recordName(kind)]: _, ...others } = to.settings.read().recordAnswers
    const isAnswered = answer.since !== '' || answer.right.length > 0
    to.settings.write({ recordAnswers: isAnswered ? { ...others, [recordName(kind)]: answer } : others })
    return { ok: true }
  },
})
