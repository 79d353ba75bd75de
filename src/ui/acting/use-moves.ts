'use client'
import { useRef } from 'react'
import { useAct } from './act-provider'
import type { useSaving } from './use-saving'

type Way = 'undo' | 'redo'

/** One change of a piece back or forward again, each after the one before, and after everything on the page is stored. */
export function useMoves(pieceId: number, { stored, revision }: Pick<ReturnType<typeof useSaving>, 'stored' | 'revision'>) {
  const act = useAct()
  const before = useRef<Promise<string>>(Promise.resolve(''))
  const move = async (way: Way): Promise<string> => {
    await stored()
    const moved = await act('moveRevision', { pieceId, way }, { revision: revision.current })
    if (moved.ok) revision.current = Math.max(revision.current, moved.revision)
    return moved.ok ? '' : moved.message
  }
  /** Gives what stood in its way, or nothing. */
  return (way: Way): Promise<string> => {
    before.current = before.current.then(() => move(way))
    return before.current
  }
}
