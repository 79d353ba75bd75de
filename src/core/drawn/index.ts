export type { Gap } from './loops'
export { type DrawnAnswer, type DrawnQuestion, type DrawnRefused, readDrawn } from './read-drawn'
