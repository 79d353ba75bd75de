import { describe, expect, it } from 'vitest'
import { markSchema } from '../marks'
import { onePart } from './design'
import { markedParts, marksQuestion, missingSteps, withWork } from './marked-parts'
import { planPiece } from './plan-piece'

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
    expect(disc && missingSteps({ ...disc, ops: ['saw', 'sand'] })).toEqual(['letter'])
    expect(disc && missingSteps({ ...disc, ops: ['saw', 'stamp'] })).toEqual([])
  })
  it('lose what is taken off, and leave no trace of it in the design', () => {
    const design = onePart({ form: 'disc', inputVersion: 1, input: copper })
    const marked = withWork(design, 'part-1', { marks: [letters] })
    expect(withWork(marked, 'part-1', { marks: [] })).toEqual(design)
  })
})
