import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { ALLOY_IDS, type AlloyId, type BoughtTemper } from '../metals'
import { onePart } from './design'
import { planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'
import { stiffSteps } from './stiff-steps'

/** The usual route of a form with its anneals left out: a smith who goes straight to the punch. */
function stiffOf(id: string, alloy: AlloyId, bought: BoughtTemper) {
  const form = FORMS.find((one) => one.id === id)
  if (!form) throw new Error(id)
  const plan = planPiece(onePart({ form: id, inputVersion: form.inputVersion, input: { ...form.example, alloy }, bought }))
  const steps = plan.assembly.steps.filter(({ op }) => op !== 'anneal')
  return { steps, found: stiffSteps(routeTemper({ ...plan.assembly, steps }, metalsOf(plan))) }
}

describe('metal too stiff to be domed by hand (common practice, no source)', () => {
  it('is hard sheet of every metal but aluminium, which hardens little, at its first punch, and never sheet bought annealed', () => {
    for (const alloy of ALLOY_IDS.filter((id) => id !== 'gold-14k' && !id.startsWith('aluminium'))) {
      const hard = stiffOf('dome', alloy, 'hard')
      expect(hard.found, alloy).toHaveLength(1)
      expect(hard.steps[hard.found[0]?.step ?? 0]?.op).toBe('dap')
      expect(hard.steps.slice(0, hard.found[0]?.step).some(({ op }) => op === 'dap')).toBe(false)
      expect(stiffOf('dome', alloy, 'annealed').found, alloy).toEqual([])
    }
  })
  it('asks nothing of a ring, which its own rules ask', () => expect(stiffOf('ring-band', 'sterling-925', 'hard').found).toEqual([]))
})
