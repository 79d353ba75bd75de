/** What can be seen after a dip, a spray or a growth, and what is done then (common practice). */
export const SEEN_COLOURS = [
  { looks: 'rainbow or straw', next: 'too short yet: once more' },
  { looks: 'brown or purple', next: 'on its way: once more, or stop here if it is the colour you want' },
  { looks: 'even and dark', next: 'enough: brush both faces, and done' },
  { looks: 'patchy', next: 'grease or scale: degrease it and begin again' },
  { looks: 'a crust', next: 'too long or too strong: brush it off and begin again, weaker' },
] as const

/** Operations that colour by several runs, and what one run is called. */
export const COLOUR_RUNS: Readonly<Record<string, { readonly run: string; readonly param: string }>> = {
  'patina-dip': { run: 'Dip', param: 'dips' },
  'patina-spray': { run: 'Spray', param: 'sprays' },
  verdigris: { run: 'Growth', param: 'runs' },
}

/** The note that is kept of one run: which it was, and what the colour said. */
export const runNote = (op: string, number: number, looks: string) => `${COLOUR_RUNS[op]?.run ?? 'Run'} ${number}: ${looks}`

/** How many runs of an operation notes tell of. */
export function runsNoted(op: string, notes: readonly string[]): number {
  const start = COLOUR_RUNS[op]?.run
  return start === undefined ? 0 : notes.filter((text) => new RegExp(`^${start} \\d+: `).test(text)).length
}
