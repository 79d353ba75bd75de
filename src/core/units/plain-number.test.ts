import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { parseSize } from '../sizes/parse-size'
import { isGrouped, readPlainNumber } from './plain-number'

describe('a plain number', () => {
  it.each([
    ['12', 12],
    ['0.8', 0.8],
    ['0,8', 0.8],
    [' −1.5 ', -1.5],
    ['.5', 0.5],
    ['5.', 5],
    ['0,800', 0.8],
  ])('%s is %f', (text, value) => expect(readPlainNumber(text)).toBe(value))
  it.each(['', ' ', '0x10', '1e3', 'Infinity', 'NaN', '1,000', '12,500', '1 000', '1.2.3', 'twelve', '--1', '0b11'])(
    '"%s" is none',
    (text) => expect(readPlainNumber(text)).toBeNaN(),
  )
  it.each([
    ['1,000', true],
    ['12,500', true],
    ['1,234,567', true],
    ['0,800', false],
    ['1,00', false],
    ['1,0000', false],
    ['1000', false],
  ])('%s may be grouped: %s', (text, grouped) => expect(isGrouped(text)).toBe(grouped))
})

describe('what is asked, not guessed', () => {
  it('1,000 may be one or a thousand', () => {
    expect(parseSize('1,000')).toMatchObject({ kind: 'ambiguous', candidates: [{ mm: 1000 }, { mm: 1 }] })
    expect(parseSize('1,250 mm')).toMatchObject({ kind: 'ambiguous', question: 'Is 1,250 mm 1250 or 1.250? Write "1250 mm" or "1.250 mm"' })
    expect(parseSize('0,8')).toMatchObject({ mm: 0.8 })
    expect(parseSize('1,25')).toMatchObject({ mm: 1.25 })
  })
  it('0/0 is no size at all, with any gauge in mind', () => {
    for (const context of [{}, { gaugeSystem: 'B&S' }, { expects: 'length' }, { expects: 'thickness', gaugeSystem: 'B&S' }] as const)
      expect(parseSize('0/0', context)).toMatchObject({ kind: 'unknown', message: expect.stringContaining('divides by zero') })
  })
})

describe.each(FORMS.map((form) => [form.id, form] as const))('%s guesses nothing', (_, form) => {
  const lengths = form.fields.flatMap((field) => (field.kind === 'number' && field.meta.size ? [field.name] : []))
  it.each(['0/0', '1,000', '0x10', '1e400'])('from %s in any length', (text) => {
    for (const name of lengths) expect(form.run({ ...form.example, [name]: text }).ok, name).toBe(false)
  })
  it('from a quantity that is no plain number', () => {
    for (const qty of ['0x10', '1e1', '1,000', ' ', 'ten']) expect(form.run({ ...form.example, qty }).ok, qty).toBe(false)
  })
})
