import type { Assembly, Ref } from '@/core/assembly'
import { ALLOYS, type AlloyId } from '@/core/metals'
import {
  type MarkedPart,
  markedParts,
  marksQuestion,
  metalsOf,
  namerOf,
  type PartMetal,
  type PiecePlan,
  type PlanOptions,
  planPiece,
  predictedTarget,
  type RouteTemper,
  routeTemper,
  sizesAlong,
  subTraysOf,
  type TorchBook,
  torchBook,
} from '@/core/piece'
import { withLearned } from '@/core/tables'
import type { Design, FrozenPart, FrozenPlan, FrozenStep, Piece, Repositories } from '../db/repositories'

/** What a workshop brings to every plan: its ring system, its own tools and figures, and its answers about the order of work. */
export function planOptions({ settings, tools }: Pick<Repositories, 'settings' | 'tools'>): Required<PlanOptions> {
  const { ringSystem, figures, trials, orderSchools } = settings.read()
  return { ringSystem, figures: withLearned(figures, trials), tools: tools.owned(), schools: orderSchools }
}

/** The plan of a stored design under the workshop's settings. */
export function planDesign(design: Design, options: PlanOptions): PiecePlan {
  return planPiece(design, options)
}

/** The heats of a piece with what the workshop has at its torch. */
export function torchBookOf(
  { settings }: Pick<Repositories, 'settings'>,
  plan: PiecePlan,
  { tools }: Pick<Required<PlanOptions>, 'tools'>,
): TorchBook {
  const { torchW, flux } = settings.read()
  return torchBook(plan, { tools, torchW, flux })
}

/** Of each step that is a heat, by its place on the route, what the bench says of the flame. */
function flamesOf({ heats }: TorchBook): ReadonlyMap<number, NonNullable<FrozenStep['heat']>> {
  return new Map(heats.map(({ step, plan: { say, warnings, heavy } }) => [step, { say, warnings, fromBelow: heavy.length > 0 }] as const))
}

/** A blank with its marks, as the bench draws it; nothing where nothing is marked. */
function markedBlank(part: MarkedPart | undefined): Pick<FrozenPart, 'marked'> {
  if (!part || part.marks.length === 0) return {}
  const { outer, holes, marks } = marksQuestion(part, { owned: [], figures: {} })
  return { marked: { outer, holes, marks } }
}

function frozenParts({ design }: Piece, plan: PiecePlan): FrozenPart[] {
  const marked = new Map(markedParts(design, plan).map((part) => [part.part, part] as const))
  return plan.parts.flatMap(({ id, name, form, count, result, metal }) =>
    result && metal
      ? [
          {
            part: id,
            name,
            form,
            count,
            alloy: metal.alloy,
            thicknessMm: metal.thicknessMm,
            method: result.method,
            answer: result.answer,
            bought: metal.bought,
            widthMm: metal.widthMm,
            regions: [...(metal.regions ?? [])],
            ...(metal.figures ? { figures: metal.figures } : {}),
            outcomes: [...result.outcomes],
            ...markedBlank(marked.get(id)),
          },
        ]
      : [],
  )
}

/** The plan as a tray takes it to the bench; it does not change when the design does. Undefined while sizes are open. */
export function freezePlan(piece: Piece, plan: PiecePlan, book: TorchBook): FrozenPlan | undefined {
  const [main, ...parts] = frozenParts(piece, plan)
  if (!plan.ok || !main) return undefined
  const { joints, others, schools } = plan.assembly
  const sizes = sizesAlong(plan, routeTemper(plan.assembly, metalsOf(plan)))
  const flames = flamesOf(book)
  return {
    version: 2,
    coreVersion: plan.parts[0]?.result?.coreVersion ?? '',
    pieceName: piece.name,
    parts: [main, ...parts],
    others: others.map((other) => ({ name: '', ...other })),
    joints: joints.map((joint) => ({ ...joint, members: [...joint.members] })),
    schools: { ...schools },
    steps: plan.steps.map(({ id, op, on, params, target: own, overrides }, i) => {
      const target = own ?? (sizes[i] && predictedTarget(sizes[i]))
      const known = sizes[i]?.before ?? []
      const heat = flames.get(i)
      return {
        id,
        op,
        on: [...on],
        params: { ...params },
        ...(target ? { target } : {}),
        ...(known.length > 0 ? { sizes: [...known] } : {}),
        ...(overrides ? { overrides: [...overrides] } : {}),
        ...(heat ? { heat } : {}),
      }
    }),
  }
}

function metalOf({ alloy, thicknessMm, widthMm, bought, regions, figures }: FrozenPart): PartMetal {
  return { alloy: alloy in ALLOYS ? (alloy as AlloyId) : 'sterling-925', thicknessMm, widthMm, bought, regions, figures }
}

const METALS = new WeakMap<FrozenPlan, ReadonlyMap<string, PartMetal>>()

/** The metals of a frozen plan, by part. */
export function frozenMetals(plan: FrozenPlan): ReadonlyMap<string, PartMetal> {
  const metals = METALS.get(plan) ?? new Map(plan.parts.map((part) => [part.part, metalOf(part)]))
  METALS.set(plan, metals)
  return metals
}

/** The part that a frozen step works on: the first it is done to, of a joint the first it joins, or the only one. */
export function partOfFrozen({ parts, joints }: FrozenPlan, on: readonly Ref[]): FrozenPart {
  const things = on.flatMap(({ thing }) => [thing, ...(joints.find(({ id }) => id === thing)?.members.map((ref) => ref.thing) ?? [])])
  const [main] = parts
  return things.flatMap((thing) => parts.find(({ part }) => part === thing) ?? [])[0] ?? main
}

/** What a frozen step is done to, by name; empty where a piece has only one part. */
export function namesOfFrozen({ parts, others, joints }: FrozenPlan, on: readonly Ref[]): string {
  return namerOf({ parts: parts.map(({ part, name }) => ({ id: part, name })), others, joints })(on)
}

/** A frozen plan as the rules of work see it. */
function frozenAssembly(plan: FrozenPlan): Assembly {
  const [main] = plan.parts
  const { others, joints, schools } = plan
  const parts = plan.parts.map((part) => ({ id: part.part, form: part.form, bought: part.bought }))
  const steps = plan.steps.map((step) => ({ ...step, on: step.on.length > 0 ? step.on : [{ thing: main.part }] }))
  return { parts, others, joints, schools, steps }
}

const WALKS = new WeakMap<FrozenPlan['steps'], RouteTemper>()

/** The metal along the route of a frozen plan, or along the steps that a tray of it has by now. */
export function walkFrozen(plan: FrozenPlan, steps = plan.steps): RouteTemper {
  const walk = WALKS.get(steps) ?? routeTemper(frozenAssembly({ ...plan, steps }), frozenMetals(plan))
  WALKS.set(steps, walk)
  return walk
}

/** The sub-tray of each step of a frozen plan, by the step's name; none where there is but one thing to work on. */
export function frozenSubTrays(plan: FrozenPlan): ReadonlyMap<string, readonly string[]> {
  if (plan.parts.length + plan.others.length < 2) return new Map()
  const subTrays = subTraysOf(frozenAssembly(plan))
  return new Map(plan.steps.flatMap(({ id }, i) => (subTrays[i] ? [[id, subTrays[i]] as const] : [])))
}
