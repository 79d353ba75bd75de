import type { Bench } from './tools'

/** No tools and no figures of one's own: the usual sets and the presets. */
export const USUAL_BENCH: Bench = { tools: [], figures: {} }
