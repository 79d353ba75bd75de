import { useCallback, useState } from 'react'
import type { FarOff } from '@/core/logbook'
import { parseSize } from '@/core/sizes'
import { useAsSeen } from './use-as-seen'
import type { NewBenchEntry, useTray } from './use-tray'

/** What lies over the step: nothing, the box for a reading, a question about one, why a piece is lost; the box for the check piece. */
export type Panel =
  | { readonly kind: 'none' | 'type' | 'check' | 'wrong' | 'failed' | 'colour' }
  | { readonly kind: 'ask'; readonly far: FarOff; readonly typed: string; readonly instrument: string; readonly from: 'type' | 'none' }

export const NO_PANEL: Panel = { kind: 'none' }

/** What lies over the step or is waited for, what is typed in its box, and what is said of the last press: every press that writes goes through here. */
export function useWriting({ add, isRead }: Pick<ReturnType<typeof useTray>, 'add' | 'isRead'>, seen: string) {
  const [panel, setPanel] = useState<Panel>(NO_PANEL)
  const [draft, setDraft] = useState('')
  const [said, setSaid] = useState('')
  /** Set while a steady figure is waited for. */
  const [holding, setHolding] = useState(false)
  const asSeen = useAsSeen(isRead, seen)
  /** Writes an entry down where what it was made on still stands there; whether this device has kept it. */
  const write = useCallback(
    async (entry: NewBenchEntry, words: string): Promise<boolean> => {
      setPanel(NO_PANEL)
      setHolding(false)
      if (!(await asSeen())) {
        setSaid('More was done already than was shown, and nothing was written. What is in hand now stands here: press once more for it.')
        return false
      }
      const kept = await add(entry)
      setSaid(kept ? words : 'This device could not store it: its storage is full or blocked. Free some space, then do it again.')
      return kept
    },
    [add, asSeen],
  )
  /** A size as it was typed, mm; undefined where it is none, and then that is said. */
  const sizeOf = (typed: string): number | undefined => {
    const size = parseSize(typed, { gaugeSystem: 'B&S' })
    if ('mm' in size) return size.mm
    setSaid(size.kind === 'unknown' ? size.message : size.question)
    return undefined
  }
  return { sizeOf, panel, setPanel, draft, setDraft, said, setSaid, holding, setHolding, write }
}
export type Writing = ReturnType<typeof useWriting>
