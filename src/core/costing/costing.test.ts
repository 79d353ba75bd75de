import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BlankSpec } from '../forms/contract'
import { findForm } from '../forms/registry'
import { circleOutline, rectangleOutline } from '../geometry/outline'
import { massOf } from '../metals/alloys'
import type { BoughtTemper } from '../metals/tempers'
import { inRows, metalCost, type StockPiece, type Supply, supplyOf } from './supply'

const CONTROL = { elapsedS: () => 0, shouldStop: () => false }
const setup = (drawer: readonly StockPiece[], bought: BoughtTemper = 'unknown') => ({
  drawer,
  kerfMm: 0.5,
  marginMm: 1,
  bought,
  figures: {},
  control: CONTROL,
})

function blankOf(form: string, input: Record<string, unknown>): BlankSpec {
  const run = findForm(form)?.run(input)
  const blank = run?.ok ? run.result.blanks[0] : undefined
  if (!blank) throw new Error(JSON.stringify(run))
  return blank
}

const TOKEN = blankOf('disc', { diameterMm: 19, cleanUpMm: 0.5, alloy: 'copper-c110', thicknessMm: 0.9 })
const RIVET = blankOf('rivet-wire', { thicknessMm: 2, alloy: 'copper-c110', upperMm: 1, lowerMm: 1, holeMm: 2.05 })
const TUBE = blankOf('rivet-tube', { tubeMm: 2.4, thicknessMm: 0.3, alloy: 'sterling-925', upperMm: 1, lowerMm: 1, holeMm: 2.5 })

function sheet(label: string, lengthMm: number, widthMm: number, more: Partial<StockPiece> = {}): StockPiece {
  return {
    id: 1,
    label,
    kind: 'sheet',
    alloy: 'copper-c110',
    thicknessMm: 0.9,
    outer: rectangleOutline(lengthMm, widthMm),
    holes: [],
    lengthMm: null,
    acrossMm: null,
    ...more,
  }
}

const wire = (label: string, lengthMm: number, more: Partial<StockPiece> = {}) =>
  sheet(label, 1, 1, { kind: 'wire', outer: null, lengthMm, thicknessMm: 2, ...more })

const first = (supply: readonly Supply[]): Supply => supply[0] ?? expect.unreachable('no blank')

describe('the drawer', () => {
  it('holds what lies on a sheet of the same metal: six discs of 20 on 62 by 42', () => {
    const answer = first(supplyOf([TOKEN], 6, setup([sheet('S-1', 63, 43)])))
    expect(answer).toMatchObject({ needed: 6, covered: 6, from: ['S-1'], buy: null })
  })
  it('is short by what does not lie, and says how much to buy for the rest', () => {
    const answer = first(supplyOf([TOKEN], 10, setup([sheet('S-1', 63, 43)])))
    expect(answer.covered).toBe(6)
    expect(answer.buy).toMatchObject({ kind: 'sheet', alloy: 'copper-c110', thicknessMm: 0.9, lengthMm: 50, widthMm: 50, pieces: 1 })
  })
  it('takes another thickness for what it is, and never another metal for the one that was named', () => {
    const drawer = [
      sheet('S-2', 90, 90, { thicknessMm: 1.05 }),
      sheet('S-3', 90, 90, { alloy: 'red-brass-c230' }),
      sheet('S-4', 90, 90, { thicknessMm: 2 }),
    ]
    const answer = first(supplyOf([TOKEN], 4, setup(drawer)))
    expect(answer.covered).toBe(0)
    expect(answer.instead.map((other) => other.label)).toEqual(['S-2'])
    expect(answer.instead[0]?.why).toMatch(/17 % thicker/)
  })
  it('asks for the temper that the route starts from, half hard where it is not known', () => {
    expect(first(supplyOf([TOKEN], 4, setup([], 'annealed'))).buy?.temper).toBe('annealed')
    expect(first(supplyOf([RIVET], 4, setup([], 'hard'))).buy?.temper).toBe('hard')
    expect(first(supplyOf([TOKEN], 4, setup([]))).buy?.temper).toBe('half-hard')
  })
  it('weighs and prices what is bought: area, thickness and density; a gram at its price', () => {
    const buy = first(supplyOf([TOKEN], 4, { ...setup([]), figures: { 'price-copper-c110': 2 } })).buy
    expect(buy?.massG).toBeCloseTo(massOf('copper-c110', (buy?.lengthMm ?? 0) * (buy?.widthMm ?? 0) * 0.9), 6)
    expect(buy?.cost).toBeCloseTo(2 * (buy?.massG ?? 0), 6)
  })
  it('cuts wire by length and kerf, from as many pieces as it takes', () => {
    const step = (RIVET.lengthMm ?? 0) + 0.5
    const answer = first(supplyOf([RIVET], 10, setup([wire('W-1', 6.2 * step), wire('W-2', 3 * step)])))
    expect(answer).toMatchObject({ covered: 9, from: ['W-1', 'W-2'] })
    expect(answer.buy).toMatchObject({ kind: 'wire', lengthMm: 100 })
  })
  it('says of tube that it is tube, its width and its wall', () =>
    expect(first(supplyOf([TUBE], 3, setup([wire('W-1', 500)]))).buy).toMatchObject({ kind: 'tube', widthMm: 2.4, thicknessMm: 0.3 }))
  it('asks for nothing where the metal is cut out of the piece itself', () => {
    const out = blankOf('ring-resize', { nowMm: 18, wantedMm: 17, alloy: 'sterling-925', thicknessMm: 1.3, widthMm: 4 })
    expect(supplyOf([out], 3, setup([]))).toEqual([])
  })
  it('never buys too little: what is bought holds the blanks in rows', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.double({ min: 3, max: 260, noNaN: true }),
        fc.double({ min: 3, max: 260, noNaN: true }),
        (qty, long, wide) => {
          const blank: BlankSpec = { ...TOKEN, outline: rectangleOutline(long, wide), areaMm2: long * wide }
          const { circleRadiusMm: _, ...plain } = blank
          const buy = first(supplyOf([plain], qty, setup([]))).buy
          expect((buy?.pieces ?? 0) * inRows(plain, buy?.lengthMm ?? 0, buy?.widthMm ?? 0, setup([]))).toBeGreaterThanOrEqual(qty)
        },
      ),
      { numRuns: 200 },
    ))
})

it('rows on a rectangle are floor of room over size and kerf, the better way round', () => {
  const blank: BlankSpec = { ...TOKEN, outline: rectangleOutline(30, 10) }
  expect(inRows(blank, 92, 42, { kerfMm: 0, marginMm: 1 })).toBe(12)
  expect(inRows(blank, 42, 92, { kerfMm: 0, marginMm: 1 })).toBe(12)
  expect(inRows(blank, 92, 42, { kerfMm: 1, marginMm: 1 })).toBe(8)
  expect(inRows({ ...blank, outline: circleOutline(5) }, 22, 22, { kerfMm: 0, marginMm: 1 })).toBe(4)
})

it('a gram costs its preset, or one’s own price', () => {
  expect(metalCost(10, 'sterling-925', {})).toBeCloseTo(11, 9)
  expect(metalCost(10, 'sterling-925', { 'price-sterling-925': 0.8 })).toBeCloseTo(8, 9)
})
