import { randomText } from '../../shared/random-text'

const STORE = 'fold-anvil-device-name'

/** This browser's own name in the ledger: made once, kept as long as the browser keeps anything. */
export function deviceName(): string {
  try {
    const known = localStorage.getItem(STORE)
    if (known) return known
    const name = `device-${randomText(12)}`
    localStorage.setItem(STORE, name)
    return name
  } catch {
    return `device-${randomText(12)}`
  }
}
