import { describe, expect, it } from 'vitest'
import type { LayoutInput } from '@/core/layout'
import { runTask, TaskEnded } from '@/server/long/run-task'

function discs(qty: number, sheetMm: number, seconds = 30): LayoutInput {
  return {
    name: '',
    objective: 'place',
    kerfMm: 0.3,
    marginMm: 1,
    seconds,
    iterations: null,
    seed: 1,
    sheets: [
      {
        id: 's',
        outer: [
          [0, 0],
          [sheetMm, 0],
          [sheetMm, sheetMm],
          [0, sheetMm],
        ],
        holes: [],
        alloy: '',
        thicknessMm: 0,
        rollingDirectionDeg: null,
        costRank: 0,
      },
    ],
    items: [{ id: 'd', qty, circle: { radiusMm: 12 }, holes: [], alloy: '', thicknessMm: 0, rotations: [0] }],
  }
}

const reasonOf = async (task: Promise<unknown>): Promise<string> => {
  try {
    await task
    return 'done'
  } catch (error) {
    return error instanceof TaskEnded ? error.reason : String(error)
  }
}

describe('long work in its own thread', () => {
  it('gives the answer that the core gives', async () => {
    const solution = await runTask('pack', discs(4, 80), { seconds: 20 })
    expect(solution.placements).toHaveLength(4)
    expect(solution.unplaced).toEqual([])
  })
  it('stops by itself after the seconds it was given, with the best it has', async () => {
    const solution = await runTask('pack', discs(400, 900, 0.5), { seconds: 20 })
    expect(solution.placements.length).toBeGreaterThan(0)
    expect(solution.unplaced[0]?.qty ?? 0).toBe(400 - solution.placements.length)
    expect(solution.seconds).toBeLessThan(5)
  })
  it('is ended, whatever it is doing, when its time is over', async () => {
    const began = performance.now()
    expect(await reasonOf(runTask('pack', discs(400, 900), { seconds: 0.7 }))).toBe('too-long')
    expect(performance.now() - began).toBeLessThan(4000)
  })
  it('is called off when the one who asked has left, before or meanwhile', async () => {
    const left = new AbortController()
    setTimeout(() => left.abort(), 200)
    expect(await reasonOf(runTask('pack', discs(400, 900), { seconds: 20, signal: left.signal }))).toBe('called-off')
    expect(await reasonOf(runTask('pack', discs(1, 80), { seconds: 20, signal: AbortSignal.abort() }))).toBe('called-off')
  })
  it('lets the loop run: others are answered meanwhile', async () => {
    const task = runTask('pack', discs(300, 900, 1), { seconds: 20 })
    const gaps: number[] = []
    let last = performance.now()
    const ticking = setInterval(() => {
      gaps.push(performance.now() - last)
      last = performance.now()
    }, 10)
    await task
    clearInterval(ticking)
    expect(gaps.length).toBeGreaterThan(20)
    expect([...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)]).toBeLessThan(100)
  })
  it('is refused where too many wait already, and takes the next when one is done', async () => {
    const left = new AbortController()
    const asked = Array.from({ length: 12 }, () => reasonOf(runTask('pack', discs(400, 900), { seconds: 30, signal: left.signal })))
    const refused = await Promise.race([Promise.all(asked.slice(10)), new Promise((resolve) => setTimeout(() => resolve('none'), 3000))])
    expect(refused).toEqual(['busy', 'busy'])
    left.abort()
    const ended = await Promise.all(asked)
    expect(ended.filter((reason) => reason === 'called-off')).toHaveLength(10)
    expect(await reasonOf(runTask('pack', discs(1, 80), { seconds: 20 }))).toBe('done')
  })
})
