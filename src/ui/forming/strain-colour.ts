/** Metal that is thinned or stretched, that is thickened or pressed together, and as it was: told by figures as well. */
const MORE = [168, 74, 42] as const
const LESS = [44, 110, 122] as const
const PLAIN = [196, 204, 208] as const
/** The strain at which a colour is full. */
const FULL = 0.18

/** Rust where a strain stretches the metal, blue where it presses it together, the deeper the more. */
export function strainColour(stretch: number): string {
  const to = stretch > 0 ? MORE : LESS
  const share = Math.min(1, Math.abs(stretch) / FULL)
  return `rgb(${PLAIN.map((from, i) => Math.round(from + share * ((to[i] ?? from) - from))).join(' ')})`
}
