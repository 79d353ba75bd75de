import type { AlloyId } from '../metals/alloys'
import type { SolderId } from '../metals/solders'
import type { BoughtTemper } from '../metals/tempers'

/** What can be joined and worked: a part of metal, and what the rules of work read of it. */
export interface AssemblyPart {
  readonly id: string
  readonly form?: string | undefined
  readonly alloy?: AlloyId | undefined
  readonly thicknessMm?: number | undefined
  readonly massG?: number | undefined
  readonly count?: number | undefined
  /** Bought temper; metal of which nothing is said counts as annealed, metal that is not known as half hard. */
  readonly bought?: BoughtTemper | undefined
  /** One of several that are made to match. */
  readonly set?: boolean | undefined
  /** Wire or tube that is headed. */
  readonly rivet?: boolean | undefined
  /** Has its protective film on as bought. */
  readonly film?: boolean | undefined
}

export const OTHER_KINDS = {
  stone: 'stone',
  glass: 'glass',
  shell: 'shell',
  wood: 'wood',
  horn: 'horn',
  leather: 'leather',
  textile: 'textile',
  plastic: 'plastic',
  cord: 'cord',
  cement: 'cement',
  dust: 'dust',
  jig: 'jig',
  'form-block': 'form block',
  original: 'original',
  tool: 'tool',
  bath: 'bath',
  'bought-chain': 'bought chain',
} as const
export type OtherKind = keyof typeof OTHER_KINDS

/** What is no blank: its kind, and the heat it stands. */
export interface AssemblyOther {
  readonly id: string
  readonly kind: OtherKind
  readonly standsC?: number | undefined
}

export const JOINT_KINDS = {
  seam: 'seam',
  butt: 'butt',
  lap: 'lap',
  sweat: 'sweat',
  tee: 'tee',
  point: 'point',
  row: 'row',
  fuse: 'fuse',
  rivet: 'rivet',
  tabs: 'tabs',
  bezel: 'bezel',
  fold: 'fold',
  hook: 'hook',
  link: 'link',
  wrap: 'wrap',
  stitch: 'stitch',
  glue: 'glue',
  press: 'press',
} as const
export type JointKind = keyof typeof JOINT_KINDS

/** Joints made by heat; the others are cold. */
export const HOT_JOINTS: readonly JointKind[] = ['seam', 'butt', 'lap', 'sweat', 'tee', 'point', 'row', 'fuse']

/** What a joint is for, where the order of work depends on it. */
export const JOINT_ROLES = [
  'ring-seam',
  'jump-seam',
  'bezel-seam',
  'decorative-seam',
  'bezel-to-plate',
  'ring-over-bezel',
  'applied',
  'group',
  'group-to-base',
  'bail',
  'extension',
  'fitting',
] as const
export type JointRole = (typeof JOINT_ROLES)[number]

/** A thing of the assembly, one of it, and a place or a face of it. */
export interface Ref {
  readonly thing: string
  readonly instance?: number | undefined
  readonly place?: string | undefined
  readonly face?: string | undefined
}

export interface AssemblyJoint {
  readonly id: string
  readonly kind: JointKind
  /** What is joined; of a soldered joint the first is the smaller part, which is put on. */
  readonly members: readonly Ref[]
  readonly role?: JointRole | undefined
  readonly solder?: SolderId | undefined
  /** `sweat` where solder is melted on one part first. */
  readonly how?: string | undefined
  readonly coil?: boolean | undefined
  /** What holds the parts while it is made. */
  readonly jig?: string | undefined
  readonly count?: number | undefined
  /** How long the seam is, and the gap it has to fill. */
  readonly lengthMm?: number | undefined
  readonly gapMm?: number | undefined
}

/** Why a step stands against a rule all the same; it holds for that rule, and between it and one other step where that is named. */
export interface Override {
  readonly rule: string
  readonly against?: string | number | undefined
  readonly reason: string
}

export interface AssemblyStep {
  readonly id?: string | undefined
  readonly op: string
  readonly on: readonly Ref[]
  readonly params: Readonly<Record<string, unknown>>
  /** The steps of one group, one after another, are done again and again. */
  readonly repeat?: string | undefined
  /** The sub-steps it was divided into, in the order the smith gives them. */
  readonly split?: readonly string[] | undefined
  /** Stands alone: what it includes was made steps of its own, or left out. */
  readonly unfolded?: boolean | undefined
  /** Joints that are held while it is done: by wire, jig, barrier or sink. */
  readonly held?: readonly string[] | undefined
  /** Stays where it is when the route is put in order. */
  readonly pinned?: boolean | undefined
  readonly overrides?: readonly Override[] | undefined
}

/** Parts, what else belongs to them, how they are joined, the methods chosen, and the steps in order. */
export interface Assembly {
  readonly parts: readonly AssemblyPart[]
  readonly others: readonly AssemblyOther[]
  readonly joints: readonly AssemblyJoint[]
  readonly schools: Readonly<Record<string, string>>
  readonly steps: readonly AssemblyStep[]
}
