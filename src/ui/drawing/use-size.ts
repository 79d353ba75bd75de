'use client'
import { useEffect, useRef, useState } from 'react'

/** The width and height an element really has, so that a drawing fills it true to scale. */
export function useSize(initial: { width: number; height: number }) {
  const ref = useRef<HTMLDivElement>(null)
  const [size, setSize] = useState(initial)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: Math.max(260, entry.contentRect.width), height: Math.max(200, entry.contentRect.height) })
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { ref, ...size }
}
