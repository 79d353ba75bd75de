import { describe, expect, it } from 'vitest'
import { isReason } from './reason'

describe('a reason', () => {
  it.each(['x', '', '   ', '...', 'ok', 'because', 'x y z', '1 2 3'])('"%s" is none', (text) => expect(isReason(text)).toBe(false))
  it.each(['rim is thick', 'Probe zuerst', 'tried on scrap'])('"%s" is one', (text) => expect(isReason(text)).toBe(true))
  it('nothing is none', () => expect(isReason(undefined)).toBe(false))
})
