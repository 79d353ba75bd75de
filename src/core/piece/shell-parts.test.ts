import { describe, expect, it } from 'vitest'
import { addStep, wantedOf, withRoute } from './change-route'
import { onePart } from './design'
import { planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'
import { isShelled, shellParts } from './shell-parts'

const die = (methods: object = {}) =>
  onePart({
    form: 'die-blank',
    inputVersion: 1,
    input: { lengthMm: 34, widthMm: 22, depthMm: 6, thicknessMm: 0.8, alloy: 'copper-c110', ...methods },
    bought: 'annealed',
  })
const DISC = onePart({ form: 'disc', inputVersion: 1, input: { diameterMm: 90, thicknessMm: 1, alloy: 'copper-c110' }, bought: 'annealed' })

/** A disc worked by these steps after it is cut. */
function discWith(steps: readonly { readonly op: string; readonly params?: Readonly<Record<string, unknown>> }[]) {
  const plan = planPiece(DISC)
  const on = [{ thing: plan.parts[0]?.id ?? '' }]
  const first = plan.steps.findIndex(({ op }) => op === 'finish')
  const wanted = steps.reduce((own, step, i) => addStep(own, first + i, { id: `${step.op}+${i}`, on, ...step }), wantedOf(plan, DISC))
  return planPiece(withRoute(DISC, plan, wanted))
}
const walkOf = (plan: ReturnType<typeof planPiece>) => routeTemper(plan.assembly, metalsOf(plan)).parts[0]?.walk.steps ?? []

describe('parts that are pressed, sunk or raised', () => {
  it('are found by the steps of their route that have their sizes, and other pieces have none', () => {
    expect(shellParts(planPiece(die())).map(({ stages }) => stages.map(({ way }) => way))).toEqual([['held']])
    expect([isShelled(planPiece(DISC)), shellParts(planPiece(DISC))]).toEqual([false, []])
    expect(isShelled(discWith([{ op: 'sink' }]))).toBe(false)
  })
  it('pressed, are as thick at the crown as the ledger of the metal has them: one prediction', () => {
    const plan = planPiece(die())
    const pressed = walkOf(plan).find(({ op }) => op === 'press-die')
    const [stage] = shellParts(plan)[0]?.stages ?? []
    expect(stage?.profile[0]?.thicknessMm).toBeCloseTo(pressed?.regions.find(({ region }) => region === 'impression')?.thicknessMm ?? 0, 9)
    expect(stage?.state.workUsedFraction).toBeCloseTo(pressed?.workUsedFraction ?? 0, 9)
  })
  it('sunk deeper in two steps use what one step to the same depth uses, but for an anneal between them', () => {
    const sink = (heightMm: number) => ({ op: 'sink', params: { discMm: 90, heightMm } })
    const [once, twice, annealed] = [[sink(20)], [sink(10), sink(20)], [sink(10), { op: 'anneal', params: {} }, sink(20)]].map(
      (steps) => shellParts(discWith(steps))[0]?.stages ?? [],
    )
    expect(twice?.map(({ way }) => way)).toEqual(['sunk', 'sunk'])
    // which place is the hardest may change on the way: by as much they may differ
    expect((twice?.at(-1)?.state.workUsedFraction ?? 0) / (once?.[0]?.state.workUsedFraction ?? 1)).toBeCloseTo(1, 0.6)
    expect(annealed?.map(({ annealBefore }) => annealBefore)).toEqual([false, true])
    expect(annealed?.at(-1)?.state.workUsedFraction).toBeLessThan(twice?.at(-1)?.state.workUsedFraction ?? 0)
    expect(twice?.at(-1)?.profile[0]?.zMm).toBeCloseTo(20, 6)
    expect(twice?.at(-1)?.profile[0]?.thicknessMm).toBeLessThan(twice?.[0]?.profile[0]?.thicknessMm ?? 0)
  })
  it('raised in courses close from the disc they began as, and thicken', () => {
    const raise = (fromMm: number, toMm: number) => ({ op: 'raise', params: { fromMm, toMm } })
    const stages = shellParts(discWith([raise(90, 84), raise(84, 78)]))[0]?.stages ?? []
    expect(stages.map(({ profile }) => 2 * (profile.at(-1)?.rMm ?? 0))).toEqual([84, 78])
    expect(stages[1]?.profile.at(-1)?.thicknessMm).toBeCloseTo(Math.sqrt(90 / 78), 9)
    expect(stages[1]?.state.workUsedFraction).toBeGreaterThan(stages[0]?.state.workUsedFraction ?? 1)
  })
})
