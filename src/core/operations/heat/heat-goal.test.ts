import { describe, expect, it } from 'vitest'
import { ALLOYS, findAlloy } from '../../metals/alloys'
import { findOperation, OPERATIONS } from '../catalogue'
import { heatGoalOf } from './heat-goal'

const alloyOf = (id: string) => {
  const alloy = findAlloy(id)
  if (!alloy) throw new Error(id)
  return alloy
}

describe('what a thermometer is watched for', () => {
  it.each(Object.keys(ALLOYS))('annealing %s: the same heat and time as the words of the step say, well under its solidus', (id) => {
    const alloy = alloyOf(id)
    const goal = heatGoalOf('anneal', {}, alloy)
    const read = findOperation('anneal')?.read({})
    if (!goal || !read?.ok) throw new Error('no anneal')
    const { say, facts } = read.step.words({ alloy, thicknessMm: 1 } as never)
    expect(facts?.find(({ label }) => label === 'Aim for')?.value).toBe(`${goal.targetC} °C, ± ${goal.withinC}`)
    const [, figure, unit] = /for (\d+) (seconds|minutes)/.exec(say) ?? []
    expect(Math.round(goal.holdS / (unit === 'minutes' ? 60 : 1))).toBe(Number(figure))
    expect(goal.targetC + goal.withinC).toBeLessThan(goal.limitC)
  })
  it('takes what was asked for at the step', () => {
    const silver = alloyOf('sterling-925')
    expect(heatGoalOf('anneal', { tempC: 620, timeS: 90 }, silver)).toMatchObject({ targetC: 620, holdS: 90, by: 'torch' })
    expect(heatGoalOf('age-harden', {}, silver)).toMatchObject({ targetC: 300, holdS: 2700, by: 'kiln' })
    expect(heatGoalOf('age-harden', { tempC: 280, timeS: 3600 }, silver)).toMatchObject({ targetC: 280, holdS: 3600 })
    expect(heatGoalOf('stress-relief', {}, alloyOf('yellow-brass-c260'))).toMatchObject({ targetC: 250, holdS: 1800 })
  })
  it('is the usual heat where what was stored cannot be read', () => {
    const silver = alloyOf('sterling-925')
    expect(heatGoalOf('age-harden', { tempC: 'hot' }, silver)).toEqual(heatGoalOf('age-harden', {}, silver))
    expect(heatGoalOf('anneal', { tempC: 9000 }, silver)).toEqual(heatGoalOf('anneal', {}, silver))
  })
  it('is none where no temperature is asked for', () => {
    const asked = OPERATIONS.filter(({ id }) => heatGoalOf(id, {}, alloyOf('copper-c110')))
    expect(asked.map(({ id }) => id).sort()).toEqual(['age-harden', 'anneal', 'stress-relief'])
  })
})
