import { derive, given, type WorkingLog, type WorkingStep } from '../working/derive'

/** A seam that solder has to fill. */
export interface Seam {
  readonly lengthMm: number
  /** Best 0.03 to 0.08 mm. */
  readonly gapMm: number
  /** How deep the faces are that meet: for an edge the thickness of the metal. */
  readonly depthMm: number
  /** How many of its sides get a fillet. */
  readonly fillets: 0 | 1 | 2
}

/** Snippets of sheet solder: how large one is. */
export interface PallionSize {
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
}

export interface SolderAmount {
  readonly volumeMm3: number
  readonly pallionCount: number
  /** One every so many mm of the seam. */
  readonly spacingMm: number
  readonly wireLengthMm: number
  /** The length of a bead of paste, as wide as the nozzle, half of it metal. */
  readonly pasteLengthMm: number
  readonly working: readonly WorkingStep[]
}

/** Snippets as they are usually cut: 1 mm square out of 0.25 mm sheet solder. */
export const USUAL_PALLION: PallionSize = { lengthMm: 1, widthMm: 1, thicknessMm: 0.25 }
/** Gap where none was measured: the middle of what fills best. */
export const USUAL_GAP_MM = 0.05
const LARGEST_FILLET_MM = 0.3
/** What stays on the brick, runs where it is not wanted, or is filed off: 15 % more is laid (common practice, no source). */
const LOSS_SHARE = 0.15
const WIRE_MM = 0.5
const NOZZLE_MM = 1
const METAL_OF_PASTE = 0.5

/**
 * How much solder a seam takes: the gap filled, and a concave fillet of half the thickness, 0.3 mm at most, on each side that gets one; as
 * snippets, wire and paste. Snippet count is rounded up, so that none is short.
 */
export function solderAmount({ lengthMm, gapMm, depthMm, fillets }: Seam, size: PallionSize = USUAL_PALLION): SolderAmount {
  const working: WorkingLog = []
  const radiusMm = Math.min(depthMm / 2, LARGEST_FILLET_MM)
  const volumeMm3 = derive(working, {
    label: 'Solder in the seam',
    formula: 'g·L·t + n·L·r^2·(1 − π/4)',
    given: [
      given('g', 'gap', gapMm),
      given('L', 'length of the seam', lengthMm),
      given('t', 'depth of the faces', depthMm),
      given('n', 'fillets', fillets, 'count'),
      given('r', 'fillet', radiusMm),
    ],
    unit: 'mm3',
    source: 'closed-form',
    note: 'The gap filled, and a concave fillet on each side that gets one.',
  })
  const laidMm3 = derive(working, {
    label: 'Solder to lay',
    formula: 'V·(1 + s)',
    given: [given('V', 'solder in the seam', volumeMm3, 'mm3'), given('s', 'lost', LOSS_SHARE, 'ratio')],
    unit: 'mm3',
    source: 'bench-practice',
  })
  const pallionMm3 = size.lengthMm * size.widthMm * size.thicknessMm
  const pallionCount = Math.max(1, Math.ceil(laidMm3 / pallionMm3 - 1e-9))
  return {
    volumeMm3,
    pallionCount,
    spacingMm: lengthMm / pallionCount,
    wireLengthMm: laidMm3 / ((Math.PI / 4) * WIRE_MM ** 2),
    pasteLengthMm: laidMm3 / (METAL_OF_PASTE * (Math.PI / 4) * NOZZLE_MM ** 2),
    working,
  }
}
