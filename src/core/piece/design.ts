import type { AssemblyJoint, AssemblyOther } from '../assembly/assembly'
import type { EtchChoices } from '../etching'
import type { Mark } from '../marks'
import type { BoughtTemper } from '../metals/tempers'
import type { SurfaceChoices } from '../surface'
import type { RouteEdits } from './edits'

/** A part of a piece: a form and what was typed into it. Its id is given once. */
export interface DesignPart {
  readonly id: string
  readonly name: string
  readonly form: string
  readonly inputVersion: number
  readonly input: Readonly<Record<string, unknown>>
  readonly bought: BoughtTemper
  /** How many of it go into one piece. */
  readonly count?: number | undefined
  /** What is struck and drilled on its blank. */
  readonly marks?: readonly Mark[] | undefined
  /** How its blank is etched. */
  readonly etch?: EtchChoices | undefined
  /** How its faces are to look, and how it is coloured. */
  readonly surface?: SurfaceChoices | undefined
}

/** What belongs to a piece and is no blank. */
export interface DesignOther extends AssemblyOther {
  readonly name: string
  readonly note?: string | undefined
}

/** How one member of a joint stands on its place: along and across it, turned, and stood off. */
export interface JointPose {
  readonly u?: number | undefined
  readonly v?: number | undefined
  readonly angleDeg?: number | undefined
  readonly offsetMm?: number | undefined
}

export interface DesignJoint extends AssemblyJoint {
  readonly poses?: readonly JointPose[] | undefined
}

/** What a smith has decided about a piece: its parts, how they are joined, the methods chosen, and what was changed on the route. */
export interface PieceDesign {
  /** The kit it was started from, whose route it follows. */
  readonly kit?: string | undefined
  readonly parts: readonly DesignPart[]
  readonly others: readonly DesignOther[]
  readonly joints: readonly DesignJoint[]
  /** What must not be lost once it is there. */
  readonly keep: readonly string[]
  /** Answers to the questions of the order of work that this piece has of its own. */
  readonly schools: Readonly<Record<string, string>>
  readonly route?: RouteEdits | undefined
}

/** A piece of one part, with nothing chosen yet. */
export function onePart(part: Pick<DesignPart, 'form' | 'inputVersion' | 'input'> & Partial<DesignPart>): PieceDesign {
  return { parts: [{ id: 'part-1', name: '', bought: 'unknown', ...part }], others: [], joints: [], keep: [], schools: {} }
}
