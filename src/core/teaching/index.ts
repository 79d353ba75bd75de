export { exercise, nextKind, TRAINED, type Trained, type Tried } from './exercise'
export { questionsOfPlan } from './from-plan'
export { isNumeric, type Judged, judge, KIND_WORDS, QUESTION_KINDS, type Question, type QuestionKind } from './question'
