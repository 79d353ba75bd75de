export { type AskAnswer, type AskDefaults, answerAsk, type Heard } from './ask'
