import type { OwnTool } from './tools'

export interface MandrelReading {
  /** `between` marks, or off one end of it. */
  readonly outcome: 'between' | 'below' | 'above' | 'not-calibrated'
  /** The marks it lies between, thin end first, and how far along from the first, 0 to 1. */
  readonly from?: string
  readonly to?: string
  readonly fraction?: number
}

/** Where on a mandrel a diameter is found, by its own calibration (straight lines between the measured marks). */
export function readMandrel(mandrel: OwnTool, diameterMm: number): MandrelReading {
  const marks = [...(mandrel.facts?.marks ?? [])].sort((a, b) => a.diameterMm - b.diameterMm)
  const [first, last] = [marks[0], marks.at(-1)]
  if (!first || !last || marks.length < 2) return { outcome: 'not-calibrated' }
  if (diameterMm < first.diameterMm) return { outcome: 'below', to: first.mark }
  if (diameterMm > last.diameterMm) return { outcome: 'above', from: last.mark }
  const upper = Math.max(
    1,
    marks.findIndex((mark) => mark.diameterMm >= diameterMm),
  )
  const [from, to] = [marks[upper - 1] ?? first, marks[upper] ?? last]
  return {
    outcome: 'between',
    from: from.mark,
    to: to.mark,
    fraction: (diameterMm - from.diameterMm) / (to.diameterMm - from.diameterMm || 1),
  }
}
