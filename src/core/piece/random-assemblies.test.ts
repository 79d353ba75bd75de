import { describe, expect, it } from 'vitest'
import type { Assembly, AssemblyPart, JointKind } from '../assembly/assembly'
import { HOT_JOINTS } from '../assembly/assembly'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import { checkRoute } from '../rules/check'
import { putInOrder } from '../rules/order/put-in-order'
import type { DesignJoint, PieceDesign } from './design'
import { usualAssembly } from './usual-route'

/** So many in CI; ASSEMBLIES=10000 runs all. */
const COUNT = Number(process.env.ASSEMBLIES ?? 300)
const MOST_STEPS = 40
/** Metals that stay solid where the highest of the usual solders flows. */
const SOLDERED = ALLOY_IDS.filter((id) => ALLOYS[id].solidusC > SOLDERS['hard-75'].liquidusC)

const FORMS = [
  'ring-band',
  'bezel',
  'disc',
  'plate',
  'ball',
  'dome',
  'washer',
  'back-plate',
  'jump-rings',
  'cuff',
  'bail',
  'hook',
  'sectors',
]
const KINDS: readonly JointKind[] = [...HOT_JOINTS.filter((kind) => kind !== 'seam'), 'rivet', 'link', 'glue']

function randomFrom(seed: number) {
  let state = Math.imul(seed, 2654435761) >>> 0
  const next = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
  return { next, pick: <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)] as T }
}

/** Parts joined to one another at random, each on its own route, and the joints after them. */
function randomAssembly(seed: number): Assembly {
  const { next, pick } = randomFrom(seed)
  const parts: AssemblyPart[] = Array.from({ length: 1 + Math.floor(next() * 3) }, (_, i) => ({
    id: `p${i}`,
    form: pick(FORMS),
    alloy: pick(SOLDERED),
    thicknessMm: 0.6 + next(),
    bought: 'annealed',
  }))
  const joints = parts.slice(1).map((part, i): DesignJoint => {
    const kind = pick(KINDS)
    const solder = HOT_JOINTS.includes(kind) && kind !== 'fuse' && next() < 0.5 ? { solder: pick(SOLDER_IDS) } : {}
    return {
      id: `j${i}`,
      kind,
      members: [
        { thing: part.id, place: 'back' },
        { thing: `p${Math.floor(next() * (i + 1))}`, place: 'face' },
      ],
      ...solder,
    }
  })
  const design: PieceDesign = {
    parts: parts.map(({ id, form = '' }) => ({ id, name: id, form, inputVersion: 1, input: {}, bought: 'annealed' })),
    others: next() < 0.3 ? [{ id: 'stone', name: 'Stone', kind: 'stone', standsC: 60 }] : [],
    joints,
    keep: [],
    schools: {},
  }
  return usualAssembly(design, parts, {})
}

function shuffled({ steps, ...assembly }: Assembly, seed: number): Assembly {
  const { next } = randomFrom(seed)
  const order = steps.map((step) => ({ step, at: next() })).sort((a, b) => a.at - b.at)
  return { ...assembly, steps: order.map(({ step }) => step) }
}

const broken = (assembly: Assembly) => checkRoute(assembly).findings.filter(({ level }) => level !== 'note')
/** With every step put in that is said to be missing. */
function mended(assembly: Assembly): Assembly {
  const { proposed } = putInOrder(assembly)
  const steps = assembly.steps.flatMap((step, i) => [
    ...proposed.filter(({ at }) => at === i).map(({ op, on, params }, n) => ({ id: `put-${i}-${n}`, op, on, params })),
    step,
  ])
  return { ...assembly, steps }
}

const reordered = (assembly: Assembly): Assembly => ({
  ...assembly,
  steps: putInOrder(assembly).steps.flatMap((i) => assembly.steps[i] ?? []),
})

describe(`${COUNT} random assemblies, their routes shuffled`, () => {
  it(
    'are put in an order that is legal with what is said to be missing, or what stands against it is named; a second time nothing moves',
    () => {
      const legal = { asMade: 0, byMoves: 0, withProposals: 0 }
      let tried = 0
      for (let seed = 1; tried < COUNT; seed++) {
        const assembly = randomAssembly(seed)
        if (assembly.steps.length > MOST_STEPS || assembly.steps.length < 2) continue
        tried++
        const ordered = reordered(shuffled(assembly, seed * 7919))
        const left = broken(ordered)
        if (broken(assembly).length === 0) {
          legal.asMade++
          if (left.length === 0) legal.byMoves++
          if (left.length === 0 || broken(mended(ordered)).length === 0) legal.withProposals++
        }
        for (const { rule, message, on } of left) {
          expect(rule).toMatch(/^(P\d+|solder-over)/)
          expect(message.length).toBeGreaterThan(20)
          expect(on.length).toBeGreaterThan(0)
        }
        expect(putInOrder(ordered).steps, `seed ${seed}`).toEqual(ordered.steps.map((_, i) => i))
      }
      // of those that were legal before they were shuffled; the others have a fault that no order mends, such as a solder too hot for its metal
      expect(legal.asMade / tried).toBeGreaterThan(0.75)
      expect(legal.byMoves / legal.asMade).toBeGreaterThan(0.8)
      expect(legal.withProposals / legal.asMade).toBeGreaterThan(0.97)
    },
    Number(process.env.ASSEMBLIES ? 3_600_000 : 240_000),
  )
})
