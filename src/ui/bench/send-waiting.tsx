'use client'
import { useRouter } from 'next/navigation'
import { useCallback } from 'react'
import { useWorkshop } from '../shared/workshop-context'
import { useEntryQueue } from './queue/use-entry-queue'
import { WaitingEntries } from './waiting-entries'

/** Sends what still waits on this device from trays that were left, and shows the trays as they stand when it has arrived. */
export function SendWaiting() {
  const router = useRouter()
  const { uid } = useWorkshop()
  const onSent = useCallback(async () => router.refresh(), [router])
  const queue = useEntryQueue(onSent)
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
