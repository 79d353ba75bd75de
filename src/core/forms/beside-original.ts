import { formatPlain } from '../units/format'
import type { AfterOriginal, Target } from './contract'

const figure = (mm: number) => formatPlain(mm, 2)

/** A measurement beside that of the original, and whether it is as it is meant. */
export function against(
  { dimension, label, valueMm, plusMinusMm }: Target,
  { mm, stronger }: NonNullable<Target['original']>,
): AfterOriginal {
  const differenceMm = valueMm - mm
  // a difference that is the band but for floating point is within it
  const isNear = Math.abs(differenceMm) <= plusMinusMm * (1 + 1e-9)
  const more = `${figure(Math.abs(differenceMm))} mm ${differenceMm < 0 ? 'less' : 'more'} than the original’s ${figure(mm)} mm`
  const allowed = `± ${formatPlain(plusMinusMm, 3)} mm`
  const isAsMeant = stronger ? differenceMm > 0 && !isNear : isNear
  const said = {
    copy: isAsMeant ? `as the original, within ${allowed}` : `${more}, where ${allowed} is allowed`,
    stronger: isAsMeant ? `${more}, on purpose` : `${more}, where it is to be larger by more than ${formatPlain(plusMinusMm, 3)} mm`,
  }
  return {
    dimension,
    label,
    originalMm: mm,
    valueMm,
    differenceMm,
    plusMinusMm,
    stronger,
    isAsMeant,
    said: said[stronger ? 'stronger' : 'copy'],
  }
}
