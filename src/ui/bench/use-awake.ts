'use client'
import { useEffect } from 'react'

/** Keeps the screen awake while the page is in sight, where the browser lets a page ask for that. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    let isHere = true
    const ask = async () => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return
      const got = await navigator.wakeLock.request('screen').catch(() => undefined)
      if (isHere) lock = got
      else void got?.release()
    }
    void ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      isHere = false
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
}
