import { describe, expect, it } from 'vitest'
import { createHistory } from './history-store'

interface Lying {
  readonly at: number
}

/** A history with a clock that is set by hand. */
function history() {
  let now = 0
  const store = createHistory<Lying>({ at: 0 }, () => now)
  const wait = (ms: number, at: number) => {
    now += ms
    store.setState({ at })
  }
  const { undo, redo, clear } = store.temporal.getState()
  return { wait, undo, redo, clear, at: () => store.getState().at }
}

describe('changes taken back and done again', () => {
  it('one by one, where there was time between them', () => {
    const { wait, undo, redo, at } = history()
    for (const [ms, value] of [
      [1000, 1],
      [1000, 2],
      [1000, 3],
    ] as const)
      wait(ms, value)
    undo()
    expect(at()).toBe(2)
    undo()
    undo()
    undo()
    expect(at()).toBe(0)
    redo()
    expect(at()).toBe(1)
  })
  it('all of a drag at once', () => {
    const { wait, undo, redo, at } = history()
    wait(1000, 1)
    for (let n = 2; n <= 30; n++) wait(n === 2 ? 1000 : 40, n)
    undo()
    expect(at()).toBe(1)
    redo()
    expect(at()).toBe(30)
  })
  it('nothing of what went before once it is cleared', () => {
    const { wait, undo, clear, at } = history()
    wait(1000, 1)
    clear()
    undo()
    expect(at()).toBe(1)
  })
})
