import type { BendManner } from '../../operations/bending/bend'
import type { SizedStep, Target } from '../contract'

interface Bent {
  readonly what: string
  readonly cutMm: number
  readonly insideRadiusMm: number
  readonly on: string
  readonly target: Target
  /** What is bent and how, where it is not a strip bent round. */
  readonly bend?: { readonly what: string; readonly manner: BendManner }
}

/** What is known of the steps of anything cut to length and bent, shut or open. */
export function bentSteps({ what, cutMm, insideRadiusMm, on, target, bend = { what: 'it round', manner: 'round' } }: Bent): SizedStep[] {
  const cut: Target = { dimension: 'cutLengthMm', label: 'Cut length', valueMm: cutMm, plusMinusMm: 0.25 }
  const saw = { op: 'saw', params: { what, cutMm: Math.min(2000, Math.max(0.5, cutMm)) }, target: cut } as const
  const radius = { insideRadiusMm: Math.min(1000, Math.max(0, insideRadiusMm)), manner: bend.manner }
  return [
    saw,
    { ...saw, at: 'overlap' },
    { op: 'bend', params: { ...radius, what: bend.what } },
    { op: 'bend-on-bender', params: { ...radius, what: bend.what } },
    { op: 'bend', at: 'correct', params: radius },
    { op: 'true-up', params: { on }, target },
    { op: 'finish', params: {}, target },
  ]
}

/** The widest hole drilled in sheet: a larger bit grabs and spins it (common practice, no source). */
const WIDEST_DRILLED_MM = 12

/** A hole in sheet: drilled, or where it is too wide for a bit pierced, sawn inside its line and filed round. */
export function holeSteps(at: string, diameterMm: number): SizedStep[] {
  if (diameterMm <= 0) return []
  // holes of a plate may be punched; a single one is drilled
  const punched: SizedStep[] = at === 'holes' ? [{ op: 'punch-hole', at, params: { diameterMm } }] : []
  if (diameterMm <= WIDEST_DRILLED_MM) return [{ op: 'drill', at, params: { diameterMm: Math.max(0.3, diameterMm) } }, ...punched]
  return [
    { op: 'drill', at, params: { diameterMm: 1 } },
    { op: 'saw', insteadOf: 'drill', at, params: { what: 'the hole, inside its line', side: 'inside', cutMm: Math.min(2000, diameterMm) } },
    { op: 'file', insteadOf: 'drill', at, params: { what: 'the hole round, to its line' } },
    ...punched,
  ]
}

/** A window sawn inside its line, its start drilled. */
export function windowSteps(what: string): SizedStep[] {
  return [
    { op: 'saw', at: 'window', params: { what, side: 'inside' } },
    { op: 'file', at: 'window', params: { what: 'the window to its line' } },
  ]
}

/** What is known of the steps of a flat piece sawn to its outline. */
export function flatSteps(what: string, cutMm: number, target: Target): SizedStep[] {
  return [
    { op: 'saw', params: { what, cutMm: Math.min(2000, Math.max(0.5, cutMm)) } },
    { op: 'file', params: { what: 'the edge to the line' }, target },
    { op: 'finish', params: {}, target },
  ]
}
