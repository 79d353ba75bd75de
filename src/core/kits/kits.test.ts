import { describe, expect, it } from 'vitest'
import type { Assembly } from '../assembly/assembly'
import { ORDER_SCHOOLS } from '../assembly/schools'
import { FORM_IDS } from '../forms/registry'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { checkRoute } from '../rules/check'
import { FORM_ROUTES, formAssembly } from './form-routes'
import { assemblyOf } from './kit'
import { schoolsIn } from './notation'
import { KITS } from './registry'

type Schools = Readonly<Record<string, string>>

/** What a route breaks, as lines a person can read. */
function broken(assembly: Assembly): string[] {
  return checkRoute(assembly)
    .findings.filter(({ level }) => level !== 'note')
    .map(({ rule, steps, on }) => `${rule} at ${steps.map((i) => assembly.steps[i]?.id).join(', ')} on ${on.join('+')}`)
}

const ANSWERS: readonly Schools[] = ORDER_SCHOOLS.flatMap(({ id, answers }) => Object.keys(answers).map((answer) => ({ [id]: answer })))
const PAIRS: readonly Schools[] = ANSWERS.flatMap((one, i) => ANSWERS.slice(i + 1).map((other) => ({ ...one, ...other })))

/** A share of all pairs, another for each route; with ALL_PAIRS set, all of them (three minutes). */
const pairsFor = (nth: number) => (process.env.ALL_PAIRS ? PAIRS : PAIRS.filter((_, i) => i % 37 === nth % 37))

describe.each(KITS.map((kit, nth) => [kit.id, kit, nth] as const))('%s', (_, kit, nth) => {
  it('breaks no rule under the usual methods', () => expect(broken(assemblyOf(kit))).toEqual([]))
  it('breaks none under any two other answers', () => {
    for (const schools of [...ANSWERS, ...pairsFor(nth)]) expect(broken(assemblyOf(kit, schools)), JSON.stringify(schools)).toEqual([])
  })
  it('bought harder, only the rules of soft metal speak', () => {
    for (const bought of ['quarter-hard', 'half-hard', 'hard', 'unknown'] as const) {
      const parts = kit.parts.map((part) => ({ ...part, bought }))
      const rules = checkRoute(assemblyOf({ ...kit, parts })).findings.map(({ rule }) => rule)
      expect(rules.filter((rule) => !['P20', 'P21', 'P22', 'P23'].includes(rule))).toEqual([])
    }
  })
})

it('every form of the program has a usual route, and no route is of a form there is not', () => {
  const routed = FORM_ROUTES.flatMap(({ forms }) => forms)
  expect([...routed].sort()).toEqual([...FORM_IDS].sort())
})

describe.each(FORM_ROUTES.flatMap(({ forms }) => forms).map((form, nth) => [form, nth] as const))('%s', (form, nth) => {
  const assembly = (schools: Schools = {}, own = {}) =>
    formAssembly(form, schools, own) ?? { parts: [], others: [], joints: [], schools: {}, steps: [] }
  it('breaks no rule, over all metals and any two answers', () => {
    expect(assembly().steps.length).toBeGreaterThan(1)
    for (const alloy of ALLOY_IDS) {
      const found = broken(assembly({}, { alloy }))
      // what no silver solder wets is told so at each of its joints, and nothing else
      if (ALLOYS[alloy].behaviour.solders) expect(found, alloy).toEqual([])
      else for (const line of found) expect(line, alloy).toMatch(/^solder-over-liquidus /)
    }
    for (const schools of [...ANSWERS, ...pairsFor(nth)]) expect(broken(assembly(schools)), JSON.stringify(schools)).toEqual([])
  })
  it('bought harder, only the rules of soft metal speak', () => {
    const rules = checkRoute(assembly({}, { bought: 'hard' })).findings.map(({ rule }) => rule)
    expect(rules.filter((rule) => !['P20', 'P21', 'P22', 'P23'].includes(rule))).toEqual([])
  })
})

it('a route tells which questions change it', () => {
  const pendant = KITS.find(({ id }) => id === 'tab-pendant')
  expect(schoolsIn(pendant?.steps ?? '')).toEqual(['S11', 'S12', 'S14', 'S39', 'S42', 'S44'])
})
