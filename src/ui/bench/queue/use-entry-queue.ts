'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { asOnlySender } from './claim'
import { postEntry, sendRound } from './sender'
import {
  dropQueued,
  enqueue,
  forgetSent,
  markQueued,
  markSent,
  type OutgoingEntry,
  type QueuedEntry,
  queuedEntries,
  sentEntries,
} from './store'

const TRY_MS = 2000
const LONGEST_TRY_MS = 15_000

export interface EntryQueue {
  readonly queued: readonly QueuedEntry[]
  /** What this device has sent: it stays known until the program tells it back. */
  readonly sent: readonly QueuedEntry[]
  /** Says which of what was sent the program has told back. */
  readonly toldBack: (tokens: readonly string[]) => void
  /** Whether the last round reached the program. */
  readonly reached: boolean
  /** Keeps an entry on the device and sends it; false where the device would not keep it. */
  readonly add: (entry: OutgoingEntry) => Promise<boolean>
  /** Kept once what was added last has had its round, whether or not it was reached. */
  readonly settled: () => Promise<void>
  /** Lets go of an entry that was refused. */
  readonly drop: (order: number) => Promise<void>
}

/** The entries of this device on their way to the program: kept first, sent in order, until each is acknowledged. */
export function useEntryQueue(onSent: () => Promise<void>): EntryQueue {
  const [sent, setSent] = useState<readonly QueuedEntry[]>([])
  const [queued, setQueued] = useState<readonly QueuedEntry[]>([])
  const [reached, setReached] = useState(true)
  const delay = useRef(TRY_MS)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const lastRound = useRef<Promise<void>>(Promise.resolve())
  const isAsked = useRef(false)
  const again = useRef<() => Promise<void>>(() => Promise.resolve())
  const channel = useRef<BroadcastChannel>(undefined)

  const look = useCallback(async () => {
    setSent(await sentEntries().catch(() => []))
    setQueued(await queuedEntries().catch(() => []))
  }, [])

  const send = useCallback(async () => {
    clearTimeout(timer.current)
    await asOnlySender(async () => {
      /** Known as sent before it leaves the queue: there is no moment at which the page knows nothing of it. */
      const drop = (entry: QueuedEntry) => {
        setSent((before) => [...before, entry])
        return markSent(entry)
      }
      const round = await sendRound({ all: queuedEntries, drop, mark: markQueued, post: postEntry })
      setReached(round.through)
      delay.current = round.through ? TRY_MS : Math.min(LONGEST_TRY_MS, 2 * delay.current)
      if (round.sent > 0) {
        channel.current?.postMessage('sent')
        void onSent()
      }
    }).catch(() => undefined)
    await look()
    timer.current = setTimeout(() => void again.current(), delay.current)
  }, [look, onSent])
  /** Rounds follow one another; whatever is asked for while one is under way is one more round after it. */
  const nextRound = useCallback(() => {
    if (isAsked.current) return lastRound.current
    isAsked.current = true
    lastRound.current = lastRound.current.then(() => {
      isAsked.current = false
      return send()
    })
    return lastRound.current
  }, [send])
  again.current = nextRound

  useEffect(() => {
    channel.current = new BroadcastChannel('fold-anvil-bench')
    channel.current.onmessage = () => {
      void onSent().then(look)
    }
    const onSight = () => {
      if (document.visibilityState === 'visible') void nextRound()
    }
    document.addEventListener('visibilitychange', onSight)
    void nextRound()
    return () => {
      clearTimeout(timer.current)
      document.removeEventListener('visibilitychange', onSight)
      channel.current?.close()
    }
  }, [nextRound, look, onSent])

  const add = useCallback(
    async (entry: OutgoingEntry) => {
      try {
        await enqueue(entry)
      } catch {
        return false
      }
      await look()
      void nextRound()
      return true
    },
    [look, nextRound],
  )
  const drop = useCallback(
    async (order: number) => {
      await dropQueued(order)
      await look()
    },
    [look],
  )
  const toldBack = useCallback((tokens: readonly string[]) => {
    void forgetSent(tokens).catch(() => undefined)
  }, [])
  const settled = useCallback(() => lastRound.current, [])
  return { queued, sent, toldBack, reached, add, settled, drop }
}
