import { describe, expect, it } from 'vitest'
import { oneAtATime } from './one-at-a-time'

/** Work that is under way until it is let go. */
function held() {
  const under: (() => void)[] = []
  const begun = { times: 0, atOnce: 0, most: 0 }
  const work = async () => {
    begun.times++
    begun.atOnce++
    begun.most = Math.max(begun.most, begun.atOnce)
    await new Promise<void>((done) => under.push(done))
    begun.atOnce--
  }
  const letGo = async () => {
    under.shift()?.()
    await new Promise((done) => setTimeout(done, 0))
  }
  return { work, letGo, begun }
}

const soon = () => new Promise((done) => setTimeout(done, 0))

describe('one run at a time', () => {
  it('makes one more run of all that is asked for while one is under way, and begins it after', async () => {
    const { work, letGo, begun } = held()
    const ask = oneAtATime(work)
    const first = ask()
    await soon()
    const later = [ask(), ask(), ask()]
    await soon()
    expect(begun.times).toBe(1)
    await letGo()
    await first
    expect(begun.times).toBe(2)
    await letGo()
    await Promise.all(later)
    expect(begun).toEqual({ times: 2, atOnce: 0, most: 1 })
  })
  it('goes on after a run that failed', async () => {
    let times = 0
    const ask = oneAtATime(async () => {
      times++
      if (times === 1) throw new Error('broken')
    })
    await expect(ask()).rejects.toThrow('broken')
    await expect(ask()).resolves.toBeUndefined()
    expect(times).toBe(2)
  })
})
