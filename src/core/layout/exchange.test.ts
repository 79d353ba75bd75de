import { describe, expect, it } from 'vitest'
import { rectangleOutline } from '../geometry/outline'
import { isBetter, isFarBetter } from './better'
import { Exchange, sharedFor } from './exchange'
import { findIllegal } from './legal'
import { packLayout, reachOn } from './pack'
import { layoutInput } from './schema'
import { type Placement, placementsIn, spreadOf } from './spread'

const input = layoutInput.parse({
  kerfMm: 0.4,
  seconds: 1000,
  sheets: [
    { id: 'offcut', outer: rectangleOutline(40, 30) },
    { id: 'sheet', outer: rectangleOutline(200, 60) },
  ],
  items: [
    { id: 'token', qty: 14, circle: { radiusMm: 7 } },
    { id: 'tag', qty: 6, outer: rectangleOutline(22, 9) },
  ],
})
const never = { shouldStop: () => false, elapsedS: () => 0 }
const some: readonly Placement[] = [
  { id: 'tag', copy: 3, sheet: 'sheet', x: 12.25, y: 1 / 3, rotationDeg: 30.5 },
  { id: 'token', copy: 0, sheet: 'offcut', x: -0.1, y: 7, rotationDeg: 0 },
]

describe('what searches beside one another tell each other', () => {
  it('is heard by the others as it was told, once, and not by the one that told it', () => {
    const memory = sharedFor(input, 3)
    const [one, two, three] = [0, 1, 2].map((own) => new Exchange(input, memory, own)) as [Exchange, Exchange, Exchange]
    expect(two.heard()).toBeUndefined()
    one.tell(some)
    expect(one.heard()).toBeUndefined()
    for (const other of [two, three]) {
      expect(other.heard()).toEqual(some)
      expect(other.heard()).toBeUndefined()
    }
    one.tell([])
    one.tell(some.slice(1))
    expect(two.heard()).toEqual(some.slice(1))
  })

  it('is not heard while it is being written', () => {
    const memory = sharedFor(input, 2)
    const two = new Exchange(input, memory, 1)
    new Exchange(input, memory, 0).tell(some)
    Atomics.add(new Int32Array(memory), 0, 1)
    expect(two.heard()).toBeUndefined()
    Atomics.add(new Int32Array(memory), 0, 1)
    expect(two.heard()).toEqual(some)
  })

  it('has room for every blank that was asked for', () => {
    const all = placementsIn(spreadOf(input, packLayout({ ...input, iterations: 1 }, never).placements))
    const many = input.items.flatMap(({ id, qty }) => Array.from({ length: qty }, (_, copy) => ({ ...(all[0] as Placement), id, copy })))
    const memory = sharedFor(input, 2)
    new Exchange(input, memory, 0).tell(many)
    expect(new Exchange(input, memory, 1).heard()).toEqual(many)
  })
})

describe('a search that hears of another', () => {
  const plain = packLayout({ ...input, iterations: 20 }, never).placements
  const good = packLayout({ ...input, iterations: 60 }, never).placements
  const lengthOf = (placements: readonly Placement[]) => {
    const used = spreadOf(input, placements).sheets.findLast(({ blanks }) => blanks.length > 0)
    return used ? reachOn(used.sheet, used.blanks) : 0
  }
  const hearing = (placements: readonly Placement[]) => {
    let left = 1
    return packLayout({ ...input, iterations: 21 }, { ...never, heard: () => (left-- === 1 ? placements : undefined) }).placements
  }

  it('goes on from there where that is far better', () => {
    expect(isFarBetter(input, good, plain)).toBe(true)
    const found = hearing(good)
    expect(isBetter(input, good, found)).toBe(false)
    expect(lengthOf(found)).toBeLessThan(lengthOf(plain))
    expect(findIllegal(input, found)).toEqual([])
  })

  it('keeps to its own way where that is as good, and where the other is worse', () => {
    const near = good.map((one) => ({ ...one, x: one.x + 1e-4 }))
    for (const [one, other] of [
      [near, good],
      [good, near],
      [good, good],
      [plain, good],
    ] as const)
      expect(isFarBetter(input, one, other)).toBe(false)
    expect(hearing(plain.slice(0, 4))).toEqual(packLayout({ ...input, iterations: 21 }, never).placements)
  })

  it('fewer sheets and much more metal are far better, a little more metal is not', () => {
    const onOne = plain.map((one) => ({ ...one, sheet: 'offcut' }))
    const onTwo = onOne.map((one, i) => (i === 0 ? { ...one, sheet: 'sheet' } : one))
    expect(isFarBetter(input, onOne, onTwo)).toBe(true)
    expect(isFarBetter(input, onTwo, onOne)).toBe(false)
    // a token of 154 mm² against 3,340 asked for
    expect(isFarBetter(input, plain, plain.slice(1))).toBe(true)
    const many = { ...input, items: input.items.map((item) => ({ ...item, qty: 10 * item.qty })) }
    expect(isFarBetter(many, plain, plain.slice(1))).toBe(false)
  })
})
