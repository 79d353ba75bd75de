import { describe, expect, it } from 'vitest'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { askedOutlines } from './asked-outlines'
import { onePart } from './design'
import { planPiece } from './plan-piece'

const metal = { alloy: 'copper-c110', thicknessMm: 1 }
const outlinesOf = (form: string, input: object) =>
  askedOutlines(planPiece(onePart({ form, inputVersion: 1, input: { ...metal, ...input } })))
const across = (outer: Parameters<typeof boundsOf>[0]) => boundsOf(outer).maxX - boundsOf(outer).minX

describe('the outlines a part should have', () => {
  it('of a flat disc: its diameter finished, and what is left for the file on its blank', () => {
    const [finished, blank] = outlinesOf('disc', { diameterMm: 30, cleanUpMm: 0.25 })
    expect([finished?.as, blank?.as]).toEqual(['finished', 'blank'])
    expect(across(finished?.region.outer ?? [])).toBeCloseTo(30, 1)
    expect(across(blank?.region.outer ?? [])).toBeCloseTo(30.5, 1)
  })
  it('of a ring seen from above: round its outside, π/4·(d + 2·t)² (closed form)', () => {
    const [finished] = outlinesOf('ring-band', { insideDiameterMm: 17, widthMm: 4 })
    expect(netAreaMm2(finished?.region.outer ?? []) / ((Math.PI / 4) * 19 ** 2)).toBeCloseTo(1, 2)
  })
  it('of a part without its sizes: none', () => expect(outlinesOf('disc', {})).toEqual([]))
})
