import type { Check } from '../forms/contract'
import { ALLOYS, type AlloyId } from '../metals'
import { formatPlain } from '../units/format'
import type { Textured } from './ways'

/** A relief of more than this share of the thickness shows on the back and tears where it is bent (bench practice, low). */
const DEEP = 0.6

/** What stands against a texture on a sheet of a metal. */
export function textureChecks({ thicknessMm: t, depthMm: d }: Pick<Textured, 'thicknessMm' | 'depthMm'>, alloy: AlloyId): Check[] {
  const { title, behaviour } = ALLOYS[alloy]
  return [
    ...(d > DEEP * t
      ? [
          {
            level: 'warn',
            code: 'deep-texture',
            field: 'depthMm',
            actual: { value: d, unit: 'mm' },
            limit: { value: DEEP * t, unit: 'mm' },
            source: 'bench-practice',
            message: `A relief of ${formatPlain(d, 2)} mm is more than half of ${formatPlain(t, 2)} mm: it shows on the back, and tears where it is bent.`,
          } satisfies Check,
        ]
      : []),
    ...(behaviour.finish === 'thin-layer'
      ? [
          {
            level: 'stop',
            code: 'thin-layer',
            field: 'alloy',
            source: 'bench-practice',
            message: `${title}: the wear layer is hundredths of a millimetre; a texture cuts through it.`,
          } satisfies Check,
        ]
      : []),
    {
      level: 'note',
      code: 'texture-first',
      source: 'bench-practice',
      message: 'Texture while it is flat and before the last cut: then what it grows by is known. Measure, then cut to size.',
    },
  ]
}
