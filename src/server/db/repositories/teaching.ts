import * as z from 'zod'
import type { Db } from '../db'
import { writer } from '../write'
import { newUid } from './rows'

const lessonRow = z
  .object({ id: z.number(), revision: z.number(), piece_id: z.number(), title: z.string(), created_at: z.string(), learners: z.number() })
  .transform((row) => ({
    id: row.id,
    revision: row.revision,
    pieceId: row.piece_id,
    title: row.title,
    at: row.created_at,
    learners: row.learners,
  }))
/** A piece that learners predict. */
export type Lesson = z.output<typeof lessonRow>

const predictionRow = z
  .object({
    learner: z.string(),
    kind: z.string(),
    question: z.string(),
    guess: z.string(),
    is_right: z.number(),
    off: z.number(),
    misconception: z.string(),
    at: z.string(),
  })
  .transform(({ is_right, ...row }) => ({ ...row, isRight: is_right === 1 }))
/** What somebody predicted, and how far off it was. */
export type Prediction = z.output<typeof predictionRow>

export interface NewPrediction extends Prediction {
  readonly token: string
  readonly lessonId: number | null
}

const LESSON = 'SELECT l.*, (SELECT count(DISTINCT p.learner) FROM predictions p WHERE p.lesson_id = l.id) AS learners FROM lessons l'

export function makeTeachingRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insertLesson = writer(db, 'INSERT INTO lessons (uid, piece_id, title, created_at) VALUES (?, ?, ?, ?)')
  const insert = writer(
    db,
    `INSERT INTO predictions (token, learner, lesson_id, kind, question, guess, is_right, off, misconception, at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
      ON CONFLICT (token) DO NOTHING`,
  )
  const removeLesson = writer(db, 'DELETE FROM lessons WHERE id = ?')
  const lessons = db.prepare(`${LESSON} ORDER BY l.id DESC LIMIT ?`)
  const lesson = db.prepare(`${LESSON} WHERE l.id = ?`)
  const ofLesson = db.prepare('SELECT * FROM predictions WHERE lesson_id = ? ORDER BY id LIMIT ?')
  const ofLearner = db.prepare('SELECT * FROM predictions WHERE learner = ? AND lesson_id IS NULL ORDER BY id DESC LIMIT ?')
  return {
    addLesson: (pieceId: number, title: string) => insertLesson.run(newUid(), pieceId, title, now()).id,
    dropLesson: (id: number) => removeLesson.run(id).changes > 0,
    lessons: (limit: number): Lesson[] => lessons.all(limit).map((row) => lessonRow.parse(row)),
    lesson: (id: number): Lesson | undefined => {
      const row = lesson.get(id)
      return row ? lessonRow.parse(row) : undefined
    },
    /** Kept once, however often it is sent. */
    keep: (one: NewPrediction): void => {
      insert.run(
        one.token,
        one.learner,
        one.lessonId,
        one.kind,
        one.question,
        one.guess,
        one.isRight ? 1 : 0,
        one.off,
        one.misconception,
        one.at,
      )
    },
    ofLesson: (lessonId: number, limit: number): Prediction[] => ofLesson.all(lessonId, limit).map((row) => predictionRow.parse(row)),
    /** What somebody tried with the trainer, the newest first. */
    ofLearner: (learner: string, limit: number): Prediction[] => ofLearner.all(learner, limit).map((row) => predictionRow.parse(row)),
  }
}
