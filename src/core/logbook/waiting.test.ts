import { describe, expect, it } from 'vitest'
import { runNote } from '../surface'
import { waitingNow, waitOverAt } from './waiting'

const HOUR_S = 3600
const steps = [
  { id: 'pickle', op: 'pickle', title: 'Pickle', waitS: 600, restS: 0 },
  { id: 'green', op: 'verdigris', title: 'Verdigris', waitS: 8 * HOUR_S, restS: 8 * HOUR_S },
  { id: 'wax', op: 'wax', title: 'Wax', waitS: 0, restS: 0 },
]
const at = (hour: number) => new Date(Date.UTC(2026, 0, 5, hour)).toISOString()
const done = (stepId: string, hour: number) => ({ kind: 'done', stepId, at: at(hour) })
const spray = (number: number, hour: number) => ({
  kind: 'note',
  stepId: 'green',
  text: runNote('verdigris', number, 'patchy'),
  at: at(hour),
})

describe('what looks after itself', () => {
  it('does so from the last step done, as long as that step waits', () => {
    expect(waitingNow(steps, [done('pickle', 8)])).toEqual({ title: 'Pickle', sinceAt: at(8), waitS: 600 })
    expect(waitingNow(steps, [done('pickle', 8), done('wax', 9)])).toBeNull()
    expect(waitingNow(steps, [])).toBeNull()
  })
  it('begins anew with every spray that dries, and no other note begins it', () => {
    const two = [done('pickle', 8), spray(1, 9), spray(2, 18)]
    expect(waitingNow(steps, two)).toEqual({ title: 'Verdigris', sinceAt: at(18), waitS: 8 * HOUR_S })
    expect(waitingNow(steps, [...two, { kind: 'note', stepId: 'green', text: 'a drop ran', at: at(19) }])?.sinceAt).toBe(at(18))
    expect(waitOverAt(waitingNow(steps, two))).toBe(Date.parse(at(26)))
  })
  it('is over once the sprays were counted and it is done; of a step whose sprays were not, it is still dried', () => {
    expect(waitingNow(steps, [spray(1, 9), done('green', 18)])).toBeNull()
    expect(waitingNow(steps, [done('green', 18)])?.waitS).toBe(8 * HOUR_S)
  })
})
