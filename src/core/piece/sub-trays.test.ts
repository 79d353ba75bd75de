import { describe, expect, it } from 'vitest'
import { KITS } from '../kits/registry'
import { trayProgress } from '../logbook/progress'
import { seededRandom } from '../numerics/random'
import { checkRoute } from '../rules/check'
import { designFromKit } from './from-kit'
import { planPiece } from './plan-piece'
import { subTraysOf } from './sub-trays'

const planned = KITS.map((kit) => {
  const { assembly } = planPiece(designFromKit(kit))
  const subTrays = subTraysOf(assembly)
  const steps = assembly.steps.map((_, i) => ({ id: String(i), together: true, subTray: subTrays[i] }))
  return { kit, assembly, steps }
})

/** One of the orders in which the sub-trays of a route may be worked. */
function anOrder(steps: (typeof planned)[number]['steps'], random: () => number): number[] {
  const order: number[] = []
  while (order.length < steps.length) {
    const done = order.map((i) => ({ stepId: String(i), workpiece: null, kind: 'done' }))
    const { open } = trayProgress(1, steps, done)
    order.push(open[Math.floor(random() * open.length)] ?? -1)
  }
  return order
}

describe.each(planned.map((one) => [one.kit.id, one] as const))('the sub-trays of %s', (_, { assembly, steps }) => {
  it('may be worked in any order that keeps their meetings: no rule is broken by it', () => {
    const random = seededRandom(7)
    for (let round = 0; round < 12; round++) {
      const order = anOrder(steps, random)
      expect([...order].sort((a, b) => a - b)).toEqual(steps.map((_, i) => i))
      const asWorked = { ...assembly, steps: order.flatMap((i) => assembly.steps[i] ?? []) }
      const said = checkRoute(asWorked).findings.filter(({ level }) => level !== 'note')
      expect(said.map(({ rule, steps: at }) => `${rule} at ${at.map((i) => `${asWorked.steps[i]?.op}`)}`)).toEqual([])
    }
  })
  it('are one when all is joined: the last step of a piece of parts joined waits for every step before it', () => {
    const last = steps.at(-1)
    const done = steps.slice(0, -1).map(({ id }) => ({ stepId: id, workpiece: null, kind: 'done' }))
    expect(trayProgress(1, steps, done)).toMatchObject({ stepIndex: steps.length - 1, open: [steps.length - 1] })
    expect(last?.subTray?.length).toBeGreaterThan(0)
  })
})
