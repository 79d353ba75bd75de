import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { type AskAnswer, answerAsk } from './ask'

type FormAnswer = Extract<AskAnswer, { kind: 'form' }>

function form(text: string): FormAnswer {
  const answer = answerAsk(text, { ringSystem: 'US', alloy: 'sterling-925' })
  if (answer.kind !== 'form') throw new Error(`${text}: ${answer.kind}`)
  return answer
}

const said = (text: string) => {
  const answer = answerAsk(text, { ringSystem: 'US' })
  return answer.kind === 'size' ? answer.answer : answer.kind
}

describe('sentences a smith would type', () => {
  it.each([
    ['ring US 7 18ga sterling', 'ring-band', { insideDiameterMm: 'US 7', thicknessMm: '18ga', alloy: 'sterling-925' }],
    ['sterling ring 18ga US 7', 'ring-band', { insideDiameterMm: 'US 7', thicknessMm: '18ga', alloy: 'sterling-925' }],
    ['ring N½ 1.2 thick silver', 'ring-band', { insideDiameterMm: 'N 1/2', thicknessMm: '1.2', alloy: 'sterling-925' }],
    ['ring size 6 wide 5 16ga', 'ring-band', { insideDiameterMm: 'size 6', widthMm: '5' }],
    ['US 7 rings 18ga 5 wide', 'ring-band', { insideDiameterMm: 'US 7', widthMm: '5' }],
    ['bangle 62 16ga copper', 'bangle-plain', { insideDiameterMm: '62', thicknessMm: '16ga', alloy: 'copper-c110' }],
    ['hollow bangle 62 13 0.7 thick', 'bangle-hollow', { insideDiameterMm: '62', widthMm: '13', thicknessMm: '0.7' }],
    ['cuff 160 gap 25 16ga copper', 'cuff', { wristMm: '160', gapMm: '25' }],
    ['6 discs 20 mm copper 18 ga', 'disc', { qty: 6, diameterMm: '20 mm' }],
    ['disc 3/4 in 18ga brass qty 6', 'disc', { qty: 6, diameterMm: '3/4 in', alloy: 'yellow-brass-c260' }],
    ['disc 30 hole 3 18ga copper', 'disc', { diameterMm: '30', holeMm: '3' }],
    ['12 domes 20 x 5 22ga red brass', 'dome', { qty: 12, widthMm: '20', heightMm: '5', alloy: 'red-brass-c230' }],
    ['60 jump rings 4 18ga copper', 'jump-rings', { ringCount: 60, insideMm: '4' }],
    ['24 links 16 x 5 19ga brass', 'strip-links', { linkCount: 24, linkMm: '16', widthMm: '5' }],
    ['ring 7 1/4 in 16 gauge', 'ring-band', { insideDiameterMm: 'size 7 1/4', thicknessMm: '16 gauge' }],
    ['ring 6 925 1.2 thick', 'ring-band', { insideDiameterMm: 'size 6', alloy: 'sterling-925', thicknessMm: '1.2' }],
    ['18x13 oval', 'bezel', { shape: 'oval', stoneLengthMm: '18', stoneWidthMm: '13' }],
    ['bezel 18x13 oval fine silver 28 ga', 'bezel', { shape: 'oval', stoneLengthMm: '18', alloy: 'fine-silver' }],
    ['bangle 64 hand 200 1.2 thick copper', 'bangle-plain', { insideDiameterMm: '64', handMm: '200' }],
    ['disc 3/4 in 18ga brass', 'disc', { diameterMm: '3/4 in', thicknessMm: '18ga' }],
    ['bezel 12 by 10 26ga fine silver', 'bezel', { stoneLengthMm: '12', stoneWidthMm: '10', alloy: 'fine-silver' }],
    ['tab setting 20 x 14 edge 3 0.6 thick copper', 'tab-setting', { stoneLengthMm: '20', stoneWidthMm: '14', edgeMm: '3' }],
    ['plate 40 long 20 wide 18 ga brass corners 3', 'plate', { lengthMm: '40', widthMm: '20', cornerMm: '3' }],
    ['box 40 x 30 15 high copper 24 ga', 'folded-box', { lengthInsideMm: '40', widthInsideMm: '30', heightMm: '15' }],
    ['cone 30 20 40 copper 0.8 thick', 'cone', { largeMm: '30', smallMm: '20', heightMm: '40' }],
    ['resize US 5 to US 6 1/4 15ga silver', 'ring-resize', { nowMm: 'US 5', wantedMm: 'US 6 1/4' }],
  ] as [string, string, Record<string, unknown>][])('%s', (text, id, input) => {
    const answer = form(text)
    expect(answer.form).toBe(id)
    expect(answer.input).toMatchObject(input)
    expect(answer.notUnderstood).toEqual([])
  })
  it('a word that is not understood stops the answer and is named', () => {
    const answer = form('bezel 18 x 13 fine 28 ga red brass')
    expect(answer.notUnderstood).toEqual(['fine'])
    expect(answer.run).toBeNull()
  })
  it('where nothing is missing the answer is there at once, with its checks', () => {
    const answer = form('dome 20 x 5 22 ga copper')
    expect(answer.missing).toEqual([])
    expect(answer.run?.ok && answer.run.result.answer.markAt).toBeGreaterThan(20)
  })
  it('every part of the sentence is told back', () => {
    const recognised = form('6 discs 20 mm copper 18 ga weight').recognised.map((item) => `${item.text}: ${item.means}`)
    expect(recognised).toEqual(
      expect.arrayContaining([
        '6 discs: 6 of them',
        'copper: Copper',
        expect.stringMatching(/^18 ga: 18 ga B&S: 1\.024 mm/),
        expect.stringMatching(/^20 mm: diameter: 20 mm/i),
      ]),
    )
  })
})

