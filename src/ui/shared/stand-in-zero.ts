/** When a stand-in for an instrument was set to zero on this device, ms as text; empty where it was not. */
export function zeroedAt(instrument: 'calipers' | 'scale'): string {
  try {
    return localStorage.getItem(`fold-anvil-${instrument}-zeroed`) ?? ''
  } catch {
    return ''
  }
}

/** Sets a stand-in to zero; false where this device keeps nothing. */
export function setToZero(instrument: 'calipers' | 'scale'): boolean {
  try {
    localStorage.setItem(`fold-anvil-${instrument}-zeroed`, String(Date.now()))
    return true
  } catch {
    return false
  }
}
