'use client'
import { useEffect, useState } from 'react'

const STORE = 'fold-anvil-card-lines'

/** The two lines of the card as they were measured, kept on this device. */
export function useCardLines() {
  const [lines, setLines] = useState<readonly [string, string]>(['', ''])
  useEffect(() => {
    const [x = '', y = ''] = (localStorage.getItem(STORE) ?? '').split(' ')
    setLines([x, y])
  }, [])
  const keep = (next: readonly [string, string]) => {
    setLines(next)
    localStorage.setItem(STORE, next.join(' '))
  }
  return {
    lineX: lines[0],
    lineY: lines[1],
    setLineX: (x: string) => keep([x.trim(), lines[1]]),
    setLineY: (y: string) => keep([lines[0], y.trim()]),
  }
}
