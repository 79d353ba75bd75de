'use client'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { oneAtATime } from '../../shared/one-at-a-time'
import { onArrived, sayArrived } from './arrived'
import { asOnlySender } from './claim'
import { postEntry, sendRound } from './sender'
import {
  dropQueued,
  enqueue,
  forgetSent,
  keptHere,
  markQueued,
  markSent,
  type OutgoingEntry,
  type QueuedEntry,
  queuedEntries,
} from './store'

const TRY_MS = 2000
const LONGEST_TRY_MS = 15_000

export interface EntryQueue {
  /** Whether what this device keeps has been looked at; before, nobody knows where a tray stands. */
  readonly isRead: boolean
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

/** Both together; what is in both stands once. */
function together(before: readonly QueuedEntry[], now: readonly QueuedEntry[]): QueuedEntry[] {
  const known = new Set(before.map(({ entry }) => entry.token))
  return [...before, ...now.filter(({ entry }) => !known.has(entry.token))].sort((a, b) => a.order - b.order)
}

/**
 * The entries of this device on their way to the program: kept first, sent in order, until each is acknowledged. Where any has arrived, from
 * here or from another page, `onArrival` asks the program anew.
 */
export function useEntryQueue(onArrival: () => Promise<void>): EntryQueue {
  const [sent, setSent] = useState<readonly QueuedEntry[]>([])
  const [queued, setQueued] = useState<readonly QueuedEntry[]>([])
  const [reached, setReached] = useState(true)
  const [isRead, setRead] = useState(false)
  const delay = useRef(TRY_MS)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const lastRound = useRef<Promise<void>>(Promise.resolve())
  const again = useRef<() => Promise<void>>(() => Promise.resolve())
  const isLeft = useRef(false)

  /** What this page knows as sent stays until this page is told it back: another may have been, and have it forgotten. */
  const look = useMemo(
    () =>
      oneAtATime(async () => {
        const kept = await keptHere().catch(() => undefined)
        setRead(true)
        if (!kept) return
        setSent((before) => together(before, kept.sent))
        setQueued(kept.queued)
      }),
    [],
  )

  const send = useCallback(async () => {
    clearTimeout(timer.current)
    await asOnlySender(async () => {
      /** Known as sent before it leaves the queue: there is no moment at which the page knows nothing of it. */
      const drop = (entry: QueuedEntry) => {
        setSent((before) => together(before, [entry]))
        return markSent(entry)
      }
      const round = await sendRound({ all: queuedEntries, drop, mark: markQueued, post: postEntry })
      setReached(round.through)
      delay.current = round.through ? TRY_MS : Math.min(LONGEST_TRY_MS, 2 * delay.current)
      if (round.sent) sayArrived(round.sent)
    }).catch(() => undefined)
    await look()
    // a page that is left finishes its round and begins no other
    if (!isLeft.current) timer.current = setTimeout(() => void again.current(), delay.current)
  }, [look])
  const nextRound = useMemo(() => oneAtATime(send), [send])
  again.current = nextRound

  useEffect(() => {
    isLeft.current = false
    const stop = onArrived(() => void onArrival().then(look))
    const onSight = () => {
      if (document.visibilityState === 'visible') void nextRound()
    }
    document.addEventListener('visibilitychange', onSight)
    // what the device keeps is known at once, however long the program takes to answer
    void look()
    void nextRound()
    return () => {
      isLeft.current = true
      clearTimeout(timer.current)
      document.removeEventListener('visibilitychange', onSight)
      stop()
    }
  }, [nextRound, look, onArrival])

  const add = useCallback(
    async (entry: OutgoingEntry) => {
      try {
        await enqueue(entry)
      } catch {
        return false
      }
      await look()
      lastRound.current = nextRound()
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
    setSent((before) => {
      const left = before.filter(({ entry }) => !tokens.includes(entry.token))
      return left.length === before.length ? before : left
    })
    void forgetSent(tokens).catch(() => undefined)
  }, [])
  const settled = useCallback(() => lastRound.current, [])
  return { isRead, queued, sent, toldBack, reached, add, settled, drop }
}
