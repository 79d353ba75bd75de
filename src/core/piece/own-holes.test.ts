import { expect, it } from 'vitest'
import { perimeterMm } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { markPlan } from '../marks'
import { mark } from '../marks/schema'
import { onePart } from './design'
import { markedParts, marksQuestion } from './marked-parts'
import { planPiece } from './plan-piece'
import { surfacedParts } from './surfaced-parts'

const pierced = onePart({ form: 'disc', inputVersion: 1, input: { diameterMm: 30, thicknessMm: 1, alloy: 'copper-c110', holeMm: 6 } })
const plan = planPiece(pierced, {})

it('a hole that is made in a disc once it is cut is there where it is marked, and takes from its faces', () => {
  const [marked] = markedParts(pierced, plan)
  const [surfaced] = surfacedParts(pierced, plan)
  const [hole] = marked?.holes ?? []
  const box = boundsOf(hole ?? [])
  for (const mm of [-box.minX, box.maxX, -box.minY, box.maxY]) expect(mm).toBeCloseTo(3, 1)
  const blank = plan.parts[0]?.result?.blanks[0]
  const face = surfaced?.faces.find(({ name }) => name === 'Face')?.areaMm2 ?? 0
  expect((blank?.areaMm2 ?? 0) - face).toBeCloseTo(Math.PI * 9, 0)
  const edges = surfaced?.faces.find(({ name }) => name === 'Edges')?.areaMm2 ?? 0
  expect(edges).toBeCloseTo(perimeterMm(blank?.outline ?? []) + Math.PI * 6, 1)
})

it('a stamp in the middle of it is told that there is no metal', () => {
  const [part] = markedParts(pierced, plan)
  if (!part) throw new Error('no part')
  const at = (x: number) => mark.parse({ kind: 'stamp', widthMm: 1, at: [x, 0] })
  const stops = (x: number) =>
    markPlan(marksQuestion({ ...part, marks: [at(x)] }, { owned: [], figures: {} })).checks.filter(({ level }) => level === 'stop')
  expect(
    stops(0)
      .map(({ message }) => message)
      .join(),
  ).toContain('a hole')
  expect(stops(8)).toEqual([])
})

it('what has no hole has none', () => {
  const whole = onePart({ form: 'disc', inputVersion: 1, input: { diameterMm: 30, thicknessMm: 1, alloy: 'copper-c110', holeMm: 0 } })
  expect(markedParts(whole, planPiece(whole, {}))[0]?.holes).toEqual([])
})
