import { figureOf, type OwnFigures } from '../figures'

/** A jeweller's saw blade as usually made: makers differ by 0.02 to 0.03 mm and a tooth or three. */
export interface Blade {
  readonly name: string
  readonly widthMm: number
  readonly thicknessMm: number
  readonly teethPerCm: number
  /** Number drill that printed charts give for the pilot hole; it follows the width, so it is tight (low). */
  readonly printedPilot?: string
}

/** Finest first. From memory (medium, preset): a packet's own figures win. */
export const BLADES: readonly Blade[] = (
  [
    ['8/0', 0.32, 0.16, 35, '#80'],
    ['7/0', 0.34, 0.17, 33, '#80'],
    ['6/0', 0.36, 0.18, 30, '#79'],
    ['5/0', 0.4, 0.2, 28, '#78'],
    ['4/0', 0.44, 0.22, 26, '#77'],
    ['3/0', 0.48, 0.24, 24, '#76'],
    ['2/0', 0.52, 0.26, 22, '#75'],
    ['1/0', 0.56, 0.28, 21, '#73'],
    ['1', 0.6, 0.3, 20, '#71'],
    ['2', 0.7, 0.34, 17, '#70'],
    ['3', 0.74, 0.36, 16, '#68'],
    ['4', 0.78, 0.38, 15, '#67'],
    ['5', 0.84, 0.4, 14, '#65'],
    ['6', 0.94, 0.44, 13, '#58'],
    ['7', 1.02, 0.48, 12, undefined],
    ['8', 1.12, 0.5, 11, undefined],
  ] as const
).map(([name, widthMm, thicknessMm, teethPerCm, printedPilot]) => ({
  name,
  widthMm,
  thicknessMm,
  teethPerCm,
  ...(printedPilot ? { printedPilot } : {}),
}))

/** Teeth in the metal aimed at, and the outer limits of use: two to three, one and a half to four, or one's own. */
export function teethLimits(own: OwnFigures) {
  return {
    aimLeast: figureOf('teeth-aim-least', own),
    aimMost: figureOf('teeth-aim-most', own),
    least: figureOf('teeth-least', own),
    most: figureOf('teeth-most', own),
  }
}

/** Teeth standing in a thickness of metal; a tilted sheet is thicker along the blade. 0.8 mm under a 4/0 blade is 2.1. */
export function teethInMetal(teethPerCm: number, thicknessMm: number, tiltRad = 0): number {
  return (thicknessMm * teethPerCm) / 10 / Math.cos(tiltRad)
}

/** Width of the cut, mm: the blade and the set of its teeth. */
export function kerfOfMm(blade: { readonly thicknessMm: number }, own: OwnFigures): number {
  return blade.thicknessMm + figureOf('blade-set', own)
}

/** Smallest hole the blade passes: its diagonal, not its width, mm. A 2/0 blade needs 0.581. */
export function pilotMm(blade: { readonly thicknessMm: number; readonly widthMm: number }): number {
  return Math.hypot(blade.widthMm, blade.thicknessMm)
}

/** The blade of a name as written: "4/0", "0000" and "-3" are the same; "0" is "1/0". */
export function findBlade(name: string): Blade | undefined {
  const text = name.trim()
  const noughts = /^0{1,8}$/.test(text) ? `${text.length}/0` : /^-\d$/.test(text) ? `${1 - Number(text)}/0` : text
  return BLADES.find((blade) => blade.name === noughts)
}
