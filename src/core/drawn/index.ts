export type { Gap } from './loops'
export { type DrawnAnswer, type DrawnRefused, readDrawn } from './read-drawn'
