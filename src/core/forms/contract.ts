import type { z } from 'zod'
import type { Drawing } from '../drawing/drawing'
import type { Place } from '../drawing/place'
import type { SolidPart } from '../drawing/solid/solid'
import type { Outline } from '../geometry/point'
import type { AlloyId } from '../metals/alloys'
import type { OperationId } from '../operations/catalogue'
import type { InputIssue } from '../sizes/read-fields'
import type { SourceId } from '../sources/sources'
import type { Bench } from '../toolwall/tools'
import type { Unit } from '../units/unit'
import type { WorkingLog, WorkingStep } from '../working/derive'

export interface Quantity {
  readonly value: number
  readonly unit: Unit
}

/** The number a smith marks: `value` as calculated, `markAt` as rounded to what can be marked. */
export interface Answer {
  readonly name: string
  readonly value: number
  readonly unit: 'mm'
  readonly markAt: number
}

export interface BlankSpec {
  readonly name: string
  /** How many go into one piece; 1 where it is not said. */
  readonly each?: number
  readonly qty: number
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly outline: Outline
  readonly holes: readonly Outline[]
  readonly areaMm2: number
  readonly massG: number
  /** What it is cut from; `piece` is metal of the piece itself, cut out of it. */
  readonly stock: 'sheet' | 'wire' | 'tube' | 'piece'
  /** Where the outline is a circle: its exact radius about the origin. */
  readonly circleRadiusMm?: number
  /** Where the blank is cut from wire or tube: how long. */
  readonly lengthMm?: number
  /** How wide the metal is along its bends, where that is not the narrow way of the blank. */
  readonly bendWidthMm?: number
}

/** A blank of a form's result: its id is its own whatever else the form cuts, and stays when sizes change. */
export interface Blank extends BlankSpec {
  readonly id: string
}

export interface SchoolOption {
  readonly id: string
  readonly title: string
  readonly value: number
  readonly why: string
}

/** One question on which smiths differ, what was chosen and what each school comes to for this piece. */
export interface SchoolChoice {
  readonly question: string
  readonly label: string
  readonly school: string
  readonly schools: readonly SchoolOption[]
  /** Unit of each school's value. */
  readonly unit: Unit
}

/** What a change comes to: of a field on the answer, or of the cut on what comes out of the piece, all else kept. */
export interface Sensitivity {
  readonly input: string
  readonly change: string
  readonly effect: string
}

export type CheckLevel = 'stop' | 'warn' | 'note' | 'ok'

/** What the metal or the method says about the numbers. A stop blocks release to the bench, not the answer. */
export interface Check {
  readonly level: CheckLevel
  readonly code: string
  readonly message: string
  readonly field?: string
  readonly actual?: Quantity
  readonly limit?: Quantity
  readonly source?: SourceId
}

/** What the piece should measure at a step or at the end. */
export interface Target {
  readonly dimension: string
  readonly label: string
  readonly valueMm: number
  readonly plusMinusMm: number
  /** What the original measures there, and whether the piece is to be larger than it on purpose. */
  readonly original?: { readonly mm: number; readonly stronger: boolean } | undefined
}

/** A measurement of the piece beside that of the original it is made after. */
export interface AfterOriginal extends Target {
  readonly originalMm: number
  /** By how much the piece is larger. */
  readonly differenceMm: number
  /** Whether it is to be larger on purpose. */
  readonly stronger: boolean
  readonly isAsMeant: boolean
  readonly said: string
}

/** A measurement that comes out of the piece, as it is asked for. */
export interface OutcomeSpec extends Target {
  /** How it moves when the blank does: the input field that is this measurement, or mm of it per mm of blank. */
  readonly follows: string | number
}

/** A measurement that comes out of the piece, what the textbook predicts from the size marked, and how the blank answers to it. */
export interface Outcome extends Target {
  /** Change of the answer, mm, that makes this measurement 1 mm larger; 0 where no cut does. */
  readonly blankPerMm: number
  /** The one the record is kept of. */
  readonly primary: boolean
}

/** A step of the usual route whose sizes the form knows. Several of one name, one after another, are done in its place. */
export interface SizedStep {
  readonly op: OperationId
  /** The step whose place it takes, where that is another operation. */
  readonly insteadOf?: OperationId
  /** Which of the steps with this operation: its place, what it cuts, or how it is done; none for the plain one. */
  readonly at?: string
  readonly params: Readonly<Record<string, unknown>>
  readonly target?: Target
}

