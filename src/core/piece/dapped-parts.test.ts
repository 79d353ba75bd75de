import { describe, expect, it } from 'vitest'
import { answerDap } from '../forming/dapping/compare-dap'
import { FORMS } from '../forms/registry'
import { ALLOYS } from '../metals/alloys'
import { dappedParts, dapQuestion } from './dapped-parts'
import { onePart } from './design'
import { planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'

function planOf(id: string, bought: 'annealed' | 'hard' = 'annealed', more: Record<string, unknown> = {}) {
  const form = FORMS.find((one) => one.id === id)
  if (!form) throw new Error(`no form ${id}`)
  return planPiece(onePart({ form: id, inputVersion: form.inputVersion, input: { ...form.example, ...more }, bought }))
}

describe('the parts of a piece that are dapped', () => {
  it.each(['dome', 'dome-cup', 'dome-notched', 'bead', 'lentil'])(
    '%s: its disc, and its punches large to small as its route has them',
    (id) => {
      const plan = planOf(id)
      const [part] = dappedParts(plan)
      const punches = part?.stages.map(({ punchMm }) => punchMm) ?? []
      expect(punches.length).toBeGreaterThan(0)
      expect([...punches].sort((a, b) => b - a)).toEqual(punches)
      const across = plan.parts[0]?.result?.blanks[0]?.outline.map(([x]) => x) ?? []
      expect(Math.abs((part?.discMm ?? 0) - (Math.max(...across) - Math.min(...across)))).toBeLessThan(1)
    },
  )
  it.each(['ring-band', 'disc', 'plate', 'cuff'])('%s has none', (id) => expect(dappedParts(planOf(id))).toEqual([]))
  it('know where the route anneals them', () => {
    expect(dappedParts(planOf('dome'))[0]?.stages[0]?.annealBefore).toBe(true)
    expect(dappedParts(planOf('dome', 'hard'))[0]?.strain).toBeGreaterThan(0.5)
  })
  it('come out as high as the route aims for, within what the method is trusted for', () => {
    const plan = planOf('dome')
    const [part] = dappedParts(plan)
    if (!part) throw new Error('no dome')
    const { stages } = answerDap({ ...part, alloy: ALLOYS[part.alloy], friction: 0 })
    const last = plan.steps.findLast(({ op }) => op === 'dap')
    const outsideMm = (stages.at(-1)?.heightMm ?? 0) + part.thicknessMm / 2
    expect(Math.abs(outsideMm / (last?.target?.valueMm ?? 1) - 1)).toBeLessThan(0.08)
  })
  it.each(['dome', 'dome-cup', 'dome-notched', 'bead', 'lentil'])(
    '%s: the ribbon and the simulation say the same of its metal, punch by punch',
    (id) => {
      const plan = planOf(id)
      const [part] = dappedParts(plan)
      const [walk] = routeTemper(plan.assembly, metalsOf(plan)).parts
      if (!part || !walk) throw new Error('no dome')
      const { stages } = answerDap(dapQuestion(part))
      const afterPunch = walk.walk.steps.filter(({ op }, i) => op === 'dap' && walk.walk.steps[i + 1]?.op !== 'dap')
      const last = afterPunch.at(-1)
      const simulated = stages.at(-1)
      const surface = { crown: simulated?.pole, middle: simulated?.middle, rim: simulated?.rim } as const
      for (const region of last?.regions ?? []) {
        const spot = surface[region.region as keyof typeof surface]
        expect(Math.abs(region.strain - (spot?.surfaceStrain ?? 9)), region.region).toBeLessThan(0.03)
        expect(Math.abs(region.workUsedFraction - (spot?.workUsedFraction ?? 9)), region.region).toBeLessThan(0.03)
        expect(Math.abs(region.thicknessMm / (spot?.thicknessMm ?? 9) - 1), region.region).toBeLessThan(0.01)
      }
    },
  )
  it('of hard sheet are advised an anneal first; with it nothing is red', () => {
    const [part] = dappedParts(planOf('dome', 'hard', { alloy: 'sterling-925' }))
    if (!part) throw new Error('no dome')
    const question = { ...part, alloy: ALLOYS[part.alloy], friction: 0 }
    const cold = answerDap({ ...question, stages: part.stages.map(({ punchMm }) => ({ punchMm, annealBefore: false })) })
    expect(cold.annealBefore).toContain(0)
    const soft = answerDap({
      ...question,
      stages: part.stages.map(({ punchMm }, i) => ({ punchMm, annealBefore: cold.annealBefore.includes(i) })),
    })
    expect(soft.stages.every(({ pole, rim }) => pole.light !== 'red' && rim.light !== 'red')).toBe(true)
  })
})
