import fc from 'fast-check'
import { expect, it } from 'vitest'
import { makeHeap } from './heap'

it('gives things in order, whatever order they came in and however they were taken between', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -50, max: 50 }), { maxLength: 60 }),
      fc.array(fc.integer(), { maxLength: 20 }),
      (first, then) => {
        const heap = makeHeap<number>((a, b) => a < b)
        for (const value of first) heap.add(value)
        const early = first.length > 0 ? [heap.take(), heap.take()] : []
        for (const value of then) heap.add(value)
        const rest: number[] = []
        for (let value = heap.take(); value !== undefined; value = heap.take()) rest.push(value)
        expect(rest).toEqual([...rest].sort((a, b) => a - b))
        const all = [...early.filter((value) => value !== undefined), ...rest]
        expect(all.sort((a, b) => a - b)).toEqual([...first, ...then].sort((a, b) => a - b))
        expect(heap.take()).toBeUndefined()
      },
    ),
  )
})
