import { describe, expect, it } from 'vitest'
import type { Assembly } from '../../assembly/assembly'
import { formAssembly } from '../../kits/form-routes'
import { assemblyOf } from '../../kits/kit'
import { KITS } from '../../kits/registry'
import { assemblyFor, RULE_CASES } from '../cases.test-data'
import { checkRoute, isLegal } from '../check'
import { type OrderedRoute, putInOrder } from './put-in-order'
import { wrongWith } from './trial'
import { keptOf, unitsOf } from './units'

/** The route as it was put in order, with the steps that were proposed. */
function carriedOut(assembly: Assembly, { steps, proposed }: OrderedRoute): Assembly {
  const at = (place: number) => proposed.filter((item) => item.at === place).map(({ op, on, params }) => ({ op, on, params }))
  const all = steps.flatMap((index, place) => [...at(place), ...(assembly.steps[index] ? [assembly.steps[index]] : [])])
  return { ...assembly, steps: all }
}

/** Rules that no move and no missing step puts right: sub-steps, a parameter, too long a wait, a note. */
const BY_HAND = ['P26', 'P53', 'P59', 'P73', 'P79', 'P80', 'P81', 'P83', 'P94', 'P110']

describe('a route that breaks a rule', () => {
  it.each(RULE_CASES.filter(({ rule }) => !BY_HAND.includes(rule)).map((of) => [of.rule, of] as const))(
    '%s: what moves it, or what is proposed, silences it',
    (_, of) => {
      const assembly = assemblyFor(of, of.broken)
      const ordered = putInOrder(assembly)
      expect(ordered.moves.length + ordered.proposed.length).toBeGreaterThan(0)
      for (const move of ordered.moves) expect(move.because.length).toBeGreaterThan(0)
      expect(checkRoute(carriedOut(assembly, ordered)).findings.map(({ rule, steps }) => `${rule} ${steps}`)).toEqual([])
    },
  )
  it.each(RULE_CASES.map((of) => [of.rule, of] as const))('%s: a route that keeps it stays as it is', (_, of) => {
    const assembly = assemblyFor(of, of.kept, of.split?.[1])
    expect(putInOrder(assembly)).toEqual({ steps: assembly.steps.map((_step, i) => i), moves: [], proposed: [] })
  })
})

describe('a kit', () => {
  it.each(KITS.map((kit) => [kit.id, kit] as const))('%s: its own route stays as it is', (_, kit) => {
    const assembly = assemblyOf(kit)
    expect(putInOrder(assembly)).toEqual({ steps: assembly.steps.map((_step, i) => i), moves: [], proposed: [] })
  })
})

/** A row of numbers that looks random and is the same every time. */
function numbersFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

function shuffled<T>(items: readonly T[], random: () => number): T[] {
  const copy = [...items]
  for (let i = copy.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[copy[i], copy[j]] = [copy[j] as T, copy[i] as T]
  }
  return copy
}

describe('a shuffled route', () => {
  const mixed = (seed: number): Assembly => {
    const random = numbersFrom(seed)
    const forms = ['ring-band', 'dome', 'rivet-wire', 'tab-setting', 'strip-links', 'ear-wire', 'fold-star', 'bead']
    const assembly = formAssembly(forms[seed % forms.length] ?? 'dome')
    if (!assembly) throw new Error('no route')
    return { ...assembly, steps: shuffled(assembly.steps, random) }
  }
  it('is better ordered than before, and ordering it again changes nothing', () => {
    for (let seed = 1; seed <= 120; seed++) {
      const assembly = mixed(seed)
      const before = checkRoute(assembly).findings.length
      const once = putInOrder(assembly)
      expect([...once.steps].sort((a, b) => a - b)).toEqual(assembly.steps.map((_step, i) => i))
      const ordered = { ...assembly, steps: once.steps.flatMap((i) => assembly.steps[i] ?? []) }
      expect(checkRoute(ordered).findings.length).toBeLessThanOrEqual(before)
      expect(putInOrder(ordered).moves, `seed ${seed}`).toEqual([])
    }
  })
  it('with what is proposed breaks no rule, or names what stands against it', () => {
    let legal = 0
    for (let seed = 1; seed <= 120; seed++) {
      const assembly = mixed(seed)
      const check = checkRoute(carriedOut(assembly, putInOrder(assembly)))
      if (isLegal(check)) legal++
      else for (const finding of check.findings) expect(finding.message.length).toBeGreaterThan(20)
    }
    expect(legal).toBeGreaterThan(108)
  })
})

describe('a kit whose whole route was shuffled', () => {
  const orders = KITS.flatMap((kit, i) => {
    const assembly = assemblyOf(kit)
    const steps = shuffled(
      assembly.steps.map(({ repeat: _, ...step }) => step),
      numbersFrom(1000 + i),
    )
    const mixed: Assembly = { ...assembly, steps }
    return [{ id: kit.id, mixed, ordered: putInOrder(mixed) }]
  })
  it('comes out legal with what is proposed in nine of ten', () => {
    const legal = orders.filter(({ mixed, ordered }) => isLegal(checkRoute(carriedOut(mixed, ordered))))
    expect(legal.length).toBeGreaterThanOrEqual(19)
  })
  it.each(orders.map((of) => [of.id, of] as const))('%s: ordering it again changes nothing', (_, { mixed, ordered }) => {
    const steps = ordered.steps.flatMap((i) => mixed.steps[i] ?? [])
    expect(putInOrder({ ...mixed, steps }).moves).toEqual([])
  })
})

/** All orders of a few steps. */
function ordersOf(count: number): number[][] {
  if (count === 0) return [[]]
  return ordersOf(count - 1).flatMap((order) =>
    Array.from({ length: count }, (_, at) => [...order.slice(0, at), count - 1, ...order.slice(at)]),
  )
}

it('of up to six steps it is the best of all orders: least that only a move puts right, then least missing, then fewest moved', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const form = ['ear-wire', 'jump-oval', 'ring-wrap', 'disc'][seed % 4] ?? 'disc'
    const usual = formAssembly(form)
    if (!usual) throw new Error(form)
    const assembly: Assembly = { ...usual, steps: shuffled(usual.steps, numbersFrom(seed)).slice(0, 6) }
    const units = unitsOf(assembly)
    const worthOf = (order: readonly number[]) => {
      const ordered = order.flatMap((i) => units[i] ?? [])
      return [wrongWith(assembly, ordered), units.length - keptOf(order).size] as const
    }
    const best = ordersOf(units.length)
      .map(worthOf)
      .reduce((a, b) => (b[0] < a[0] || (b[0] === a[0] && b[1] < a[1]) ? b : a))
    expect(worthOf(putInOrder(assembly).steps), `${form} ${seed}`).toEqual(best)
  }
})

it('a reason against another step knows it still when the order has changed', () => {
  const set: Assembly['joints'][number] = { id: 'j', kind: 'bezel', members: [{ thing: 'a' }, { thing: 'stone' }] }
  const of = { rule: 'P84', others: [{ id: 'stone', kind: 'stone' as const }], joints: [set], broken: '', kept: '' }
  const assembly = assemblyFor(of, 'patina-dip c · glue j · set-stone j · polish c')
  const overrides = [{ rule: 'P84', against: 1, reason: 'cement that sets at once' }]
  const steps = assembly.steps.map((step) => (step.op === 'set-stone' ? { ...step, overrides } : step))
  const ordered = putInOrder({ ...assembly, steps })
  expect(ordered.moves.length).toBeGreaterThan(0)
  expect(ordered.proposed.map(({ op }) => op)).not.toContain('wait')
})
