import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { curledParts, curlOf, isCurled } from './curled-parts'
import { onePart } from './design'
import { planPiece } from './plan-piece'

function planOf(id: string) {
  const form = FORMS.find((one) => one.id === id)
  if (!form) throw new Error(id)
  return planPiece(onePart({ form: id, inputVersion: form.inputVersion, input: { ...form.example, roundUpMm: 0.01 }, bought: 'annealed' }))
}

describe('the parts of a piece that are curled to a tube', () => {
  const plan = planOf('bangle-hollow')
  const [part] = curledParts(plan)
  it('are the strip of a hollow bangle, and nothing of a cuff or a dome', () => {
    expect(part?.stripMm).toBe(12)
    for (const id of ['cuff', 'dome', 'ring-band']) {
      expect(isCurled(planOf(id))).toBe(false)
      expect(curledParts(planOf(id))).toEqual([])
    }
  })
  it('closed, have the bore that the form says the bangle comes out at: one prediction', () => {
    if (!part) throw new Error('no strip')
    const closed = curlOf(part, 2 * Math.PI, 'mean-kept')
    const asked = plan.parts[0]?.result?.outcomes.find(({ dimension }) => dimension === 'insideDiameterMm')?.valueMm ?? 0
    expect(part.insideMm - 2 * closed.waistInMm).toBeCloseTo(asked, 2)
  })
  it('lose more of their bore the further they are turned, least where only the edges stretch', () => {
    if (!part) throw new Error('no strip')
    const lost = [1, 3, 6].map((turn) => curlOf(part, turn, 'mean-kept').waistInMm)
    expect([...lost].sort((a, b) => a - b)).toEqual(lost)
    expect(curlOf(part, 3, 'edges-stretched').waistInMm).toBe(0)
  })
})
