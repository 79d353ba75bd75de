/** Steps that follow one another and are held alike. */
export interface Handling {
  readonly steps: readonly string[]
  readonly hold: string
}

const EDGES = 'By the edges, in gloves'
const BY_THE_EDGES = `${EDGES}: every fingerprint shows from here on.`

/** How a piece is held and put down, by what is done to it; the first that fits counts (common practice). */
const HOLDS: readonly (readonly [what: RegExp, hold: string])[] = [
  [/^degrease|: degrease$/, BY_THE_EDGES],
  [/compound/, 'In a leather clamp or on wood, low on the wheel; no gloves, sleeves or hair near it, and never a chain by hand.'],
  [/^make up the bath/, 'The piece stays away until the bath is ready, clean and on paper.'],
  [/tumble/, 'Nothing in the load that hooks, nests or holds shot; out through the sieve, onto a towel.'],
  [/^dry$|and dry$/, 'Laid apart on paper, hung where it can be, none on another.'],
  [/^(dip|rinse cold|neutralise|wipe on|rinse)/, 'On a wire of its own metal or in plastic tongs; no steel in the bath.'],
  [/^brush both faces|brush/, 'Flat on the palm or on wood, under running water; not by its thin places.'],
  [/fumes/, 'Hung on a thread, free on all sides, not to be touched until it is dry.'],
  [/^(spray|dry in )/, 'On three points from below; it is turned by them, not by hand.'],
  [/^warm it/, 'In cross-locking tweezers at the heavy end, or on a grid; hot until it is seen that it is not.'],
  [/^relieve/, 'On a flat support, in gloves; a clean place of the cloth for each face.'],
  [/^(wax|lacquer)/, `${EDGES}; on points until it is hard.`],
  [/pad or disc/, 'Held down on wood with a stop before it; eyes covered.'],
  [/: /, 'Flat on wood or in a ring clamp, the last grain rinsed off piece, fingers and bench.'],
]

const holdFor = (step: string) => HOLDS.find(([what]) => what.test(step))?.[1] ?? BY_THE_EDGES

/** How a piece is held at each of some steps in their order, those that follow one another and are held alike together. */
export function handlingOf(sequence: readonly string[]): Handling[] {
  const runs: { steps: string[]; hold: string }[] = []
  for (const step of sequence) {
    const hold = holdFor(step)
    const last = runs.at(-1)
    if (last?.hold === hold) last.steps.push(step)
    else runs.push({ steps: [step], hold })
  }
  return runs
}
