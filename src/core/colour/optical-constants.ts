/** How a material bends and swallows light at a wavelength: n − ik. */
export interface Complex {
  readonly re: number
  readonly im: number
}

/** Wavelengths of the table, nm. */
const AT_NM = [400, 450, 500, 550, 600, 650, 700] as const

interface Constants {
  readonly n: readonly number[]
  readonly k: readonly number[]
  /** How sure the row is. */
  readonly sure: 'medium' | 'low'
}

/**
 * Metals and the films that colour them, at 400 to 700 nm by fifties, all from memory. Copper, silver and iron follow the measurements that
 * handbooks print (medium); alloys and films are between what is reported of them, and films vary with how they were grown (low).
 */
const TABLE = {
  copper: { n: [1.18, 1.16, 1.13, 1.02, 0.4, 0.21, 0.21], k: [2.21, 2.4, 2.56, 2.59, 2.98, 3.6, 4.16], sure: 'medium' },
  brass: { n: [1.45, 1.45, 1.1, 0.64, 0.48, 0.44, 0.45], k: [1.8, 1.83, 1.9, 2.3, 2.8, 3.25, 3.7], sure: 'low' },
  bronze: { n: [1.3, 1.28, 1.12, 0.85, 0.45, 0.32, 0.32], k: [2.05, 2.15, 2.25, 2.45, 2.9, 3.4, 3.9], sure: 'low' },
  silver: { n: [0.05, 0.04, 0.05, 0.06, 0.06, 0.05, 0.04], k: [2.1, 2.66, 3.13, 3.59, 4.01, 4.43, 4.84], sure: 'medium' },
  nickelSilver: { n: [1.5, 1.55, 1.6, 1.6, 1.6, 1.65, 1.75], k: [2.1, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9], sure: 'low' },
  iron: { n: [2.2, 2.45, 2.65, 2.85, 2.9, 2.9, 2.88], k: [2.65, 2.8, 2.95, 3.05, 3.1, 3.15, 3.25], sure: 'medium' },
  copperSulphide: { n: [2.35, 2.65, 2.85, 3.0, 3.08, 3.1, 3.1], k: [1.45, 1.3, 1.1, 0.92, 0.78, 0.68, 0.6], sure: 'low' },
  silverSulphide: { n: [3.0, 3.1, 3.12, 3.08, 3.0, 2.95, 2.9], k: [1.8, 1.4, 1.08, 0.84, 0.64, 0.5, 0.42], sure: 'low' },
  cuprousOxide: { n: [2.8, 3.05, 3.1, 2.98, 2.85, 2.77, 2.72], k: [0.95, 0.45, 0.18, 0.09, 0.05, 0.02, 0.01], sure: 'low' },
  ironOxide: { n: [2.5, 2.75, 2.8, 2.75, 2.65, 2.55, 2.5], k: [0.75, 0.6, 0.45, 0.35, 0.25, 0.18, 0.15], sure: 'low' },
} as const satisfies Readonly<Record<string, Constants>>

export type Material = keyof typeof TABLE
export const MATERIALS = Object.keys(TABLE) as Material[]

/** How sure the optical constants of a material are. */
export const surenessOf = (material: Material): Constants['sure'] => TABLE[material].sure

function between(values: readonly number[], nm: number): number {
  const last = AT_NM.length - 1
  const place = Math.min(last, Math.max(0, (nm - AT_NM[0]) / 50))
  const low = Math.min(last - 1, Math.floor(place))
  const [a, b] = [values[low] ?? 0, values[low + 1] ?? 0]
  return a + (place - low) * (b - a)
}

/** n − ik of a material at a wavelength (nm): straight between the rows of the table, level beyond its ends. */
export function opticalConstants(material: Material, nm: number): Complex {
  const { n, k } = TABLE[material]
  return { re: between(n, nm), im: -between(k, nm) }
}
