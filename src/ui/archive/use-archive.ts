'use client'
import { useState } from 'react'
import type { ArchiveKind } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'

export interface Thing {
  readonly kind: ArchiveKind
  readonly id: number
  readonly name: string
}

interface Found {
  readonly name: string
  readonly revision: number
  /** What hangs on it, in words. */
  readonly hanging: readonly string[]
  /** Why it cannot be deleted for good; null where it can. */
  readonly kept: string | null
}

export interface Asking {
  readonly thing: Thing
  readonly found: Found
  readonly way: 'archive' | 'delete'
}

/** Puts things away and takes them out: asks first where something hangs on them, and tells of it with Undo. */
export function useArchive(onDone: (thing: Thing) => void = () => undefined) {
  const act = useAct()
  const say = useNotice()
  const { uid } = useWorkshop()
  const [asking, setAsking] = useState<Asking | null>(null)

  async function lookAt({ kind, id }: Thing): Promise<Found | undefined> {
    try {
      const answer = await fetch(`/api/archive/${kind}/${id}?of=${uid}`)
      if (answer.ok) return (await answer.json()) as Found
      say({ text: ((await answer.json()) as { error: { message: string } }).error.message })
    } catch {
      say({ text: 'The program cannot be reached, and nothing was changed. Check that it is running, and try again.' })
    }
    return undefined
  }

  async function takeOut(thing: Thing, revision: number): Promise<void> {
    const done = await act('takeOutOfArchive', { kind: thing.kind, id: thing.id }, { revision })
    say({ text: done.ok ? `${thing.name} is back.` : done.message })
    if (done.ok) onDone(thing)
  }

  async function putAway(thing: Thing, revision: number): Promise<void> {
    const done = await act('archiveThing', { kind: thing.kind, id: thing.id }, { revision })
    say(done.ok ? { text: `${thing.name} is in the archive.`, undo: () => takeOut(thing, done.revision) } : { text: done.message })
    if (done.ok) onDone(thing)
  }

  async function deleteNow(thing: Thing, revision: number): Promise<void> {
    const done = await act('deleteForGood', { kind: thing.kind, id: thing.id }, { revision })
    say({ text: done.ok ? `${thing.name} is deleted.` : done.message })
    if (done.ok) onDone(thing)
  }

  return {
    asking,
    archive: async (thing: Thing) => {
      const found = await lookAt(thing)
      if (!found) return
      if (found.hanging.length > 0) setAsking({ thing, found, way: 'archive' })
      else await putAway(thing, found.revision)
    },
    takeOut,
    deleteForGood: async (thing: Thing) => {
      const found = await lookAt(thing)
      if (found) setAsking({ thing, found, way: 'delete' })
    },
    answer: async (yes: boolean) => {
      setAsking(null)
      if (!yes || !asking) return
      const { thing, found, way } = asking
      await (way === 'archive' ? putAway(thing, found.revision) : deleteNow(thing, found.revision))
    },
  }
}
