import type { SolidPart } from '../drawing/solid/solid'
import { circleOutline } from '../geometry/outline'
import type { FormResult } from './contract'

/** Blanks as they lie, the same solids each time they are asked for. */
const FLAT = new WeakMap<FormResult['blanks'], readonly SolidPart[]>()

/** The piece in three dimensions: as its form says, or where that says nothing, its first blank as it lies. */
export function solidsOf({ solids, blanks }: Pick<FormResult, 'solids' | 'blanks'>): readonly SolidPart[] {
  if (solids) return solids
  const flat = FLAT.get(blanks) ?? flatSolids(blanks)
  FLAT.set(blanks, flat)
  return flat
}

function flatSolids([blank]: FormResult['blanks']): readonly SolidPart[] {
  if (!blank) return []
  if (blank.lengthMm !== undefined)
    return [
      {
        solid: { kind: 'swept', bends: [{ straightMm: blank.lengthMm }], section: circleOutline(blank.thicknessMm / 2) },
        at: [0, 0, 0],
      },
    ]
  return [{ solid: { kind: 'plate', outline: blank.outline, holes: blank.holes, thicknessMm: blank.thicknessMm }, at: [0, 0, 0] }]
}
