import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import type { AlloyId } from '../metals/alloys'
import { onePart } from './design'
import { planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'
import { stressedParts } from './season-cracks'

/** A cuff bent once and worn so, with what is done to it after. */
function stressedOf(alloy: AlloyId, last: 'stress-relief' | 'anneal' | undefined) {
  const form = FORMS.find(({ id }) => id === 'cuff')
  if (!form) throw new Error('cuff')
  const design = onePart({
    form: 'cuff',
    inputVersion: form.inputVersion,
    input: { ...form.example, alloy, thicknessMm: 3 },
    bought: 'annealed',
  })
  const plan = planPiece(design)
  const on = [{ thing: plan.parts[0]?.id ?? '' }]
  const bent = plan.assembly.steps.filter(({ op }) => op !== 'anneal')
  const planished = { op: 'planish', on, params: { thinnedFraction: 0.1 } }
  const steps = [...bent, planished, ...(last ? [{ op: last, on, params: {} }] : [])]
  return stressedParts(routeTemper({ ...plan.assembly, steps }, metalsOf(plan)), metalsOf(plan))
}

describe('metal that is formed last and left stressed', () => {
  it('of yellow brass and nickel silver is told, of red brass as a border, of copper and silver not (handbook, medium)', () => {
    expect(stressedOf('yellow-brass-c260', undefined)[0]?.isProne).toBe(true)
    expect(stressedOf('nickel-silver-c752', undefined)[0]?.isProne).toBe(true)
    expect(stressedOf('red-brass-c230', undefined)[0]?.isProne).toBe(false)
    expect(stressedOf('copper-c110', undefined)).toEqual([])
    expect(stressedOf('sterling-925', undefined)).toEqual([])
  })
  it('that is relieved or annealed after its last forming is not', () => {
    expect(stressedOf('yellow-brass-c260', 'stress-relief')).toEqual([])
    expect(stressedOf('yellow-brass-c260', 'anneal')).toEqual([])
  })
})
