import { ALLOYS, type Alloy, type AlloyId } from '../metals'

/** Charge of a mole of electrons, C/mol (CODATA; exact since 2019). */
export const FARADAY_C_PER_MOL = 96485.33212

/** Molar mass, g/mol (IUPAC standard atomic weights, from memory), and the electrons each atom gives. */
const ELEMENTS: Readonly<Record<string, { readonly gPerMol: number; readonly electrons: number }>> = {
  Cu: { gPerMol: 63.546, electrons: 2 },
  Zn: { gPerMol: 65.38, electrons: 2 },
  Ni: { gPerMol: 58.693, electrons: 2 },
  Ag: { gPerMol: 107.868, electrons: 1 },
  Sn: { gPerMol: 118.71, electrons: 2 },
  Fe: { gPerMol: 55.845, electrons: 2 },
  Ge: { gPerMol: 72.63, electrons: 4 },
}

/** Moles of electrons that a kilogram of an alloy gives as it dissolves; what has no place in the list dissolves with none. */
export function electronsMolPerKg({ composition }: Pick<Alloy, 'composition'>): number {
  const parts = [...composition.matchAll(/(Cu|Zn|Ag|Ni|Sn|Ge|Fe) ([\d.]+)/g)]
  return parts.reduce((sum, [, element = '', percent = '0']) => {
    const { gPerMol, electrons } = ELEMENTS[element] ?? { gPerMol: 1, electrons: 0 }
    return sum + ((Number(percent) / 100) * electrons * 1000) / gPerMol
  }, 0)
}

/** Depth that a current takes off in a minute by Faraday’s law, every electron counted, µm: copper at 10 A/dm² 2.21. */
export function faradayUmPerMin(alloy: AlloyId, densityAPerDm2: number): number {
  const { densityGPerCm3 } = ALLOYS[alloy]
  const aPerM2 = 100 * densityAPerDm2
  const mPerS = aPerM2 / (FARADAY_C_PER_MOL * 1000 * densityGPerCm3 * electronsMolPerKg(ALLOYS[alloy]))
  return mPerS * 60e6
}
