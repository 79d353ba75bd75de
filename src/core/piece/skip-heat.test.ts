import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { onePart } from './design'
import { planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'
import { skipHeat, skipWords } from './skip-heat'

const planOf = (id: string, bought: 'annealed' | 'half-hard' | 'hard') => {
  const form = FORMS.find((one) => one.id === id)
  if (!form) throw new Error(id)
  return planPiece(onePart({ form: id, inputVersion: form.inputVersion, input: form.example, bought }))
}
const firstAnneal = (plan: ReturnType<typeof planOf>) => plan.assembly.steps.findIndex(({ op }) => op === 'anneal')

describe('an anneal left out', () => {
  it('is the route walked without it, and asks nothing else of it', () => {
    for (const bought of ['annealed', 'half-hard', 'hard'] as const) {
      const plan = planOf('ring-band', bought)
      const metals = metalsOf(plan)
      const at = firstAnneal(plan)
      const steps = plan.assembly.steps.filter((_, i) => i !== at)
      const walked = routeTemper({ ...plan.assembly, steps }, metals).steps.map(({ strain }) => strain)
      const { without } = skipHeat(plan.assembly, metals, at)
      expect(without.slice(0, at + 1).every((state) => state === null)).toBe(true)
      expect(without.slice(at + 1).map((state) => state?.strain)).toEqual(walked.slice(at))
    }
  })
  it('of hard stock is told where it is worst, before the solder softens it anyhow', () => {
    const plan = planOf('ring-band', 'hard')
    const skipped = skipHeat(plan.assembly, metalsOf(plan), firstAnneal(plan))
    const solder = plan.assembly.steps.findIndex(({ op }) => op === 'solder')
    expect(skipped.worst?.step).toBeLessThan(solder)
    expect(plan.assembly.steps[skipped.worst?.step ?? 0]?.op).toBe('bend')
    const words = skipWords(skipped)
    expect(words).toMatch(/^Without it, at “Bend it round” \d+ % of what the metal can take would be used, with it \d+ %/)
    expect(words).toContain('it pushes back')
  })
  it('of stock bought soft changes nothing, and says so', () => {
    const plan = planOf('ring-band', 'annealed')
    expect(skipWords(skipHeat(plan.assembly, metalsOf(plan), firstAnneal(plan)))).toMatch(/here it may be left out/)
  })
})
