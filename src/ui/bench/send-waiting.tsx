'use client'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useRef } from 'react'
import { useWorkshop } from '../shared/workshop-context'
import { arrivedUpTo } from './queue/arrived'
import { useEntryQueue } from './queue/use-entry-queue'
import { WaitingEntries } from './waiting-entries'

/**
 * Sends what still waits on this device from trays that were left, and shows the trays as they stand when it has arrived. `upTo` is where the
 * ledger ended when they were drawn: what arrived while they were on their way here, or before one came back to them, is asked for too.
 */
export function SendWaiting({ upTo }: { readonly upTo: number }) {
  const router = useRouter()
  const { uid } = useWorkshop()
  const asked = useRef(0)
  const seeAnew = useCallback(async () => {
    const arrived = arrivedUpTo(uid)
    if (arrived <= asked.current) return
    asked.current = arrived
    router.refresh()
  }, [router, uid])
  useEffect(() => {
    asked.current = Math.max(asked.current, upTo)
    void seeAnew()
  }, [upTo, seeAnew])
  const queue = useEntryQueue(seeAnew)
  const own = queue.queued.filter(({ entry }) => entry.workshop === uid)
  return (
    <WaitingEntries
      waiting={own.filter(({ refused }) => refused === null).length}
      reached={queue.reached}
      refused={own.filter(({ refused }) => refused !== null)}
      onDrop={(order) => void queue.drop(order)}
    />
  )
}
