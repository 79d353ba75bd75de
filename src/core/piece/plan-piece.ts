import type { Assembly, AssemblyJoint, AssemblyPart, AssemblyStep } from '../assembly/assembly'
import { type BoundIssue, bindSizes } from '../assembly/bound-sizes'
import { type AssemblyIssue, assemblyIssues } from '../assembly/read'
import type { Blank, FormResult } from '../forms/contract'
import type { RunOptions } from '../forms/define-form'
import { findForm } from '../forms/registry'
import { boundsOf } from '../geometry/point'
import { withSolders } from '../joints/torch-plan'
import { findKit } from '../kits/registry'
import type { AlloyId } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import type { RegionSize, TemperInput } from '../route/temper'
import { namesIn } from '../rules/world'
import type { InputIssue } from '../sizes/read-fields'
import type { OwnFigures } from '../tables/figures'
import { recent } from '../working/recent'
import { cutBlanks } from './cut-blanks'
import type { DesignPart, PieceDesign } from './design'
import type { DesignStep } from './design-step'
import { applyEdits, type Misfit, NO_EDITS } from './edits'
import { excludingJoints } from './excluding-joints'
import { ownedSolders } from './owned-solders'
import { withRivetHoles } from './rivet-holes'
import { runPart } from './run-part'
import { usualAssembly } from './usual-route'
import { withSizes } from './with-sizes'

/** The workshop's ring system, its own tools and figures, and its answers to the questions of the order of work. */
export type PlanOptions = Omit<RunOptions, 'inputVersion'> & { readonly schools?: Readonly<Record<string, string>> }

/** What the ledger of the metal needs of a part. */
export type PartMetal = Omit<TemperInput, 'steps'>

/** A part of a piece as it was worked out: its result and its metal, or what its sizes still lack. */
export interface PlannedPart {
  readonly id: string
  readonly name: string
  readonly form: string
  /** How many of it one piece has. */
  readonly count: number
  /** Whether it is cut from stock by itself; false where another part is divided into it. */
  readonly isCut: boolean
  readonly result: FormResult | undefined
  /** Its blanks as they are cut from stock: rough pieces where a texture comes before the last cut. */
  readonly cuts: readonly Blank[]
  readonly metal: PartMetal | undefined
  readonly issues: readonly InputIssue[]
}

export interface PiecePlan {
  /** Whether every part of it could be worked out. */
  readonly ok: boolean
  readonly parts: readonly PlannedPart[]
  /** What its sizes lack, of all parts. */
  readonly issues: readonly InputIssue[]
  /** Parts, others and joints, the methods that hold, and the steps in order. */
  readonly assembly: Assembly
  /** The steps before the smith's edits. */
  readonly base: readonly DesignStep[]
  /** The steps with the smith's edits over them. */
  readonly steps: readonly DesignStep[]
  readonly misfits: readonly Misfit[]
  /** What is wrong with it as an assembly: a joint or a step on what is not there. */
  readonly faults: readonly AssemblyIssue[]
}

/** How wide a blank is along its bends: the narrow way of a sheet, the thickness of a wire. */
function bendWidthMm({ stock, thicknessMm, outline, bendWidthMm: known }: Blank): number {
  if (known !== undefined) return known
  if (stock === 'wire') return thicknessMm
  const box = boundsOf(outline)
  return Math.min(box.maxX - box.minX, box.maxY - box.minY)
}

/** The regions of a part, those of another blank with its size. */
function regionsOf({ regions, regionBlanks, blanks }: FormResult): (string | RegionSize)[] {
  return regions.map((region) => {
    const other = blanks.find((blank) => blank.name === regionBlanks?.[region])
    return other ? { region, thicknessMm: other.thicknessMm, widthMm: bendWidthMm(other) } : region
  })
}

/** Of all own figures those that say something of this metal. */
function figuresOf(alloy: AlloyId, own: OwnFigures = {}): OwnFigures | undefined {
  const about = Object.entries(own).filter(([id]) => id.endsWith(`-${alloy}`))
  return about.length > 0 ? Object.fromEntries(about) : undefined
}

