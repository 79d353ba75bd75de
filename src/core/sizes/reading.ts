import type { GaugeSystem } from '../tables/gauges/gauges'
import type { RingSystem } from '../tables/rings/rings'
import type { FieldSize } from '../units/fields'

/** What is known where a size is typed. */
export interface SizeContext {
  /** The gauge system of the metal, where the metal is known. */
  readonly gaugeSystem?: GaugeSystem
  /** The workshop's ring system, for "size 6". */
  readonly ringSystem?: RingSystem
  readonly expects?: FieldSize
}

interface Understood {
  readonly typed: string
  readonly mm: number
  readonly inch: number
  /** What was understood, in words. */
  readonly how: string
}

/** One thing a typed text means. `mm` of a ring or a bangle is its inside diameter. */
export type SizeMeaning =
  | (Understood & { readonly kind: 'length' })
  | (Understood & {
      readonly kind: 'gauge'
      readonly gauge: { readonly system: GaugeSystem; readonly name: string; readonly index: number }
    })
  | (Understood & { readonly kind: 'drill'; readonly drill: { readonly name: string } })
  | (Understood & {
      readonly kind: 'ring'
      readonly ring: { readonly system: RingSystem; readonly size: string; readonly insideCircumferenceMm: number }
    })
  | (Understood & { readonly kind: 'bangle'; readonly bangle: { readonly size: string } })
  | (Understood & { readonly kind: 'blade'; readonly blade: { readonly name: string } })

export type SizeReading =
  | SizeMeaning
  | { readonly kind: 'ambiguous'; readonly typed: string; readonly question: string; readonly candidates: readonly SizeMeaning[] }
  | { readonly kind: 'unknown'; readonly typed: string; readonly message: string }
