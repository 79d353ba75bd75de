'use client'
import { useEffect, useRef } from 'react'
import { makeWedge } from '@/core/instruments'

const isField = (target: EventTarget | null) => target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement

/** Takes readings of calipers that type like a keyboard while nothing has the focus; what they type is kept from everything else that listens. */
export function useWedge(onReading: ((typed: string) => void) | undefined): void {
  const take = useRef(onReading)
  take.current = onReading
  useEffect(() => {
    const wedge = makeWedge()
    const listen = (event: KeyboardEvent) => {
      if (!take.current || isField(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      const heard = wedge({ key: event.key, atMs: event.timeStamp })
      if (heard === 'let through') return
      event.stopImmediatePropagation()
      if (heard === 'swallowed') return
      event.preventDefault()
      take.current(heard.line)
    }
    window.addEventListener('keydown', listen, { capture: true })
    return () => window.removeEventListener('keydown', listen, { capture: true })
  }, [])
}
