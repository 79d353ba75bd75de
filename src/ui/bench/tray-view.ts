import type { Target } from '@/core/forms'
import type { BenchWords } from '@/core/operations'
import type { TemperWalk } from '@/core/route'
import type { PieceThumb } from '@/server/services/piece-thumb'

/** A step of a tray with everything the bench shows of it. */
export interface BenchStepView {
  readonly id: string
  readonly op: string
  readonly title: string
  readonly together: boolean
  readonly caution: string | null
  readonly target: Target | null
  readonly params: Readonly<Record<string, unknown>>
  readonly words: BenchWords
  readonly waitS: number
}

/** An entry of the tray as the bench uses it. */
export interface BenchEntry {
  readonly token: string
  readonly kind: string
  readonly stepId: string | null
  readonly workpiece: number | null
  readonly text: string
  readonly dimension: string | null
  readonly value: number | null
  readonly at: string
  readonly reverses: string | null
}

/** A whole tray, given to the page once: from then on the page tells by itself where the tray stands. */
export interface BenchTrayView {
  readonly id: number
  readonly uid: string
  readonly part: string
  readonly pieceId: number
  readonly name: string
  readonly size: number
  readonly alloyTitle: string
  readonly thicknessMm: number
  readonly colour: string
  readonly steps: readonly BenchStepView[]
  readonly entries: readonly BenchEntry[]
  readonly walk: TemperWalk
  readonly thumb: PieceThumb | null
}
