import type { WorkingStep } from '../working/derive'

export const QUESTION_KINDS = ['size', 'order', 'anneal', 'solder', 'side', 'gauge', 'drill'] as const
/** What a learner is asked to predict. */
export type QuestionKind = (typeof QUESTION_KINDS)[number]

export const KIND_WORDS: Readonly<Record<QuestionKind, string>> = {
  size: 'how large the blank is',
  order: 'what comes first',
  anneal: 'where to anneal',
  solder: 'which solder',
  side: 'which side of the line',
  gauge: 'gauges',
  drill: 'drills',
}

/** A wrong way of thinking that gives an answer of its own, and what is wrong about it. */
export interface Trap {
  readonly answer: number | string
  readonly words: string
}

interface Asked {
  /** The same question has the same id wherever it is asked. */
  readonly id: string
  readonly kind: QuestionKind
  readonly prompt: string
  readonly why: string
  readonly working: readonly WorkingStep[]
  readonly traps: readonly Trap[]
}

/** A question with its answer, worked out by the same core that answers everywhere else; nothing of it is stored. */
export type Question =
  | (Asked & { readonly answer: number; readonly unit: string; readonly tolerance: number })
  | (Asked & { readonly answer: string; readonly choices: readonly { readonly id: string; readonly words: string }[] })

export const isNumeric = (question: Question): question is Extract<Question, { readonly unit: string }> =>
  typeof question.answer === 'number'

/** How a prediction stands to the answer. */
export interface Judged {
  readonly isRight: boolean
  /** Share of the answer it is off by; 0 or 1 where there are only choices. */
  readonly off: number
  /** What the prediction took for what; empty where nothing is known. */
  readonly misconception: string
}

/** A guess lands in a trap when it is as near to it as this. */
const IN_TRAP = 0.004

/** Judges a prediction: a number by how far off it is, a choice by whether it is the one. */
export function judge(question: Question, guess: number | string): Judged {
  if (!isNumeric(question)) {
    const isRight = guess === question.answer
    const trap = question.traps.find(({ answer }) => answer === guess)
    return { isRight, off: isRight ? 0 : 1, misconception: isRight ? '' : (trap?.words ?? '') }
  }
  const number = Number(guess)
  const off = Math.abs(number - question.answer) / Math.abs(question.answer)
  const isRight = off <= question.tolerance + 1e-12
  const trap = question.traps.find(({ answer }) => Math.abs(number - Number(answer)) <= IN_TRAP * Math.abs(Number(answer)))
  return { isRight, off, misconception: isRight ? '' : (trap?.words ?? '') }
}
