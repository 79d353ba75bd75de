import { describe, expect, it } from 'vitest'
import { findForm } from '../forms/registry'
import { ellipseOutline, netAreaMm2, rectangleOutline } from '../geometry/outline'
import { type Point, placeOutline } from '../geometry/point'
import { settingsFor, wrappedRoundMm } from './as-stone'

describe('what a strip measures round a stone', () => {
  it('of a disc π·d, of a rectangle both sides twice, of an ellipse as Ramanujan has it (closed forms)', () => {
    expect(wrappedRoundMm(ellipseOutline(6, 6))).toBeCloseTo(12 * Math.PI, 1)
    expect(wrappedRoundMm(rectangleOutline(18, 11))).toBeCloseTo(58, 2)
    const [a, b] = [9, 6]
    const h = ((a - b) / (a + b)) ** 2
    const ramanujan = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))
    expect(wrappedRoundMm(ellipseOutline(a, b))).toBeCloseTo(ramanujan, 1)
  })
  it('goes straight over a hollow: as of the outline without it', () => {
    const hollow: Point[] = [
      [0, 0],
      [20, 0],
      [20, 14],
      [12, 14],
      [10, 6],
      [8, 14],
      [0, 14],
    ]
    expect(wrappedRoundMm(hollow)).toBeCloseTo(68, 2)
  })
})

describe('a setting for a measured stone', () => {
  const stone = placeOutline(ellipseOutline(9, 6.5), 0.7, 30, -12)
  const metal = { alloy: 'fine-silver', thicknessMm: 0.3 }
  const resultOf = ({ form, input }: { form: string; input: object }, more: object) => {
    const run = findForm(form)?.run({ ...input, ...metal, ...more })
    if (!run?.ok) throw new Error(JSON.stringify(run))
    return run.result
  }
  it('a bezel is as long as one for the same oval by its length and width', () => {
    const { bezel } = settingsFor({ outer: stone, holes: [] })
    const asked = resultOf({ form: 'bezel', input: { shape: 'oval', stoneLengthMm: 18, stoneWidthMm: 13 } }, {})
    expect(resultOf(bezel, {}).answer.value).toBeCloseTo(asked.answer.value, 1)
  })
  it('tabs stand round the same outline, however it lay in the picture', () => {
    const { tabs } = settingsFor({ outer: stone, holes: [] })
    const more = { edgeMm: 3, tabCount: 4 }
    const asked = resultOf({ form: 'tab-setting', input: { shape: 'oval', stoneLengthMm: 18, stoneWidthMm: 13 } }, more)
    const areaOf = (result: typeof asked) => netAreaMm2(result.blanks[0]?.outline ?? [], result.blanks[0]?.holes ?? [])
    expect(areaOf(resultOf(tabs, more)) / areaOf(asked)).toBeCloseTo(1, 2)
  })
})
