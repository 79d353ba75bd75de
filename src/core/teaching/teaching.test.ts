import { describe, expect, it } from 'vitest'
import { FORMS, findForm } from '../forms/registry'
import { KITS } from '../kits/registry'
import { SOLDERS, type SolderId } from '../metals/solders'
import { onePart } from '../piece/design'
import { designFromKit } from '../piece/from-kit'
import { planPiece } from '../piece/plan-piece'
import { dueOf, exercise, nextKind, TRAINED, type Tried } from './exercise'
import { questionsOfPlan } from './from-plan'
import { isNumeric, judge } from './question'

const RING = { insideDiameterMm: 18, thicknessMm: 1.5, widthMm: 4, alloy: 'sterling-925', stock: 'strip' }
const ringPlan = () => planPiece(onePart({ form: 'ring-band', inputVersion: findForm('ring-band')?.inputVersion ?? 1, input: RING }), {})

describe('exercises', () => {
  it.each(TRAINED)('of %s: a hundred of them have an answer that is judged right, and the same seed asks the same', (kind) => {
    for (let seed = 1; seed <= 100; seed++) {
      const question = exercise(kind, seed)
      expect(exercise(kind, seed)).toEqual(question)
      expect(judge(question, question.answer)).toEqual({ isRight: true, off: 0, misconception: '' })
      expect(question.prompt.length).toBeGreaterThan(10)
      expect(question.why.length).toBeGreaterThan(5)
      if (isNumeric(question)) {
        expect(question.answer).toBeGreaterThan(0)
        expect(judge(question, 1.5 * question.answer).isRight).toBe(false)
        for (const trap of question.traps) expect(judge(question, trap.answer)).toMatchObject({ misconception: trap.words })
      } else {
        expect(question.choices.map(({ id }) => id)).toContain(question.answer)
        expect(new Set(question.choices.map(({ words }) => words)).size).toBe(question.choices.length)
      }
    }
  })
  it('of sizes answer as the forms do', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const question = exercise('size', seed)
      const last = question.working.filter(({ unit }) => unit === 'mm')
      expect(isNumeric(question) && last.some(({ value }) => Math.abs(value - question.answer) < 1e-9)).toBe(true)
    }
  })
  it('ask about many forms', () => {
    const titles = new Set(Array.from({ length: 200 }, (_, seed) => exercise('size', seed).prompt.split(':')[0]))
    expect(titles.size).toBeGreaterThan(FORMS.length / 2)
  })
  it('of gauges by the law of the scale: 0.127 mm · 92^((36 − n)/39) (ASTM B258)', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const question = exercise('gauge', seed)
      const n = Number(/is (\d+) gauge/.exec(question.prompt)?.[1])
      expect(Number(question.answer)).toBeCloseTo(0.127 * 92 ** ((36 - n) / 39), 2)
    }
  })
  it('of solders: the harder goes first', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const question = exercise('solder', seed)
      if (isNumeric(question)) throw new Error('a choice was expected')
      const flows = question.choices.map(({ id }) => SOLDERS[id as SolderId].liquidusC)
      expect(SOLDERS[question.answer as SolderId].liquidusC).toBe(Math.max(...flows))
    }
  })
})

describe('a ring as a lesson', () => {
  const questions = questionsOfPlan(ringPlan())
  it('asks for its size, and knows the two usual slips', () => {
    const size = questions.find(({ kind }) => kind === 'size')
    if (!size || !isNumeric(size)) throw new Error('no size was asked')
    expect(judge(size, Math.PI * 18).misconception).toContain('thickness of the metal was left out')
    expect(judge(size, Math.PI * 21).misconception).toContain('outside diameter was taken')
    expect(judge(size, Math.PI * 19.5).off).toBeLessThan(0.02)
  })
  it('asks in which order, and says why', () => {
    const order = questions.find(({ kind }) => kind === 'order')
    expect(order?.why).toMatch(/first\. The other way round: /)
  })
  it('never asks the same twice', () => expect(new Set(questions.map(({ id }) => id)).size).toBe(questions.length))
})

it('every kit can be asked about', () => {
  for (const kit of KITS) {
    const questions = questionsOfPlan(planPiece(designFromKit(kit), {}))
    expect(questions.length, kit.id).toBeGreaterThan(0)
    for (const question of questions) expect(judge(question, question.answer).isRight).toBe(true)
  }
})

describe('what is asked next', () => {
  const tries = (...list: readonly [string, boolean][]): Tried[] => list.map(([kind, isRight]) => ({ kind, isRight }))
  it('is more often what was missed than what went well', () => {
    const history = tries(
      ['gauge', true],
      ['size', false],
      ['gauge', true],
      ['size', false],
      ['drill', true],
      ['order', true],
      ['solder', true],
    )
    const drawn = Array.from({ length: 400 }, (_, seed) => nextKind(history, seed))
    const count = (kind: string) => drawn.filter((one) => one === kind).length
    expect(count('size')).toBeGreaterThan(3 * count('drill'))
    for (const kind of TRAINED) expect(count(kind)).toBeGreaterThan(0)
  })
  it('begins with what was never tried', () => expect(dueOf('size', [])).toBeGreaterThan(dueOf('size', tries(['size', false]))))
})
