import * as z from 'zod'
import { exercise, isNumeric, judge, type Question, questionsOfPlan, TRAINED } from '@/core/teaching'
import { readPlainNumber } from '@/core/units'
import type { Repositories } from '../db/repositories'
import { planDesign, planOptions } from '../services/piece-plan'
import { ownAction, refuse } from './action'

/** Prepares a piece as a lesson. */
export const addLesson = ownAction({
  input: z.object({
    pieceId: z.number(),
    title: z.string().trim().min(1, { error: 'Lesson: give it a name' }).max(120, { error: 'Lesson: at most 120 characters' }),
  }),
  against: 'new',
  run: (to, { pieceId, title }) => {
    const piece = to.jobs.piece(pieceId)
    if (!piece) return refuse('This piece is no longer there.', [], 'gone')
    if (questionsOfPlan(planDesign(piece.design, planOptions(to))).length === 0)
      return refuse('Nothing can be asked of this piece yet: its size is not complete.')
    return { ok: true, id: to.teaching.addLesson(pieceId, title) }
  },
})

/** Takes a lesson away, with what was predicted in it. */
export const dropLesson = ownAction({
  input: z.object({ id: z.number() }),
  against: ({ teaching }, { id }) => {
    const lesson = teaching.lesson(id)
    return lesson && { revision: lesson.revision, lines: [{ label: 'Lesson', now: lesson.title, yours: 'deleted' }] }
  },
  run: ({ teaching }, { id }) => (teaching.dropLesson(id) ? { ok: true } : refuse('This lesson is no longer there.', [], 'gone')),
})

/** The question that was asked, worked out anew: of a lesson by its id, of the trainer by its kind and seed. */
function questionOf(to: Repositories, lessonId: number | null, id: string): Question | undefined {
  if (lessonId === null) {
    const [, kind, seed] = /^([a-z]+)-(\d{1,9})$/.exec(id) ?? []
    const trained = TRAINED.find((one) => one === kind)
    return trained ? exercise(trained, Number(seed)) : undefined
  }
  const piece = to.jobs.piece(to.teaching.lesson(lessonId)?.pieceId ?? 0)
  return piece && questionsOfPlan(planDesign(piece.design, planOptions(to))).find((question) => question.id === id)
}

/** Keeps what somebody predicted before the answer was shown, and says how far off it was. */
export const keepPrediction = ownAction({
  input: z.object({
    token: z.string().min(8).max(80),
    learner: z.string().trim().min(1, { error: 'Your name: say who is learning' }).max(60, { error: 'Your name: at most 60 characters' }),
    lessonId: z.number().nullable().default(null),
    question: z.string().max(60),
    guess: z.string().trim().min(1, { error: 'Your prediction: say what you think first' }).max(60),
  }),
  against: 'new',
  run: (to, { token, learner, lessonId, question: id, guess }) => {
    const question = questionOf(to, lessonId, id)
    if (!question) return refuse('This question is no longer asked; load the page again.', [], 'gone')
    const said = isNumeric(question) ? readPlainNumber(guess) : guess
    if (typeof said === 'number' && !Number.isFinite(said))
      return refuse(`Your prediction: a number in ${isNumeric(question) ? question.unit : ''}; “${guess}” was typed.`)
    const judged = judge(question, said)
    const { isRight, off, misconception } = judged
    to.teaching.keep({
      token,
      learner,
      lessonId,
      kind: question.kind,
      question: id,
      guess,
      isRight,
      off,
      misconception,
      at: new Date().toISOString(),
    })
    return { ok: true, ...judged }
  },
})
