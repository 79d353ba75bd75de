'use client'
import { useRouter } from 'next/navigation'
import { useRef } from 'react'
import { useWorkshop } from '../shared/workshop-context'
import { useAct } from './act-provider'
import { useSaving } from './use-saving'

/** Saves a piece's design as it changes under the hands, and moves it one change back or forward again: the same on every station. */
export function usePieceSaving(piece: { readonly id: number; readonly revision: number }, onNewer: () => void) {
  const { uid } = useWorkshop()
  const act = useAct()
  const router = useRouter()
  const saving = useSaving({
    name: 'saveDesign',
    keepAs: `design-${uid}-${piece.id}`,
    revision: piece.revision,
    onSaved: () => router.refresh(),
    onNewer,
  })
  const { revision } = saving
  const before = useRef<Promise<string>>(Promise.resolve(''))
  const moveNow = async (way: 'undo' | 'redo'): Promise<string> => {
    await saving.stored()
    const moved = await act('moveRevision', { pieceId: piece.id, way }, { revision: revision.current })
    if (moved.ok) revision.current = Math.max(revision.current, moved.revision)
    return moved.ok ? '' : moved.message
  }
  return {
    ...saving,
    /** Each move after the one before, and after everything on the page is stored; gives what stood in its way, or nothing. */
    move: (way: 'undo' | 'redo'): Promise<string> => {
      before.current = before.current.then(() => moveNow(way))
      return before.current
    },
  }
}
