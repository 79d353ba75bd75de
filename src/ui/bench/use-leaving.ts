import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { useTray } from './use-tray'

/** Leaving waits at most so long for what is still on its way. */
const LEAVING_MS = 1500

/** The ways out of a tray: what was entered last is let through first, and where nothing answers that is said. */
export function useLeaving(
  { settled, reached }: Pick<ReturnType<typeof useTray>, 'settled' | 'reached'>,
  pieceId: number,
  say: (words: string) => void,
) {
  const router = useRouter()
  const [wantsOut, setWantsOut] = useState(false)
  /** What was just entered gets the moment it needs, so that the bench one comes to knows of it. */
  const goOut = async () => {
    await Promise.race([settled(), new Promise((done) => setTimeout(done, LEAVING_MS))])
    router.push('/bench')
  }
  /** The record tells what the program has. */
  const seeRecord = async () => {
    if (!reached) return say('The program is not responding: the record opens when it does. What was entered is kept on this device.')
    await settled()
    router.push(`/pieces/${pieceId}/record`)
  }
  return {
    leave: () => {
      if (reached || wantsOut || navigator.serviceWorker?.controller) return void goOut()
      setWantsOut(true)
      say('The program is not responding: once left, this page may not open again until it does. Press once more to leave all the same.')
    },
    seeRecord: () => void seeRecord(),
  }
}