function metalOf(result: FormResult, cuts: readonly Blank[], { bought }: DesignPart, own: OwnFigures | undefined): PartMetal | undefined {
  const [blank] = result.blanks
  if (!blank) return undefined
  const { alloy, thicknessMm } = cuts[0] ?? blank
  const figures = figuresOf(alloy, own)
  return { alloy, thicknessMm, widthMm: bendWidthMm(blank), bought, regions: regionsOf(result), ...(figures ? { figures } : {}) }
}

function planPart(part: DesignPart, worked: DesignPart['input'], options: PlanOptions, bound: readonly BoundIssue[]): PlannedPart {
  const form = findForm(part.form)
  const own = { id: part.id, name: part.name || (form?.title ?? part.id), form: part.form, count: part.count ?? 1, isCut: true }
  const open = (issues: readonly InputIssue[]): PlannedPart => ({ ...own, result: undefined, cuts: [], metal: undefined, issues })
  if (!form) return open([{ path: 'form', message: `the form "${part.form}" is not in this version` }])
  const unbound = bound.flatMap(({ path, message }) =>
    path.startsWith(`${part.id}.`) ? [{ path: path.slice(part.id.length + 1), message }] : [],
  )
  if (unbound.length > 0) return open(unbound)
  // how many there are is the piece's own, not one part's
  const { qty: _, ...input } = worked
  const { schools: _schools, ...bench } = options
  const run = runPart(form, input, { ...bench, inputVersion: part.inputVersion })
  if (!run.ok) return open(run.issues)
  const { result } = run
  const cuts = cutBlanks(result.blanks, part.surface?.texture, options.figures ?? {})
  return { ...own, result, cuts, metal: metalOf(result, cuts, part, options.figures), issues: [] }
}

/** A part as the rules of work see it; of open sizes what was typed of its metal. */
function assemblyPart(part: DesignPart, { result, metal }: PlannedPart, kit: string | undefined): AssemblyPart {
  const ofKit = findKit(kit)?.parts.find(({ id }) => id === part.id)
  const massG = result?.blanks.reduce((sum, blank) => sum + blank.massG * (blank.each ?? 1), 0)
  return {
    id: part.id,
    form: part.form,
    bought: part.bought,
    ...(metal ? { alloy: metal.alloy, thicknessMm: metal.thicknessMm } : {}),
    ...(massG ? { massG } : {}),
    ...(part.count ? { count: part.count } : {}),
    ...(ofKit?.set ? { set: true } : {}),
    ...(ofKit?.rivet ? { rivet: true } : {}),
    ...(ofKit?.film ? { film: true } : {}),
  }
}

/** Whether a step is done to a part: to itself, to a joint of it, or in a piece of one part to whatever goes on it. */
function actsOn({ joints }: Assembly, id: string, isOnly: boolean): (step: AssemblyStep) => boolean {
  const own = new Set([id, ...joints.filter(({ members }) => members.some(({ thing }) => thing === id)).map((joint) => joint.id)])
  return ({ on }) => isOnly || on.some(({ thing }) => own.has(thing))
}

/** Whether a step is done to leather that is joined to a part. */
function actsOnLeatherOf({ others, joints }: Assembly, id: string): (step: AssemblyStep) => boolean {
  const joined = joints.filter(({ members }) => members.some(({ thing }) => thing === id)).flatMap(({ members }) => members)
  const leather = new Set(others.filter(({ kind }) => kind === 'leather').map((other) => other.id))
  const own = new Set(joined.map(({ thing }) => thing).filter((thing) => leather.has(thing)))
  return ({ on }) => on.some(({ thing }) => own.has(thing))
}

/** Each step under a name that stays: its operation, the thing where it is not the first part's, and which time it is. */
function named(steps: readonly AssemblyStep[], first: string, joints: Assembly['joints']): DesignStep[] {
  const seen = new Map<string, number>()
  const isFirst = (thing: string) =>
    thing === first || thing === 'piece' || joints.some(({ id, members }) => id === thing && members.some((ref) => ref.thing === first))
  return steps.map((step) => {
    const thing = step.on[0]?.thing ?? first
    const name = isFirst(thing) ? step.op : `${step.op}.${thing}`
    const time = (seen.get(name) ?? 0) + 1
    seen.set(name, time)
    return { ...step, id: time === 1 ? name : `${name}.${time}` }
  })
}

