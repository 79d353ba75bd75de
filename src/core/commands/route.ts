import * as z from 'zod'
import type { Assembly, Ref } from '../assembly/assembly'
import { assemblyInput, assemblyIssues, liftedInput } from '../assembly/read'
import { torchPlan, withSolders } from '../joints/torch-plan'
import { SOLDER_IDS, type SolderId } from '../metals/solders'
import { type Axis, axisOf, type FactValue, isFact } from '../operations/notation/facts'
import { partWalks } from '../piece/route-temper'
import { checkRoute, type Finding, type RouteCheck } from '../rules/check'
import { putInOrder } from '../rules/order/put-in-order'
import { issuesOf, plainWords } from '../units/plain-words'
import { bad, type DoorAnswer } from './door-answer'

const WANTS = ['check', 'order', 'plan'] as const

/** Solders as they are sold by silver content: where nothing is said of those that are owned. */
const USUAL_SOLDERS: readonly SolderId[] = ['hard-75', 'medium-70', 'easy-65', 'extra-easy-56']

const bench = {
  solders: z.array(z.enum(SOLDER_IDS)).min(1).max(40).optional(),
  torchW: z.number().positive().max(5000).optional(),
}

/** The input of `route`: an assembly, what is wanted of it, and for the joints the solders owned and the power of the torch. */
export const routeInput = z.object({ ...assemblyInput.shape, ...bench, want: z.enum(WANTS).default('plan') })
/** The input of `joints`: the same assembly. */
export const jointsInput = z.object({ ...assemblyInput.shape, ...bench })

function read<S extends z.ZodType<Assembly>>(what: string, schema: S, raw: unknown) {
  const parsed = schema.safeParse(liftedInput(raw), { error: plainWords })
  const issues = parsed.success ? assemblyIssues(parsed.data) : issuesOf(parsed.error)
  if (!parsed.success || issues.length > 0)
    return { ok: false, answer: bad('bad-input', `${what}: ${issues.map(({ message }) => message).join('; ')}`, issues) } as const
  return { ok: true, input: parsed.data } as const
}

/** What is known of each thing, joint and place after a step, by axis of state. */
function byAxis(state: RouteCheck['states'][number] | undefined) {
  return Object.fromEntries(
    Object.entries(state ?? {}).map(([key, facts]) => {
      const axes: Partial<Record<Axis, Record<string, FactValue>>> = {}
      for (const [fact, value] of Object.entries(facts)) if (isFact(fact)) axes[axisOf(fact)] = { ...axes[axisOf(fact)], [fact]: value }
      return [key, axes]
    }),
  )
}

/** A finding as the interfaces give it. */
function shown({ rule, under, level, steps, on, message, overridden }: Finding) {
  return { rule, under, level, steps, on: on.map((key) => key.replace(/^joint:/, '')), message, overridden }
}

/** A thing and its place as one text. */
const written = ({ thing, place }: Ref) => (place ? `${thing}@${place}` : thing)

/** The order of a route, with what is missing. */
function ordered(assembly: Assembly) {
  const { steps, moves, proposed } = putInOrder(assembly)
  return { steps, moves, proposed: proposed.map((item) => ({ ...item, on: item.on.map(written) })) }
}

/** The metal of every part of which alloy and thickness are known, after each step that touches it. */
function tempers(assembly: Assembly) {
  const metals = new Map(
    assembly.parts.flatMap(({ id, alloy, thicknessMm, bought = 'annealed' }) =>
      alloy && thicknessMm ? [[id, { alloy, thicknessMm, bought }] as const] : [],
    ),
  )
  return partWalks(assembly, metals).map(({ part, walk, at }) => ({
    part,
    steps: walk.steps.map(({ op, temper, hardnessHv, workLeftFraction }, i) => ({
      step: at[i] ?? 0,
      op,
      temper,
      hardnessHv,
      workLeftFraction,
    })),
  }))
}

/** Checks a route of several parts against the rules of the order of work, puts it in order, and plans its heats. */
export function route(raw: unknown): DoorAnswer {
  const found = read('Route', routeInput, raw)
  if (!found.ok) return found.answer
  const { want, solders, torchW, ...given } = found.input
  const owned = solders ?? USUAL_SOLDERS
  const assembly = withSolders(given, owned)
  const { findings, states, minutes } = checkRoute(assembly, { withStates: want === 'plan' })
  return {
    ok: true,
    body: {
      findings: findings.map(shown),
      ...(want === 'check' ? {} : { order: ordered(assembly) }),
      ...(want === 'plan'
        ? { states: states.map(byAxis), temper: tempers(assembly), heats: torchPlan(assembly, { owned, torchW }).heats }
        : {}),
      minutes,
    },
  }
}

/** The solder ladder of an assembly, with amounts and heat plans. */
export function joints(raw: unknown): DoorAnswer {
  const found = read('Joints', jointsInput, raw)
  if (!found.ok) return found.answer
  const { solders, torchW, ...assembly } = found.input
  return { ok: true, body: torchPlan(assembly, { owned: solders ?? USUAL_SOLDERS, torchW }) }
}
