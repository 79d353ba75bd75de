import { describe, expect, it } from 'vitest'
import { CRACKED, isCracked, lossHint, type TrayAtStep } from './loss-hints'

const tray = (pieces: number, lost: readonly string[], wasAnnealed = false): TrayAtStep => ({ pieces, lost, wasAnnealed })

describe('what was lost at a step', () => {
  it('is warned of with how many, why, and what the others had', () =>
    expect(lossHint([tray(3, ['split or cracked', 'split or cracked']), tray(1, ['split or cracked']), tray(1, [], true)])).toBe(
      '3 of your last 5 were lost here: split or cracked (3). All of them without an anneal before it; none was lost with one.',
    ))
  it('does not blame the anneal where annealed ones were lost too', () =>
    expect(lossHint([tray(4, ['melted']), tray(4, ['melted'], true)])).toBe('2 of your last 8 were lost here: melted (2).'))
  it('says that none was annealed where none was', () =>
    expect(lossHint([tray(6, ['', 'rim folded'])])).toBe(
      '2 of your last 6 were lost here: no reason noted, rim folded. None of them was annealed before it.',
    ))
  it('says nothing of few pieces, nor of one among many', () => {
    expect(lossHint([tray(2, ['split', 'split'])])).toBeUndefined()
    expect(lossHint([tray(40, ['dropped'])])).toBeUndefined()
    expect(lossHint([tray(40, [])])).toBeUndefined()
    expect(lossHint([tray(4, ['dropped'], true)])).toBe('1 of your last 4 was lost here: dropped.')
  })
})

describe('a reason', () => {
  it.each([CRACKED, 'Split at the rim', 'a crack along the fold', 'tore in the third course'])(
    '%s says that the metal gave way',
    (reason) => expect(isCracked(reason)).toBe(true),
  )
  it.each(['melted', 'cut under size', 'rim folded', 'crackle finish not wanted'])('%s says nothing of the kind', (reason) =>
    expect(isCracked(reason)).toBe(false),
  )
})
