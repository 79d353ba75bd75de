import { describe, expect, it } from 'vitest'
import { findForm } from '../forms/registry'
import { KITS } from '../kits/registry'
import { ALLOYS } from '../metals/alloys'
import { SOLDERS } from '../metals/solders'
import { designFromKit } from './from-kit'
import { planPiece } from './plan-piece'
import { torchBook } from './torch'
import { wordsOf } from './words'

const BENCH = { tools: [], torchW: 150, flux: 'white-paste' } as const

function sized(id: string) {
  const kit = KITS.find((one) => one.id === id)
  if (!kit) throw new Error(id)
  const open = designFromKit(kit)
  return planPiece({ ...open, parts: open.parts.map((part) => ({ ...part, input: { ...findForm(part.form)?.example, ...part.input } })) })
}

describe.each(KITS.map((kit) => [kit.id] as const))('the heats of %s', (id) => {
  const plan = sized(id)
  const book = torchBook(plan, BENCH)
  it('one card for each heat that joins, in the order of the route', () => {
    const joining = plan.steps.flatMap(({ op }, i) => (['solder', 'fuse'].includes(op) ? [i] : []))
    for (const { step } of book.heats) expect(joining).toContain(step)
    expect(book.heats.map(({ step }) => step)).toEqual([...book.heats.map(({ step }) => step)].sort((a, b) => a - b))
  })
  it('the solder on the card, at the bench and in the ledger of the metal is one and the same', () => {
    for (const { step, solders } of book.heats) {
      const route = plan.steps[step]
      if (!route || solders.length === 0) continue
      const highest = [...solders].sort((a, b) => SOLDERS[b].liquidusC - SOLDERS[a].liquidusC)[0]
      expect(route.params.solder).toBe(highest)
      const said = wordsOf(route, plan.parts[0]?.metal)
        .facts.map(({ value }) => value)
        .join(' ')
      expect(said).toContain(`${SOLDERS[highest ?? 'hard-75'].liquidusC}`)
    }
  })
  it('the flame goes to what takes half as much heat again as the rest, and parts are called by their names', () => {
    for (const { plan: heat, names } of book.heats) {
      const takes = (parts: readonly string[]) =>
        plan.assembly.parts
          .filter((part) => parts.includes(part.id))
          .reduce((sum, { massG = 0, alloy }) => sum + massG * (alloy ? ALLOYS[alloy].specificHeatJPerKgK : 0), 0)
      if (heat.heavy.length > 0) expect(takes(heat.heavy)).toBeGreaterThan(1.5 * takes(heat.light))
      for (const part of [...heat.heavy, ...heat.light]) expect(heat.say).toContain(names.get(part))
    }
  })
  it('what is looked for comes in the order it gets hot', () => {
    for (const { cues } of book.heats) {
      const temps = cues.map(({ atC }) => atC)
      expect(temps).toEqual([...temps].sort((a, b) => a - b))
    }
  })
  it('no solder flows where a metal in its heat has melted, and none that it reaches is left to chance in words', () => {
    for (const { joints, plan: heat, names } of book.heats)
      for (const { metals, reaches } of joints) {
        for (const { marginC } of metals) expect(marginC).toBeGreaterThan(-60)
        for (const { joint } of reaches) expect(heat.warnings.join(' ')).toContain(names.get(joint))
      }
  })
})

it('a joint that names no solder gets one of those that hang on the wall', () => {
  const kit = KITS.find(({ id }) => id === 'bezel-pendant-balls')
  if (!kit) throw new Error('no kit')
  const open = designFromKit(kit)
  const unsaid = { ...open, joints: open.joints.map(({ solder: _, ...joint }) => joint) }
  const tools = [{ kind: 'solder', label: 'the only one', nominal: 718, facts: {} }] as never
  const plan = planPiece(unsaid, { tools })
  expect([...new Set(plan.assembly.joints.flatMap(({ solder }) => solder ?? []))]).toEqual(['easy-65'])
})
