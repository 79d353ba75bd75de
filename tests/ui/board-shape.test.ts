import { describe, expect, it } from 'vitest'
import { KITS } from '@/core/kits'
import { designFromKit, planPiece, strandsOf } from '@/core/piece'
import { boardShape, COLUMN } from '@/ui/route/board-shape'

const planned = KITS.map((kit) => {
  const { assembly } = planPiece(designFromKit(kit))
  return [kit.id, assembly, strandsOf(assembly)] as const
})
/** Every x of a path, in the order it is drawn. */
const xsOf = (path: string) =>
  [...path.matchAll(/[MH]\s*(-?[\d.]+)|C[^HMC]*?(-?[\d.]+) -?[\d.]+(?=[HMC]|$)/g)].map((m) => Number(m[1] ?? m[2]))

describe.each(planned)('the board of %s', (_, assembly, strands) => {
  const shape = boardShape(strands)
  it('has a tag for each step, a column apart, on a strand', () => {
    expect(shape.tags).toHaveLength(assembly.steps.length)
    shape.tags.forEach(({ x, y }, i) => {
      if (i > 0) expect(x - (shape.tags[i - 1]?.x ?? 0)).toBe(COLUMN)
      expect(y).toBeGreaterThan(0)
      expect(y).toBeLessThan(shape.height)
    })
  })
  it('has a cord for each part, which runs from left to right', () => {
    expect(shape.cords.map(({ thing }) => thing)).toEqual(strands.things)
    for (const { path } of shape.cords) {
      const xs = xsOf(path)
      expect([...xs].sort((a, b) => a - b)).toEqual(xs)
    }
  })
  it('begins the cord of a part that is divided off where it is divided, and ends there what it was of', () => {
    for (const { thing, of, step } of strands.divided) {
      const x = shape.tags[step]?.x ?? 0
      const xs = (id: string) => xsOf(shape.cords.find((cord) => cord.thing === id)?.path ?? '')
      expect(xs(thing)[0]).toBe(x)
      expect(xs(of).at(-1)).toBe(x)
    }
  })
})

it('some kit divides a part', () => expect(planned.some(([, , { divided }]) => divided.length > 0)).toBe(true))
