export { type AskAnswer, type AskDefaults, answerAsk, type Recognised } from './ask'
