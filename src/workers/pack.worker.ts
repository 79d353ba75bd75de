import { expose } from 'comlink'
import { type LayoutInput, type LayoutSolution, type Placement, packLayout } from '@/core/layout'

const api = {
  /** Packs until done or out of the seconds the instance allows, and tells of each better way as it is found. */
  pack(input: LayoutInput, tell: (placements: readonly Placement[]) => void): LayoutSolution {
    const began = performance.now()
    const elapsedS = () => (performance.now() - began) / 1000
    return packLayout(input, { elapsedS, shouldStop: () => elapsedS() >= input.seconds, tell })
  },
}

export type PackApi = typeof api

expose(api)