describe('any form by its own name', () => {
  it.each(FORMS.flatMap((item) => item.ask.words.map((word) => [word, item.id] as const)))('"%s" is %s', (word, id) => {
    expect(form(word).form).toBe(id)
    expect(form(`${word} 1mm thick copper`).input).toMatchObject({ alloy: 'copper-c110', thicknessMm: '1' })
  })
  it.each(FORMS.map((item) => [item.id, item] as const))('%s is missing just what has no start value', (_, item) => {
    const answer = form(item.ask.words[0] ?? '')
    const needed = item.fields.filter((field) => !field.optional && field.preset === undefined && field.name !== 'alloy')
    expect(answer.missing).toEqual(needed.map((field) => field.label))
    expect(answer.run === null).toBe(needed.length > 0)
  })
  it('no two forms answer to one name', () => {
    const words = FORMS.flatMap((item): readonly string[] => item.ask.words)
    expect(new Set(words).size).toBe(words.length)
  })
})

describe('a bare size, a conversion, a look-up', () => {
  it.each([
    ['US 7 in mm', '17.3228 mm'],
    ['18 swg in inches', '0.048 in'],
    ['3/8 in as mm', '9.525 mm'],
    ['12.7 mm in inches', '0.5 in'],
    ['2 cm in mm', '20 mm'],
    ['254 mm to cm', '25.4 cm'],
  ])('%s is %s', (text, answer) => expect(said(text)).toBe(answer))
  it.each([
    ['4/0', 'Is 4/0 a gauge or a saw blade?'],
    ['000', 'Is 000 a gauge or a saw blade?'],
    ['2-4', 'Is 2-4 the bangle size'],
    ['N', 'Is N a UK ring size or a letter drill?'],
    ['18 ga', 'Which gauge?'],
    ['easy', 'Which easy?'],
  ])('%s is asked back', (text, question) => expect(said(text)).toContain(question))
  it.each([
    ['drill for 18 ga', 'drill'],
    ['blade for 20ga', 'blade'],
    ['solder 3 joints sterling', 'solder'],
    ['brass hammer on steel stamp', 'strike'],
    ['mandrel US 7', 'mandrel'],
    ['compare ball 6 with domer 4', 'compare'],
  ])('%s goes to the %s adviser', (text, adviser) => expect(answerAsk(text)).toMatchObject({ kind: 'advice', adviser }))
  it('never throws, whatever is typed', () => {
    for (const text of [
      '((',
      '\\',
      '[a-z]',
      'ring ring ring',
      'x x x',
      '½½½',
      '6 6 6 discs',
      '🔨',
      'a'.repeat(3000),
      '1/0 in ring',
      'size',
    ])
      expect(() => answerAsk(text)).not.toThrow()
  })
})
