import { describe, expect, it } from 'vitest'
import { etchChoices, etchPlan } from '../etching'
import { markSchema } from '../marks'
import { onePart } from './design'
import { etchQuestion, etchSteps, markedParts, markSteps, marksQuestion } from './marked-parts'
import { planPiece } from './plan-piece'
import { lackingOnRoute } from './put-on-route'
import { withWork } from './with-work'

const letters = markSchema.parse({ kind: 'letters', text: 'MAIL', heightMm: 2 })
const planned = (form: string, input: Record<string, unknown>) => {
  const design = withWork(onePart({ form, inputVersion: 1, input }), 'part-1', { marks: [letters] })
  return markedParts(design, planPiece(design, {}))
}
const copper = { alloy: 'copper-c110', thicknessMm: 0.9 }

describe('parts that can be marked', () => {
  it('are those of sheet, with what the route makes of them afterwards', () => {
    const [dome] = planned('dome', { ...copper, widthMm: 22, heightMm: 6 })
    expect(dome?.after?.kind).toBe('dome')
    const [ring] = planned('ring-band', { ...copper, insideDiameterMm: 18, widthMm: 5 })
    expect(ring?.after).toMatchObject({ kind: 'bend', insideDiameterMm: 18 })
    const [disc] = planned('disc', { ...copper, diameterMm: 20 })
    expect(disc?.after).toBeUndefined()
    expect(disc && marksQuestion(disc, { owned: [], figures: {} }).marks).toEqual([letters])
  })
  it('say which step their route does not have for it', () => {
    const [disc] = planned('disc', { ...copper, diameterMm: 20 })
    if (!disc) throw new Error('no disc')
    const done = (...ops: string[]) => ops.map((op) => ({ op, on: [{ thing: 'part-1' }], params: {} }))
    const lacking = (...ops: string[]) => {
      const part = { ...disc, steps: done(...ops) }
      return lackingOnRoute(part, 'part-1', markSteps(part)).map(({ op }) => op)
    }
    expect(lacking('saw', 'sand')).toEqual(['letter'])
    expect(lacking('saw', 'stamp')).toEqual([])
  })
  it('ask for the depth, the current and the minutes of their etch, by what was etched in such a bath', () => {
    const etch = etchChoices.parse({ depthMm: 0.2, bath: 'copper-sulphate' })
    const [disc] = planned('disc', { ...copper, diameterMm: 20 })
    if (!disc) throw new Error('no disc')
    const steps = (...runs: Parameters<typeof etchQuestion>[1]) => {
      const asked = etchQuestion({ ...disc, etch }, runs)
      return etchSteps({ etch }, asked && etchPlan(asked)).find(({ op }) => op === 'etch')?.params
    }
    const byLaw = steps()
    expect(byLaw).toMatchObject({ depthMm: 0.2 })
    const run = { bath: 'copper-sulphate', alloy: 'copper-c110', areaMm2: 1000, currentA: 1, minutes: 60, depthMm: 0.0663 } as const
    // 10 A/dm² on copper is 2.21 µm a minute, 0.1326 mm in an hour: half of it was measured, so it takes twice as long
    expect(Number(steps(run)?.minutes) / Number(byLaw?.minutes)).toBeCloseTo(2, 1)
    expect(steps({ ...run, alloy: 'bronze-c220' }, { ...run, bath: 'salt' })).toEqual(byLaw)
  })
  it('ask for their resist, their edges and their back as they are chosen, in order', () => {
    const [disc] = planned('disc', { ...copper, diameterMm: 20 })
    if (!disc) throw new Error('no disc')
    const ops = (choices: Record<string, unknown>) => {
      const etch = etchChoices.parse({ depthMm: 0.2, ...choices })
      const asked = etchQuestion({ ...disc, etch }, [])
      return etchSteps({ etch }, asked && etchPlan(asked)).map(({ op }) => op)
    }
    expect(ops({})).toEqual([
      'transfer-resist',
      'rub-paper',
      'touch-up-resist',
      'seal-edges',
      'tape-back',
      'etch',
      'untape',
      'strip-resist',
    ])
    expect(ops({ resist: 'painted', edges: 'bare', bothSides: true })).toEqual(['touch-up-resist', 'etch', 'strip-resist'])
  })
  it('lose what is taken off, and leave no trace of it in the design', () => {
    const design = onePart({ form: 'disc', inputVersion: 1, input: copper })
    const marked = withWork(design, 'part-1', { marks: [letters] })
    expect(withWork(marked, 'part-1', { marks: [] })).toEqual(design)
  })
})
