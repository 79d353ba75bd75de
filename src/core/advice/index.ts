export type { Advice, AdviceRun, Faces, Ladder, Picture, ToolPick } from './contract'
export { ADVISER_IDS, ADVISERS, type AdviserId, findAdviser } from './registry'
