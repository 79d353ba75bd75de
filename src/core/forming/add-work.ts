import type { Alloy } from '../metals/alloys'
import { ANNEAL_AT, crackProbability, type Light, lightOf, strainLimit } from './work-used'

/** The metal after a pass or a course, and whether an anneal belongs before it. */
export interface AddedWork {
  readonly annealBefore: boolean
  /** Hardening strain since the last anneal. */
  readonly hardening: number
  readonly workUsedFraction: number
  readonly crackProbability: number
  readonly light: Light
}

interface Metal {
  readonly alloy: Alloy
  /** Hardening strain as it is bought. */
  readonly strain: number
}

/** Adds up work one time after another, each counted by its weight, with an anneal before each that would use up too much (source: trade-limit). */
export function addWork({ alloy, strain }: Metal, works: readonly { readonly strain: number; readonly weight: number }[]): AddedWork[] {
  const limit = strainLimit(alloy)
  let [used, hardening] = [strain / limit, strain]
  return works.map((work) => {
    const adds = (work.weight * work.strain) / limit
    const annealBefore = used > 0 && used + adds > ANNEAL_AT
    if (annealBefore) [used, hardening] = [0, 0]
    used += adds
    hardening += work.strain
    return { annealBefore, hardening, workUsedFraction: used, crackProbability: crackProbability(used), light: lightOf(used) }
  })
}
