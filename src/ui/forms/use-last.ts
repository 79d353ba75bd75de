'use client'
import { useRef } from 'react'

/** The value, or the last one there was: a drawing stays while a size is being retyped. */
export function useLast<T>(value: T | undefined): T | undefined {
  const last = useRef<T>(undefined)
  if (value !== undefined) last.current = value
  return last.current
}
