import { describe, expect, it } from 'vitest'
import { makeWedge } from './wedge'

function press(keys: readonly string[], everyMs: number) {
  const wedge = makeWedge()
  return keys.map((key, i) => wedge({ key, atMs: 1000 + i * everyMs }))
}

describe('calipers that type', () => {
  it('are heard by their quickness, and their line is taken whole', () =>
    expect(press(['1', '7', '.', '2', '1', 'Enter'], 8)).toEqual([
      'let through',
      'swallowed',
      'swallowed',
      'swallowed',
      'swallowed',
      { line: '17.21' },
    ]))
  it('are not mistaken for hands: slow figures and letters go on to the keys they are for', () => {
    expect(press(['1', '7', '.', '2', 'Enter'], 180)).toEqual(Array.from({ length: 5 }, () => 'let through'))
    expect(press(['m', 'u', 'w'], 8)).toEqual(['let through', 'let through', 'let through'])
  })
  it('that send nothing that is a length are let go', () => {
    expect(press(['0', '.', '0', '0', 'Enter'], 8).at(-1)).toBe('let through')
    expect(press(['7', 'Enter'], 8).at(-1)).toBe('let through')
  })
})
