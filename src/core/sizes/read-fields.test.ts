import { describe, expect, it } from 'vitest'
import * as z from 'zod'
import { choice, count, lengthMm, ringDiameterMm, thicknessMm } from '../units/fields'
import { readChecked } from './read-fields'

const schema = z.strictObject({
  insideMm: ringDiameterMm({ label: 'Inside', min: 10, max: 30 }),
  thicknessMm: thicknessMm({ label: 'Thickness', min: 0.05, max: 6 }),
  lengthMm: lengthMm({ label: 'Length', min: 1, max: 500 }).optional(),
  allowanceMm: lengthMm({ label: 'My allowance', min: -20, max: 20 }).default(0),
  stock: choice('Stock', { strip: 'Strip', wire: 'Wire' }).default('strip'),
  qty: count({ label: 'How many', min: 1, max: 50 }).default(1),
})
const GOOD = { insideMm: 17, thicknessMm: 1 }

function read(more: Record<string, unknown>, context = { gaugeSystem: 'B&S' } as Parameters<typeof readChecked>[2]) {
  return readChecked(schema, { ...GOOD, ...more }, context)
}
function data(more: Record<string, unknown>) {
  const found = read(more)
  if (!found.ok) throw new Error(JSON.stringify(found.issues))
  return found
}
function said(more: Record<string, unknown>, context?: Parameters<typeof readChecked>[2]) {
  const found = context ? readChecked(schema, { ...GOOD, ...more }, context) : read(more)
  return found.ok ? 'taken' : found.issues.map((issue) => `${issue.path} > ${issue.message}`).join('\n')
}

describe('fields as a smith types them', () => {
  it.each([
    [{ thicknessMm: '20 ga' }, 'thicknessMm', 0.812],
    [{ thicknessMm: '0,8' }, 'thicknessMm', 0.8],
    [{ lengthMm: '5/16 in' }, 'lengthMm', 7.9375],
    [{ insideMm: 'US 6' }, 'insideMm', 16.51],
    [{ insideMm: 'UK N½' }, 'insideMm', 17.308],
    [{ allowanceMm: '-0.4' }, 'allowanceMm', -0.4],
    [{ allowanceMm: '− 0,4' }, 'allowanceMm', -0.4],
    [{ allowanceMm: '+0.2' }, 'allowanceMm', 0.2],
    [{ qty: '12' }, 'qty', 12],
  ] as const)('%j', (more, name, mm) => expect(data(more).data[name]).toBeCloseTo(mm, 3))
  it('tells what was understood, in both units, and keeps what was typed', () =>
    expect(data({ thicknessMm: '20 ga' }).understood.thicknessMm).toEqual({
      typed: '20 ga',
      mm: expect.closeTo(0.8118, 4),
      how: '20 ga B&S: 0.812 mm, 0.0320 in',
    }))
  it('takes a size that was stored with what was typed, without reading it again', () => {
    const found = data({ lengthMm: { typed: 'an old spelling', mm: 12.5 } })
    expect(found.data.lengthMm).toBe(12.5)
    expect(found.understood.lengthMm?.typed).toBe('an old spelling')
  })
  it('fills what has a start value, and leaves out what may be left out', () =>
    expect(data({}).data).toEqual({ ...GOOD, allowanceMm: 0, stock: 'strip', qty: 1 }))
})

describe('what cannot be used', () => {
  it.each([
    [
      { thicknessMm: 'thin' },
      /^thicknessMm > Thickness: "thin" is not a size; write it as "0.8", "20 ga" or "1\/32 in"; allowed: 0.05 to 6 mm$/,
    ],
    [{ thicknessMm: 9 }, /^thicknessMm > Thickness: 9 was given; it can be 0.05 to 6 mm$/],
    [{ thicknessMm: undefined }, /^thicknessMm > Thickness: nothing was given/],
    [{ lengthMm: '-3' }, /^lengthMm > Length: -3 is below zero/],
    [{ insideMm: 'US 99' }, /^insideMm > Inside: US 99 is off the ring scale/],
    [{ stock: 'tube' }, /^stock > Stock: "tube" was given; it can be strip, wire$/],
    [{ qty: 1.5 }, /^qty > How many: 1.5 was given; it can be 1 to 50$/],
    [{ qty: 'a few' }, /^qty > How many: "a few" was given; it can be 1 to 50$/],
    [{ colour: 'red' }, /^colour > colour: no such field here; there are insideMm, thicknessMm, lengthMm, allowanceMm, stock, qty$/],
  ] as [Record<string, unknown>, RegExp][])('%j', (more, message) => expect(said(more)).toMatch(message))
  it('asks, with the sizes it could be, where a text is two', () =>
    expect(said({ thicknessMm: '18 ga' }, {})).toMatch(
      /^thicknessMm > Thickness: Which gauge\?.*It could be 18 ga B&S: 1\.024 mm.*18 ga SWG: 1\.219 mm/,
    ))
  it('names each field once, and all that are wrong together', () => {
    const found = read({ thicknessMm: 'x1', insideMm: 99, stock: 7 })
    expect(found.ok ? [] : found.issues.map((issue) => issue.path)).toEqual(['thicknessMm', 'insideMm', 'stock'])
  })
})
