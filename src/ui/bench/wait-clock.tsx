'use client'
import { useEffect, useRef, useState } from 'react'
import { ring } from './ring'

function left(sinceAt: string, waitS: number, now: number): number {
  return Math.round(waitS - (now - Date.parse(sinceAt)) / 1000)
}

const HOUR_S = 3600

/** What is left of a wait: to the second, and of hours to the minute. */
const leftWords = (seconds: number) =>
  seconds < HOUR_S
    ? `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
    : `${Math.floor(seconds / HOUR_S)} h ${Math.floor((seconds % HOUR_S) / 60)} min`

/** Counts a wait down, then says that it is over. */
export function WaitClock({ title, sinceAt, waitS }: { readonly title: string; readonly sinceAt: string; readonly waitS: number }) {
  const [now, setNow] = useState<number | null>(null)
  useEffect(() => {
    setNow(Date.now())
    const timer = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(timer)
  }, [])
  const seconds = now === null ? null : left(sinceAt, waitS, now)
  const wasLeft = useRef(seconds)
  useEffect(() => {
    // it rings when it ends while it is looked at, not each time a page is opened afterwards
    if (wasLeft.current !== null && wasLeft.current > 0 && seconds !== null && seconds <= 0) ring()
    wasLeft.current = seconds
  }, [seconds])
  if (seconds === null) return <span>{title.toLowerCase()}</span>
  if (seconds <= 0) return <span>{title.toLowerCase()}: time is up, look at it</span>
  return (
    <span>
      {title.toLowerCase()}: <b className="fig">{leftWords(seconds)}</b> to go
    </span>
  )
}
