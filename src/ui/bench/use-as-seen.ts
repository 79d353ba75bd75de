import { useCallback, useEffect, useRef } from 'react'

/**
 * Until this device has been looked at nobody knows which piece is in hand: a press made before waits for it,
 * and counts only where what it was made on (`seen`) is still what stands there.
 */
export function useAsSeen(isRead: boolean, seen: string): () => Promise<boolean> {
  const waiting = useRef<{ readonly on: string; readonly settle: (counts: boolean) => void }[]>([])
  useEffect(() => {
    if (isRead) for (const { on, settle } of waiting.current.splice(0)) settle(on === seen)
  }, [isRead, seen])
  return useCallback(
    () => (isRead ? Promise.resolve(true) : new Promise((settle) => waiting.current.push({ on: seen, settle }))),
    [isRead, seen],
  )
}
