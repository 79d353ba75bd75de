'use client'
import { useRef, useState } from 'react'
import type { UnderWay } from '@/server/long/under-way'
import { randomText } from './random-text'

const ASK_MS = 200

/** Waits for long work of the program: how far it is, and a way to call it off. */
export function useUnderWay() {
  const [told, setTold] = useState<UnderWay | null>(null)
  const address = useRef('')

  async function ask(): Promise<void> {
    const asked = address.current
    const answer = await fetch(asked).catch(() => undefined)
    if (!answer?.ok) return
    const far = (await answer.json()) as UnderWay
    if (address.current === asked) setTold(far)
  }

  /** Runs work under a name that the program knows it by. */
  async function wait<T>(run: (work: string) => Promise<T>): Promise<T> {
    const name = randomText(20).toLowerCase()
    address.current = `/api/under-way/${name}`
    setTold({ step: 'Starting', share: null, secondsLeft: null })
    const timer = setInterval(() => void ask(), ASK_MS)
    try {
      return await run(name)
    } finally {
      clearInterval(timer)
      address.current = ''
      setTold(null)
    }
  }

  function callOff(): void {
    if (address.current) void fetch(address.current, { method: 'DELETE' }).catch(() => undefined)
  }
  return { told, wait, callOff }
}
