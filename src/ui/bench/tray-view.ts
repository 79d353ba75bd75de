import type { Target } from '@/core/forms'
import type { Outline } from '@/core/geometry'
import type { InstrumentCheck } from '@/core/instruments'
import type { BlankAndOutcomes } from '@/core/logbook'
import type { PlacedMark } from '@/core/marks'
import type { BenchWords } from '@/core/operations'
import type { PartSize, RouteTemper } from '@/core/piece'
import type { FrozenStep } from '@/server/db/repositories'
import type { AgentBeside } from '@/server/services/bench-agents'
import type { PieceThumb } from '@/server/services/piece-thumb'

/** A step of a tray with everything the bench shows of it. */
export interface BenchStepView {
  readonly id: string
  readonly op: string
  /** The part whose metal it works: readings and losses of the step are that part's. */
  readonly part: string
  /** What it is done to. */
  readonly on: readonly { readonly thing: string }[]
  /** The same by name; empty where the piece has only one part. */
  readonly onWords: string
  /** What hangs together in the hand at it, and the same by name; none where the piece has only one part. */
  readonly subTray?: readonly string[] | undefined
  readonly subTrayWords: string
  /** The one workpiece it is for, where it is rework. */
  readonly only?: number
  /** Why it stands where a rule would not have it. */
  readonly reasons: readonly { readonly rule: string; readonly reason: string }[]
  readonly title: string
  readonly together: boolean
  readonly caution: string | null
  /** What the record warns of at it; null where it knows nothing. */
  readonly lostBefore: string | null
  readonly target: Target | null
  /** Of a heat that joins: where the flame goes; null elsewhere, and where it was not kept. */
  readonly heat: NonNullable<FrozenStep['heat']> | null
  /** What is known of the part's sizes before it. */
  readonly sizes: readonly PartSize[]
  readonly params: Readonly<Record<string, unknown>>
  readonly words: BenchWords
  readonly waitS: number
  /** How long it looks after itself after each of its runs. */
  readonly restS: number
}

/** A part of the pieces of a tray, and its metal. */
export interface BenchPartView extends BlankAndOutcomes {
  readonly id: string
  readonly name: string
  readonly alloy: string
  readonly alloyTitle: string
  readonly thicknessMm: number
  readonly colour: string
  /** Its blank with every blow on it, in order; none where nothing is marked. */
  readonly marked: MarkedBlank | null
}

/** A blank and what is struck and drilled on it. */
export interface MarkedBlank {
  readonly outer: Outline
  readonly holes: readonly Outline[]
  readonly blows: readonly PlacedMark[]
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
  /** What it was measured with; empty where nothing was. */
  readonly instrument: string
  /** Of a loss, the part that is made again. */
  readonly again: string | null
  readonly at: string
  readonly reverses: string | null
}

/** A whole tray, given to the page once: from then on the page tells by itself where the tray stands. */
export interface BenchTrayView {
  readonly id: number
  readonly uid: string
  readonly parts: readonly BenchPartView[]
  readonly pieceId: number
  readonly name: string
  readonly size: number
  readonly steps: readonly BenchStepView[]
  /** The steps of a rework, as they read: those of a piece whose joint failed its test. */
  readonly rework: Readonly<Record<string, Pick<BenchStepView, 'title' | 'caution' | 'words' | 'waitS'>>>
  readonly entries: readonly BenchEntry[]
  /** The last look at the check piece at any other tray, as the page was given. */
  readonly checked: InstrumentCheck | null
  readonly walk: RouteTemper
  readonly thumb: PieceThumb | null
  /** Where the cuts of its blanks stand in their order; null where none of them lies on a sheet. */
  readonly sawPlan: string | null
  /** What looks after itself in other trays, as the page was given. */
  readonly waits: readonly {
    readonly trayId: number
    readonly name: string
    readonly title: string
    readonly sinceAt: string
    readonly waitS: number
  }[]
  /** What stands open on the bench for other trays, as the page was given. */
  readonly beside: readonly AgentBeside[]
}
