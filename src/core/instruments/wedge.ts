import { readInstrumentLine } from './line'

/** A key as it is heard: what it writes, and when, ms. */
export interface HeardKey {
  readonly key: string
  readonly atMs: number
}

/** What becomes of a key: it is let through, kept from everybody else, or it ends a reading. */
export type Heard = 'let through' | 'swallowed' | { readonly line: string }

/** Hands do not type a figure this quickly, ms from key to key: it is an instrument that types. */
const QUICK_MS = 60
const LEAST_KEYS = 3
const ENDS = new Set(['Enter', 'Tab'])

/** Tells an instrument that types like a keyboard from hands: figures in quick succession, ended by Enter or Tab. */
export function makeWedge(): (pressed: HeardKey) => Heard {
  let typed = ''
  let lastMs = Number.NEGATIVE_INFINITY
  return ({ key, atMs }) => {
    const isQuick = atMs - lastMs < QUICK_MS
    lastMs = atMs
    if (ENDS.has(key)) {
      const line = typed
      typed = ''
      return isQuick && line.length >= LEAST_KEYS && readInstrumentLine(line) !== undefined ? { line } : 'let through'
    }
    if (key.length !== 1) return 'let through'
    typed = isQuick ? typed + key : key
    return isQuick && /[\d.,+-]/.test(key) ? 'swallowed' : 'let through'
  }
}
