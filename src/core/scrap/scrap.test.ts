import { describe, expect, it } from 'vitest'
import { jarHolds, mixingFault } from './jar'
import { refiningSlip } from './refining'

const clean = { alloy: 'sterling-925', kind: 'clean' } as const
const put = (massG: number, metal: object = clean) => ({ ...clean, ...metal, does: 'put-in' as const, massG })

describe('a jar', () => {
  it('holds what was put in since it was last weighed or sent', () => {
    expect(jarHolds(clean, [put(3), put(2.5)])).toEqual({ massG: 5.5, isMixed: false })
    const weighed = { ...clean, does: 'weighed' as const, massG: 5.2 }
    expect(jarHolds(clean, [put(3), put(2.5), weighed, put(1)]).massG).toBeCloseTo(6.2, 9)
    const sent = { ...clean, does: 'sent' as const, massG: 6.2 }
    expect(jarHolds(clean, [put(3), weighed, sent, put(0.4)])).toEqual({ massG: 0.4, isMixed: false })
  })

  it('says why other metal does not belong in it, and remembers that it went in until it is emptied', () => {
    expect(mixingFault(clean, { alloy: 'copper-c110', kind: 'clean' })).toContain('neither can be melted')
    expect(mixingFault(clean, { ...clean, kind: 'soldered' })).toContain('solder')
    expect(mixingFault({ ...clean, kind: 'soldered' }, clean)).toBeUndefined()
    expect(mixingFault({ ...clean, kind: 'filings' }, { ...clean, kind: 'soldered' })).toBeUndefined()
    const mixed = [put(3), put(1, { alloy: 'copper-c110' })]
    expect(jarHolds(clean, mixed)).toEqual({ massG: 4, isMixed: true })
    expect(jarHolds(clean, [...mixed, { ...clean, does: 'sent', massG: 4 }, put(1)]).isMixed).toBe(false)
  })
})

describe('a refining slip', () => {
  it('counts the fine metal by fineness and what is paid for it, by hand', () => {
    const figures = { 'price-fine-silver': 1.2, 'refine-return': 0.9, 'price-red-brass-c230': 0.02 }
    const slip = refiningSlip(
      [
        { ...clean, massG: 40, isMixed: false },
        { alloy: 'red-brass-c230', kind: 'filings', massG: 100, isMixed: false },
        { alloy: 'fine-silver', kind: 'clean', massG: 0, isMixed: false },
      ],
      figures,
    )
    expect(slip.lines).toHaveLength(2)
    // 40 g at 925 ‰ are 37 g fine; at 1.20 and nine tenths of it
    expect(slip.lines[0]).toMatchObject({ perMille: 925, fineG: 37 })
    expect(slip.lines[0]?.value).toBeCloseTo(39.96, 9)
    expect(slip.lines[1]?.perMille).toBeUndefined()
    expect(slip.lines[1]?.value).toBeCloseTo(1.8, 9)
    expect(slip.lines[1]?.note).toContain('magnet')
    expect(slip.value).toBeCloseTo(41.76, 9)
    expect(slip.massG).toBe(140)
    expect(slip.working.map(({ value }) => value)).toEqual(slip.lines.map(({ value }) => value))
  })
})
