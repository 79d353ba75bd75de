'use client'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { standingEntries, trayProgress, waitingNow, waitOverAt, withRework } from '@/core/logbook'
import { oneAtATime } from '../shared/one-at-a-time'
import { randomText } from '../shared/random-text'
import { useWorkshop } from '../shared/workshop-context'
import { deviceName } from './queue/device'
import type { OutgoingEntry, QueuedEntry } from './queue/store'
import { useEntryQueue } from './queue/use-entry-queue'
import type { BenchEntry, BenchStepView, BenchTrayView } from './tray-view'

const ANSWER_WITHIN_MS = 8000

/** What of an entry still waits to be said when it is made. */
export type NewBenchEntry = Pick<OutgoingEntry, 'kind'> &
  Partial<Pick<OutgoingEntry, 'text' | 'part' | 'dimension' | 'value' | 'valueMm' | 'instrument' | 'reverses'>> & {
    readonly stepId: string | null
    readonly workpiece: number | null
  }

/** The item an entry is of: of the part that is made again or that its step works, and where it is of no step, of the first. */
function itemOf(tray: BenchTrayView, steps: readonly BenchStepView[], entry: NewBenchEntry): string | null {
  const again = entry.kind === 'loss' ? entry.part : undefined
  const part = again ?? steps.find(({ id }) => id === entry.stepId)?.part ?? tray.parts[0]?.id
  return entry.workpiece === null ? null : `${tray.uid}/${part}/${entry.workpiece}`
}

function asEntry({ entry }: QueuedEntry): BenchEntry {
  return {
    token: entry.token,
    kind: entry.kind,
    stepId: entry.step,
    workpiece: entry.item === null ? null : Number(entry.item.split('/').at(-1)),
    text: entry.text ?? '',
    dimension: entry.dimension ?? null,
    value: entry.valueMm ?? null,
    instrument: entry.instrument ?? '',
    again: entry.kind === 'loss' ? (entry.part ?? null) : null,
    at: entry.at,
    reverses: entry.reverses ?? null,
  }
}

/** What was set going by the last step done looks after itself long enough; work on the next does not begin before. */
function beganAfter(steps: readonly BenchStepView[], entries: readonly BenchEntry[]): number {
  const done = entries.filter(({ kind }) => kind === 'done')
  return Math.max(Date.parse(done.at(-1)?.at ?? '') || 0, waitOverAt(waitingNow(steps, done)))
}

/** Since when the piece in hand has been in hand on this page; nothing of one that was in hand already when the page was opened. */
function useBegan(place: string, notBefore: number) {
  const began = useRef<string | null>(null)
  const known = useRef(place)
  useEffect(() => {
    if (known.current === place) return
    known.current = place
    began.current = new Date(Math.max(Date.now(), notBefore)).toISOString()
  }, [place, notBefore])
  return began
}

/** A tray on this device: what the program knows of it, and what waits here, folded into where it stands. */
export function useTray(tray: BenchTrayView) {
  const { uid } = useWorkshop()
  const [known, setKnown] = useState<readonly BenchEntry[]>(tray.entries)
  /** Asked one at a time: an older answer that came last would take back what is done. */
  const refetch = useMemo(
    () =>
      oneAtATime(async () => {
        try {
          const response = await fetch(`/api/v1/trays/${tray.id}/entries`, { signal: AbortSignal.timeout(ANSWER_WITHIN_MS) })
          const answer = (await response.json()) as { tray?: string; entries?: BenchEntry[] }
          if (answer.tray === tray.uid && answer.entries) setKnown(answer.entries)
        } catch {
          // What was known stays; the next round asks again.
        }
      }),
    [tray.id, tray.uid],
  )
  // the page may have been kept on this device for a while
  useEffect(() => void refetch(), [refetch])
  const queue = useEntryQueue(refetch)
  const isOfTray = ({ entry }: QueuedEntry) => entry.tray === tray.uid && entry.workshop === uid
  const sent = queue.sent.filter(isOfTray)
  const { toldBack } = queue
  useEffect(() => toldBack(known.map(({ token }) => token)), [known, toldBack])
  const waiting = queue.queued.filter((item) => isOfTray(item) && item.refused === null)
  const entries = standingEntries([...known, ...[...sent, ...waiting].map(asEntry)])
  const steps = useMemo(
    () =>
      withRework(tray.steps, entries, (step, op) => ({
        ...step,
        ...(op === 'solder' ? {} : { ...tray.rework[op], heat: null }),
        target: null,
        sizes: [],
        reasons: [],
        lostBefore: null,
      })),
    [tray, entries],
  )
  const progress = trayProgress(tray.size, steps, entries)
  const inHand = steps[progress.stepIndex]
  const began = useBegan(`${inHand?.id}-${progress.workpiece}`, beganAfter(steps, entries))

  const add = useCallback(
    async (entry: NewBenchEntry): Promise<boolean> => {
      const { stepId, workpiece: _, ...words } = entry
      const isOverDays = steps.some(({ id, restS }) => id === stepId && restS > 0)
      return queue.add({
        ...words,
        workshop: uid,
        token: randomText(),
        device: deviceName(),
        tray: tray.uid,
        item: itemOf(tray, steps, entry),
        step: stepId,
        ...(entry.kind === 'done' && began.current !== null && !isOverDays ? { startedAt: began.current } : {}),
        at: new Date().toISOString(),
      })
    },
    [queue.add, uid, tray, steps, began],
  )
  return {
    entries,
    steps,
    progress,
    add,
    waitingCount: waiting.length,
    isRead: queue.isRead,
    refused: queue.queued.filter((item) => item.refused !== null),
    settled: queue.settled,
    drop: queue.drop,
    reached: queue.reached,
  }
}
