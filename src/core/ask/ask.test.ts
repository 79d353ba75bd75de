import { describe, expect, it } from 'vitest'
import { type AskAnswer, answerAsk } from './ask'

function form(text: string): Extract<AskAnswer, { kind: 'form' }> {
  const answer = answerAsk(text, { ringSystem: 'US', alloy: 'sterling-925' })
  if (answer.kind !== 'form') throw new Error(`${text}: ${answer.kind}`)
  return answer
}

describe('the ask line', () => {
  it('reads a ring: size, gauge and metal in any order', () => {
    const first = form('ring 8 1/2 16ga sterling')
    expect(first.run?.ok && first.run.result.answer.value).toBeCloseTo(Math.PI * (18.542 + 1.2908), 1)
    for (const text of ['sterling 16ga ring 8 1/2', '16 ga ring sterling 8½'])
      expect(form(text).run).toMatchObject({ ok: true, result: { answer: { value: first.run?.ok ? first.run.result.answer.value : 0 } } })
  })
  it('reads a dome across and high, and a disc to weigh', () => {
    expect(form('dome 27 x 7 20ga copper').input).toMatchObject({ widthMm: '27', heightMm: '7', alloy: 'copper-c110' })
    const disc = form('disc 31 weight brass 18ga')
    expect(disc.wantsWeight).toBe(true)
    expect(disc.run?.ok && disc.run.result.blanks[0]?.massG).toBeCloseTo((8.53 * Math.PI * 15.7 ** 2 * 1.0236) / 1000, 1)
  })
  it('reads the longer name before the shorter, two sizes with "to", and bare numbers one after another', () => {
    expect(form('oval bangle 58 x 49 14ga brass').form).toBe('bangle-oval')
    expect(form('bead row 41 x 3.9 19ga copper').form).toBe('bead-row')
    expect(form('resize US 5 to US 6 1/4 15ga silver').input).toMatchObject({ nowMm: 'US 5', wantedMm: 'US 6 1/4' })
    expect(form('rivet 0.8 1.3 1.6 14ga copper').input).toMatchObject({ upperMm: '0.8', lowerMm: '1.3', holeMm: '1.6' })
    expect(form('ring 8 1/2 16ga').input).toMatchObject({ insideDiameterMm: 'size 8 1/2' })
  })
  it('says what it took for granted, what is missing and what it did not understand', () => {
    const answer = form('ring N 0.8 mm thick purple')
    expect(answer.recognised.map((recognised) => recognised.means).join(' ')).toContain('taken as sterling')
    expect(answer.notUnderstood).toEqual(['purple'])
    expect(form('dome 27').missing).toEqual(['Dome height', 'Thickness'])
  })
  it('answers a bare size and a conversion', () => {
    expect(answerAsk('5/16 in in mm')).toMatchObject({ kind: 'size', answer: '7.9375 mm' })
    expect(answerAsk('25.4 mm in inches')).toMatchObject({ answer: '1 in' })
    expect(answerAsk('18 ga brass')).toMatchObject({ reading: { kind: 'gauge' } })
    expect(answerAsk('18 ga')).toMatchObject({ reading: { kind: 'ambiguous' } })
  })
  it('asks, or says what can be typed, where it cannot tell', () => {
    expect(answerAsk('hello')).toMatchObject({ kind: 'size', answer: expect.stringContaining('name a piece') })
    expect(answerAsk('  ')).toEqual({ kind: 'empty' })
  })
})