/** What a form works out of its input; what moves the answer, how sure it is and what comes out of the piece follow from its spec. */
export interface FormPlan {
  readonly answer: Answer
  readonly blanks: readonly BlankSpec[]
  readonly results: Readonly<Record<string, Quantity>>
  readonly working: readonly WorkingStep[]
  /** The answer's own question. */
  readonly choice: SchoolChoice
  readonly choices: readonly SchoolChoice[]
  readonly checks: readonly Check[]
  readonly drawing: Drawing
  /** The finished piece in three dimensions, where it is more than its flat blank. */
  readonly solids?: readonly SolidPart[]
  /** What is set in it, as it stands there. */
  readonly holds?: readonly SolidPart[]
  /** Where it can be joined, worked and named; the frame of the solids is theirs. */
  readonly places?: readonly Place[]
  /** What it knows of the steps of its usual route. */
  readonly sizedSteps: readonly SizedStep[]
  /** What it knows of the steps done to leather that goes with it. */
  readonly companionSteps?: readonly SizedStep[]
  /** Places of the usual route that a piece of this size does not have, and operations it does without. */
  readonly without?: readonly string[]
  /** Parts of the piece that harden differently. */
  readonly regions: readonly string[]
  /** Regions of another blank than the first: region, and the name of the blank. */
  readonly regionBlanks?: Readonly<Record<string, string>>
  /** How it is made, as the record groups it: stock and school. */
  readonly method: string
}

/** The result at every interface (docs/interfaces.md). */
export interface FormResult extends Omit<FormPlan, 'choice' | 'blanks'> {
  readonly form: string
  readonly blanks: readonly Blank[]
  /** What moves the answer, and what the cut moves. */
  readonly sensitivity: readonly Sensitivity[]
  /** How sure the answer is: what measuring leaves open, and how far the method is trusted. */
  readonly uncertainty: { readonly plusMinus: number; readonly unit: Unit; readonly why: string }
  /** What comes out of the piece; the record is kept of the first, where the blank answers to it. */
  readonly outcomes: readonly Outcome[]
  /** What can be held against an original: what comes out of the piece, and the sizes of its metal. */
  readonly comparable: readonly Target[]
  /** The piece beside the original it is made after, where one was measured. */
  readonly afterOriginal: readonly AfterOriginal[]
  readonly coreVersion: string
  readonly question: string
  readonly questionLabel: string
  readonly school: string
  readonly schools: readonly SchoolOption[]
  /** Unit of each school's value: millimetres of answer, or what the schools differ in where the answer is the same. */
  readonly schoolUnit: Unit
  /** What typed sizes were understood as, by field. */
  readonly understood: Readonly<Record<string, { readonly typed: string; readonly mm: number; readonly how: string }>>
}

export type FormRun = { readonly ok: true; readonly result: FormResult } | { readonly ok: false; readonly issues: readonly InputIssue[] }

export interface FormSpec<Id extends string, S extends z.ZodObject> {
  readonly id: Id
  readonly title: string
  readonly summary: string
  /** Steps from older stored inputs: entry n turns version n + 1 into n + 2; the version now is one more than there are steps. */
  readonly upgrades?: readonly ((input: Readonly<Record<string, unknown>>) => Record<string, unknown>)[]
  /** Makes the schema; called once, when the form is first used. */
  readonly input: () => S
  /** A valid input, with sizes as a smith would write them. */
  readonly example: Readonly<Partial<Record<keyof z.input<S>, unknown>>>
  /** Fields that matter only while a choice stands at one of some options: field, then the choice and its options. */
  readonly onlyWhen?: Readonly<Record<string, readonly [choice: string, ...options: string[]]>>
  /** Words that call this form in the ask line, and which field each size typed there fills, in order. */
  readonly ask: {
    readonly words: readonly string[]
    readonly sizes: readonly string[]
    /** Which field "60 of them" fills, where they are made as one set; how many pieces, where it is not said. */
    readonly count?: string
  }
  /** The size to mark and nothing else, for asking what moves it. */
  readonly answer: (log: WorkingLog, input: z.output<S>, bench: Bench) => Answer
  /** What can be measured on the finished piece, the one the record is kept of first; none where the blank answers to nothing. */
  readonly outcomes: (input: z.output<S>, bench: Bench) => readonly OutcomeSpec[]
  /** The sizes that are measured, and so are never exact. */
  readonly measured: readonly (keyof z.output<S> & string)[]
  /** Steps to ask "what if" by, beside those of the measured sizes: field and step. */
  readonly varies?: Readonly<Partial<Record<keyof z.output<S> & string, number>>>
  /** How far the method itself is trusted, mm of answer, where that is more than measuring leaves open. */
  readonly spread?: (answer: Answer, input: z.output<S>) => { readonly plusMinus: number; readonly why: string }
  /** `bench` holds the smith's own tools and figures; an empty one means the usual sets and presets. */
  readonly plan: (input: z.output<S>, bench: Bench) => FormPlan
}
