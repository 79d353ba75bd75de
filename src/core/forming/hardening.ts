import type { Alloy } from '../metals/alloys'
import { flowStressMPa, LARGEST_STRAIN } from '../metals/flow'

/** How a metal hardens: flow stress, its slope, and the work per volume, MPa, each at an equivalent strain from 0. */
export interface Hardening {
  readonly stressMPa: (strain: number) => number
  readonly slopeMPa: (strain: number) => number
  readonly workMPa: (strain: number) => number
}

/** The hardening of an alloy by its flow curve (source: temper-fit). */
export function hardeningOf(alloy: Alloy): Hardening {
  const { s0MPa, qMPa, b, hMPa } = alloy.flow
  return {
    stressMPa: (strain) => flowStressMPa(alloy, strain),
    slopeMPa: (strain) => (strain > LARGEST_STRAIN ? 0 : qMPa * b * Math.exp(-b * strain) + hMPa),
    workMPa: (strain) => {
      const within = Math.min(strain, LARGEST_STRAIN)
      const work = s0MPa * within + qMPa * (within - (1 - Math.exp(-b * within)) / b) + (hMPa * within ** 2) / 2
      return work + (strain - within) * flowStressMPa(alloy, LARGEST_STRAIN)
    },
  }
}

/** σ = K·εⁿ, the textbook’s hardening (source: closed-form); its slope at 0 is without end. */
export function powerHardening(kMPa: number, n: number): Hardening {
  return {
    stressMPa: (strain) => kMPa * strain ** n,
    slopeMPa: (strain) => kMPa * n * Math.max(strain, 1e-9) ** (n - 1),
    workMPa: (strain) => (kMPa * strain ** (n + 1)) / (n + 1),
  }
}
