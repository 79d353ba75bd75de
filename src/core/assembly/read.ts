import * as z from 'zod'
import { ALLOY_IDS } from '../metals/alloys'
import { SOLDER_IDS } from '../metals/solders'
import { BOUGHT_TEMPER_IDS } from '../metals/tempers'
import { findOperation } from '../operations/catalogue'
import { type Assembly, JOINT_KINDS, JOINT_ROLES, type JointKind, OTHER_KINDS, type OtherKind, type Ref } from './assembly'
import { ORDER_SCHOOLS } from './schools'

const id = z.string().min(1).max(80)
const keysOf = <K extends string>(record: Readonly<Record<K, unknown>>) => Object.keys(record) as [K, ...K[]]
export const JOINT_KIND_IDS = keysOf<JointKind>(JOINT_KINDS)
export const OTHER_KIND_IDS = keysOf<OtherKind>(OTHER_KINDS)

/** A thing of the assembly, one of it, and a place or a face of it. */
export const refObject = z.object({
  thing: id,
  instance: z.number().int().positive().optional(),
  place: z.string().max(80).optional(),
  face: z.string().max(80).optional(),
})

/** A thing written as `bezel`, `bezel.foot` or `plate@edge`, or as an object. */
const ref = z.union([
  z
    .string()
    .min(1)
    .max(160)
    .transform((text): Ref => {
      const [thing = '', place] = text.split(/[.@]/)
      return place ? { thing, place } : { thing }
    }),
  refObject,
])
const refs = z.union([ref.transform((one) => [one]), z.array(ref).max(200)])

const part = z.object({
  id,
  form: z.string().max(80).optional(),
  alloy: z.enum(ALLOY_IDS).optional(),
  thicknessMm: z.number().positive().max(100).optional(),
  massG: z.number().positive().max(1e6).optional(),
  count: z.number().int().positive().max(5000).optional(),
  bought: z.enum(BOUGHT_TEMPER_IDS).optional(),
  set: z.boolean().optional(),
  rivet: z.boolean().optional(),
  film: z.boolean().optional(),
})

const other = z.object({ id, kind: z.enum(OTHER_KIND_IDS), standsC: z.number().min(0).max(3000).optional() })

const joint = z.object({
  id,
  kind: z.enum(JOINT_KIND_IDS),
  members: z.array(ref).max(60),
  role: z.enum(JOINT_ROLES).optional(),
  solder: z.enum(SOLDER_IDS).optional(),
  how: z.string().max(200).optional(),
  coil: z.boolean().optional(),
  jig: id.optional(),
  count: z.number().int().positive().max(5000).optional(),
  lengthMm: z.number().positive().max(100000).optional(),
  gapMm: z.number().min(0).max(2).optional(),
})

const override = z.object({ rule: z.string().max(20), against: z.union([z.string(), z.number()]).optional(), reason: z.string().max(2000) })

const step = z.object({
  id: id.optional(),
  op: id,
  on: refs.default([]),
  params: z.record(z.string(), z.unknown()).default({}),
  repeat: z.union([z.string().max(200), z.number().transform(String)]).optional(),
  split: z.array(z.string().max(80)).max(40).optional(),
  unfolded: z.boolean().optional(),
  held: z.array(id).max(60).optional(),
  pinned: z.boolean().optional(),
  overrides: z.array(override).max(40).optional(),
})

/** An assembly as it comes from outside: parts, others, joints, methods and steps. */
export const assemblyInput = z.object({
  parts: z.array(part).max(500).default([]),
  others: z.array(other).max(500).default([]),
  joints: z.array(joint).max(500).default([]),
  schools: z.record(z.string(), z.string()).default({}),
  steps: z.array(step).max(1000).default([]),
})

/** What belongs beside a step’s parameters and was written among them. */
const BESIDE = ['held', 'split', 'unfolded', 'pinned'] as const

function lifted(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || !('params' in raw) || typeof raw.params !== 'object' || raw.params === null) return raw
  const params: Readonly<Record<string, unknown>> = { ...raw.params }
  const beside = BESIDE.filter((name) => params[name] !== undefined && !(name in raw))
  return { ...raw, ...Object.fromEntries(beside.map((name) => [name, params[name]])) }
}

/** Input as it came, with what was written among a step's parameters put beside them. */
export function liftedInput(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || !('steps' in raw) || !Array.isArray(raw.steps)) return raw
  return { ...raw, steps: raw.steps.map(lifted) }
}

export interface AssemblyIssue {
  readonly path: string
  readonly message: string
}

const quoted = (ids: Iterable<string>) => [...ids].map((name) => `"${name}"`).join(', ') || 'none'

function twice(ids: readonly string[], path: string): AssemblyIssue[] {
  const again = ids.find((name, i) => ids.indexOf(name) !== i)
  return again === undefined ? [] : [{ path, message: `the id "${again}" comes twice; give each its own` }]
}

function jointIssues({ parts, others, joints }: Assembly): AssemblyIssue[] {
  const things = new Set([...parts, ...others].map((thing) => thing.id))
  return joints.flatMap(({ id: name, members, kind }, i) => [
    ...(members.length === 0 ? [{ path: `joints.${i}.members`, message: `joint "${name}" joins nothing; name what it joins` }] : []),
    ...members.flatMap(({ thing }, j) =>
      things.has(thing)
        ? []
        : [
            {
              path: `joints.${i}.members.${j}`,
              message: `joint "${name}" is to "${thing}", which is not there; there are ${quoted(things)}`,
            },
          ],
    ),
    ...(kind === 'seam' && new Set(members.map(({ thing }) => thing)).size > 1
      ? [{ path: `joints.${i}.kind`, message: `joint "${name}" is a seam of several parts; a seam joins a part to itself` }]
      : []),
  ])
}

function stepIssues({ parts, others, joints, steps }: Assembly): AssemblyIssue[] {
  const names = new Set(['piece', ...[...parts, ...others, ...joints].map((thing) => thing.id)])
  return steps.flatMap(({ op, on }, i) => [
    ...(findOperation(op) ? [] : [{ path: `steps.${i}.op`, message: `"${op}" is not an operation; see the list of operations` }]),
    ...(on.length === 0
      ? [{ path: `steps.${i}.on`, message: `step ${i + 1}, ${op}, is done to nothing; name a part, a joint or "piece"` }]
      : []),
    ...on.flatMap(({ thing }, j) =>
      names.has(thing) ? [] : [{ path: `steps.${i}.on.${j}`, message: `step ${i + 1}, ${op}, is done to "${thing}", which is not there` }],
    ),
  ])
}

function schoolIssues({ schools }: Assembly): AssemblyIssue[] {
  return Object.entries(schools).flatMap(([name, answer]) => {
    const question = ORDER_SCHOOLS.find((school) => school.id === name)
    if (!question || answer in question.answers) return []
    return [{ path: `schools.${name}`, message: `"${answer}" was given; it can be ${Object.keys(question.answers).join(', ')}` }]
  })
}

/** What is wrong with an assembly as data: ids twice, joints and steps on what is not there, operations and answers there are not. */
export function assemblyIssues(assembly: Assembly): AssemblyIssue[] {
  const { parts, others, joints } = assembly
  return [
    ...twice(
      [...parts, ...others, ...joints].map((thing) => thing.id),
      'parts',
    ),
    ...jointIssues(assembly),
    ...stepIssues(assembly),
    ...schoolIssues(assembly),
  ]
}
