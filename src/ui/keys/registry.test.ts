import { describe, expect, it } from 'vitest'
import { KEY_PLACES, KEY_REGISTRY, type KeyInfo, keysAt } from './registry'

const KEYS = Object.values<KeyInfo>(KEY_REGISTRY)

describe('the registry of keys', () => {
  it('gives no way of pressing to two keys of one place, nor to one of a place and one of everywhere', () => {
    for (const place of Object.keys(KEY_PLACES)) {
      const pressed = KEYS.filter((key) => key.places.some((own) => own === place || own === 'everywhere')).flatMap((key) => key.keys)
      expect(new Set(pressed).size).toBe(pressed.length)
    }
  })
  it('says of each key what it does, and no single letter works while something is typed', () => {
    for (const { does, keys, inFields } of KEYS) {
      expect(does.length).toBeGreaterThan(5)
      if (inFields) for (const key of keys) expect(key).toMatch(/mod\+|escape/)
    }
  })
  it.each([
    ['/jobs', ['everywhere']],
    ['/pieces/4', ['everywhere', 'piece', 'drawing']],
    ['/layout/3', ['everywhere', 'layout']],
    ['/bench/2', ['bench', 'everywhere']],
    ['/bench', ['everywhere']],
  ])('on %s lists %j', (path, places) => {
    expect(keysAt(path).map(([place]) => place)).toEqual(places)
    for (const [, keys] of keysAt(path)) expect(keys.length).toBeGreaterThan(0)
  })
})
