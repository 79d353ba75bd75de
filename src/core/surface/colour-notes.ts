import { USUAL_RUNS } from './run-words'
import { PATINA_IDS, type PatinaId } from './schema'

/** What can be seen after a dip, a spray or a growth, and what is done then (common practice). */
export const SEEN_COLOURS = [
  { looks: 'rainbow or straw', next: 'too short yet: once more' },
  { looks: 'brown or purple', next: 'on its way: once more, or stop here if it is the colour you want' },
  { looks: 'even and dark', next: 'enough: brush both faces, and done' },
  { looks: 'patchy', next: 'grease or scale: degrease it and begin again' },
  { looks: 'a crust', next: 'too long or too strong: brush it off and begin again, weaker' },
] as const

/** Operations that colour by several runs, and what one run is called. */
export const COLOUR_RUNS: Readonly<Record<string, { readonly run: string; readonly param: string; readonly agent: PatinaId }>> = {
  'patina-dip': { run: 'Dip', param: 'dips', agent: 'sulphurated-potash' },
  'patina-spray': { run: 'Spray', param: 'sprays', agent: 'selenious' },
  verdigris: { run: 'Growth', param: 'runs', agent: 'verdigris' },
}

/** How many runs a step is planned with: as it says, else as is usual with its agent. */
export function plannedRuns(op: string, params: Readonly<Record<string, unknown>>): number {
  const kind = COLOUR_RUNS[op]
  const said = kind && params[kind.param]
  if (typeof said === 'number') return said
  const agent = PATINA_IDS.find((id) => id === params.agent) ?? kind?.agent
  return agent === undefined ? 1 : USUAL_RUNS[agent]
}

/** The note that is kept of one run: which it was, and what the colour said. */
export const runNote = (op: string, number: number, looks: string) => `${COLOUR_RUNS[op]?.run ?? 'Run'} ${number}: ${looks}`

/** How many runs of an operation notes tell of. */
export function runsNoted(op: string, notes: readonly string[]): number {
  const start = COLOUR_RUNS[op]?.run
  return start === undefined ? 0 : notes.filter((text) => new RegExp(`^${start} \\d+: `).test(text)).length
}
