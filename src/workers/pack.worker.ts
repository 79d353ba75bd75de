import { expose } from 'comlink'
import { controlled, Exchange, type LayoutInput, type LayoutSolution, type Placement, packLayout } from '@/core/layout'

/** A search beside others: the memory they share, and which of them it is. */
export interface Beside {
  readonly memory: SharedArrayBuffer
  readonly own: number
}

const api = {
  /** Packs until done or out of the seconds the instance allows, and tells of each better way as it is found. */
  pack(input: LayoutInput, tell: (placements: readonly Placement[]) => void, beside?: Beside): LayoutSolution {
    const began = performance.now()
    const control = controlled(input, () => (performance.now() - began) / 1000, beside && new Exchange(input, beside.memory, beside.own))
    const tellAll = (placements: readonly Placement[]) => {
      control.tell?.(placements)
      tell(placements)
    }
    return packLayout(input, { ...control, tell: tellAll })
  },
}

export type PackApi = typeof api

expose(api)