/** A joint as long as the place of its first member, where nothing else was said. */
function measured(joint: AssemblyJoint, parts: readonly PlannedPart[]): AssemblyJoint {
  const [small] = joint.members
  const place = parts.find(({ id }) => id === small?.thing)?.result?.places?.find(({ id }) => id === small?.place)
  return joint.lengthMm === undefined && place?.lengthMm ? { ...joint, lengthMm: place.lengthMm } : joint
}

interface Soldered extends Assembly {
  readonly steps: readonly DesignStep[]
}

/** Each joint with its solder, from those that are owned where it names none, and each soldering with the solder of its joints. */
function soldered(assembly: Soldered, owned: readonly SolderId[]): Soldered {
  const known = new Map(withSolders(assembly, owned).joints.flatMap(({ id, solder }) => (solder ? [[id, solder] as const] : [])))
  const flowOf = (id: SolderId) => SOLDERS[id].liquidusC
  const solderOf = ({ on }: DesignStep) =>
    on
      .flatMap(({ thing }) => known.get(thing) ?? [])
      .reduce<SolderId | undefined>((top, id) => (top && flowOf(top) >= flowOf(id) ? top : id), undefined)
  return {
    ...assembly,
    joints: assembly.joints.map((joint) => {
      const solder = known.get(joint.id)
      return solder ? { ...joint, solder } : joint
    }),
    steps: assembly.steps.map((step) => {
      const solder = step.op === 'solder' && step.params.solder === undefined ? solderOf(step) : undefined
      return solder ? { ...step, params: { ...step.params, solder } } : step
    }),
  }
}

/** Plans as they were worked out: a page that is looked at again, and each page that tells of many pieces, asks for the same ones. */
const PLANS = recent<PiecePlan>(100)

/** A piece from its design: every part, the steps in order, and what is wrong with either. */
export function planPiece(design: PieceDesign, options: PlanOptions = {}): PiecePlan {
  return PLANS(JSON.stringify([design, options]), () => workOut(design, options))
}

/** What of a piece does not depend on what the smith has changed of its route. */
interface Unedited {
  readonly parts: readonly PlannedPart[]
  readonly usual: Assembly
  /** The steps before the smith's edits. */
  readonly base: readonly DesignStep[]
}

/** With each change of a route the piece is planned anew, and of it only the route has changed. */
const UNEDITED = recent<Unedited>(20)

function workOut({ route = NO_EDITS, ...design }: PieceDesign, options: PlanOptions): PiecePlan {
  const { parts, usual, base } = UNEDITED(JSON.stringify([design, options]), () => workOutUnedited(design, options))
  const { steps, misfits } = applyEdits(base, route)
  const assembly = soldered({ ...usual, steps }, ownedSolders(options.tools ?? []))
  return {
    ok: parts.every(({ result }) => result !== undefined) && parts.length > 0,
    parts,
    issues: parts.flatMap(({ issues }) => issues),
    assembly,
    base,
    steps: assembly.steps,
    misfits,
    faults: [...assemblyIssues(assembly), ...excludingJoints(design.joints)],
  }
}

function workOutUnedited(design: PieceDesign, options: PlanOptions): Unedited {
  const { inputs, issues: bound } = bindSizes(design.parts)
  const sizedParts = design.parts.map((part) => planPart(part, inputs.get(part.id) ?? part.input, options, bound))
  const metals = design.parts.flatMap((part, i) => {
    const planned = sizedParts[i]
    return planned ? [assemblyPart(part, planned, design.kit)] : []
  })
  const usual = usualAssembly(design, metals, { ...options.schools, ...design.schools })
  const divided = new Set(usual.steps.flatMap(({ params }) => namesIn(params.into)))
  const parts = sizedParts.map((part) => ({ ...part, isCut: !divided.has(part.id) }))
  const sized = parts.reduce<readonly AssemblyStep[]>((steps, { id, result }) => {
    if (!result) return steps
    const own = withSizes(steps, actsOn(usual, id, parts.length === 1), result)
    return withSizes(own, actsOnLeatherOf(usual, id), { sizedSteps: result.companionSteps ?? [] })
  }, usual.steps)
  const base = named(withRivetHoles(usual, parts, sized), design.parts[0]?.id ?? '', usual.joints)
  return { parts, usual: { ...usual, joints: usual.joints.map((joint) => measured(joint, parts)) }, base }
}
