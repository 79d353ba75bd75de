import { describe, expect, it } from 'vitest'
import { KITS } from '@/core/kits'
import { designFromKit, planPiece, strandsOf } from '@/core/piece'
import { boardShape, COLUMN } from '@/ui/route/board-shape'

const planned = KITS.map((kit) => {
  const { assembly } = planPiece(designFromKit(kit))
  return [kit.id, assembly, strandsOf(assembly)] as const
})
/** Where a path begins and where it ends: its first point, and the last height and the last x that it names. */
function endsOf(path: string) {
  const [fromX, fromY] = [...(path.match(/^M(-?[\d.]+) (-?[\d.]+)/) ?? [])].slice(1).map(Number)
  const curve = path.match(/C.* (-?[\d.]+) -?[\d.]+(?:H|$)/) ? Number(path.match(/(-?[\d.]+)(?=H[^H]*$)/)?.[1]) : fromY
  return { fromX, fromY, toX: Number(path.match(/H(-?[\d.]+)$/)?.[1]), toY: curve }
}

describe.each(planned)('the board of %s', (_, assembly, strands) => {
  const shape = boardShape(strands)
  const wireOf = (thing: string, i: number) => {
    const path = shape.columns[i]?.wires.find((wire) => wire.thing === thing)?.path
    return path === undefined ? undefined : endsOf(path)
  }
  it('has a tag for each step, on the board', () => {
    expect(shape.columns).toHaveLength(assembly.steps.length)
    for (const { y } of shape.columns) {
      expect(y).toBeGreaterThan(0)
      expect(y).toBeLessThan(shape.height)
    }
  })
  it('leads the wire of each part without a gap from column to column', () => {
    for (const thing of strands.things) {
      const pieces = shape.columns.map((_, i) => wireOf(thing, i))
      const there = pieces.flatMap((piece, i) => (piece ? [{ i, ...piece }] : []))
      const lead = shape.lead.find((wire) => wire.thing === thing)
      if (lead) expect(there[0]).toMatchObject({ i: 0, fromX: 0, fromY: endsOf(lead.path).fromY })
      there.slice(1).forEach((piece, n) => {
        const before = there[n]
        expect(piece).toMatchObject({ i: (before?.i ?? 0) + 1, fromX: 0, fromY: before?.toY })
        expect(before?.toX).toBe(COLUMN)
      })
    }
  })
  it('begins the wire of a part that is divided off where it is divided, and ends there what it was of', () => {
    for (const { thing, of, step } of strands.divided) {
      expect(wireOf(thing, step - 1)).toBeUndefined()
      expect(wireOf(thing, step)).toMatchObject({ fromX: COLUMN / 2, toX: COLUMN })
      expect(wireOf(of, step)).toMatchObject({ toX: COLUMN / 2 })
      expect(wireOf(of, step + 1)).toBeUndefined()
    }
  })
})

it('some kit divides a part', () => expect(planned.some(([, , { divided }]) => divided.length > 0)).toBe(true))
