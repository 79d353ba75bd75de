import { expose } from 'comlink'
import { type LayoutInput, type LayoutSolution, packLayout } from '@/core/layout'

const api = {
  /** Packs until done or out of the seconds the instance allows. */
  pack(input: LayoutInput): LayoutSolution {
    const began = performance.now()
    const elapsedS = () => (performance.now() - began) / 1000
    return packLayout(input, { elapsedS, shouldStop: () => elapsedS() >= input.seconds })
  },
}

export type PackApi = typeof api

expose(api)
