export { COLOUR_RUNS, plannedRuns, runNote, runsNoted, SEEN_COLOURS } from './colour-notes'
export { FINISHES } from './finishes'
export { type Handling, handlingOf } from './handling'
export { STARTS } from './ladder'
export { patinaOn } from './patina'
export { type FacePlan, type SurfaceAnswer, surfacePlan } from './plan'
export { DIPPED, FUMED, GROWN, PATINA_TITLES, PUT_ON_WORDS, RELIEF_WORDS, SPRAYED, USUAL_RUNS } from './run-words'
export {
  type FaceLook,
  FINISH_IDS,
  type FinishId,
  PATINA_IDS,
  type PatinaAsked,
  type PatinaId,
  type Relief,
  type SurfaceChoices,
  surfaceChoices,
  surfaceInput,
} from './schema'
