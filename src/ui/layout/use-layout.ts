'use client'
import { useMemo, useRef, useState } from 'react'
import { useStore } from 'zustand'
import { findIllegal, type LayoutInput, type Placement } from '@/core/layout'
import { createHistory } from '../acting/history-store'
import { useSaving } from '../acting/use-saving'
import { useWorkshop } from '../shared/workshop-context'
import { blankHands } from './blank-hands'
import { inOrder, type LayoutSetup } from './layout-setup'
import type { Selection } from './selection'
import { useSearch } from './use-search'

/** A search for places takes so long at most. */
export const SEARCH_SECONDS = 8

/** What a search has come to is not written before it is over. */
const AFTER_SEARCH_MS = 2000 * SEARCH_SECONDS

/** What lies on which sheet. */
interface Lying {
  readonly sheetId: number
  readonly placements: readonly Placement[]
}

/** What lies on which sheet, with the changes that go back and forward again, and its saving. */
function useLying({ jobId, items, sheets, draft, kerfMm, marginMm }: LayoutSetup) {
  const { uid } = useWorkshop()
  const [firstFit] = inOrder(sheets, items)
  const [history] = useState(() =>
    createHistory<Lying>({ sheetId: draft?.sheetId ?? firstFit?.id ?? 0, placements: draft?.placements ?? [] }),
  )
  const lying = useStore(history)
  const canUndo = useStore(history.temporal, ({ pastStates }) => pastStates.length > 0)
  const canRedo = useStore(history.temporal, ({ futureStates }) => futureStates.length > 0)
  const [layoutId, setLayoutId] = useState(draft?.id ?? null)
  const saving = useSaving({
    name: 'saveLayout',
    keepAs: `layout-${uid}-${jobId}`,
    revision: draft?.revision ?? 0,
    onSaved: (done) => setLayoutId(done.id),
    onNewer: () => {
      if (!draft) return
      history.setState({ sheetId: draft.sheetId, placements: draft.placements })
      history.temporal.getState().clear()
    },
  })
  const save = (delayMs = 400) =>
    saving.saveSoon(() => {
      const now = history.getState()
      return { jobId, sheetId: now.sheetId, kerfMm, marginMm, placements: [...now.placements] }
    }, delayMs)
  return { ...lying, canUndo, canRedo, layoutId, saving, save, history }
}

/** The layout under the hands: which sheet, where each blank lies, what cannot be cut, and its saving. */
export function useLayout(setup: LayoutSetup) {
  const { items, sheets, gapMm, marginMm } = setup
  const { sheetId, placements, canUndo, canRedo, layoutId, saving, save, history } = useLying(setup)
  const choice = sheets.find((sheet) => sheet.id === sheetId)
  const instance = useMemo(
    (): LayoutInput => ({
      name: '',
      objective: 'place',
      kerfMm: gapMm,
      marginMm,
      seconds: SEARCH_SECONDS,
      iterations: null,
      seed: 1,
      sheets: choice ? [choice.sheet] : [],
      items: items.map((entry) => entry.item),
    }),
    [choice, items, gapMm, marginMm],
  )
  const onSheet = {
    placements: () => history.getState().placements,
    /** However often a search gets better, one step back undoes it. It is written when the search ends, or the page is left. */
    take: (next: readonly Placement[], isFirst: boolean) => {
      const { pause, resume } = history.temporal.getState()
      if (!isFirst) pause()
      history.setState({ sheetId, placements: next })
      resume()
      save(AFTER_SEARCH_MS)
    },
    save,
  }
  const latest = useRef(onSheet)
  latest.current = onSheet
  const { busy, said, pack, stop } = useSearch(instance, latest)
  // what a search has come to is legal by its own exact test
  const illegal = useMemo(() => (busy ? [] : findIllegal(instance, placements)), [busy, instance, placements])
  const byId = useMemo(() => new Map(items.map((entry) => [entry.item.id, entry])), [items])

  const keep = (next: readonly Placement[], sheet = sheetId) => {
    // a hand on the blanks ends a search; what it had come to stands
    stop()
    history.setState({ sheetId: sheet, placements: next })
    save()
  }
  const step = (way: 'undo' | 'redo') => {
    stop()
    history.temporal.getState()[way]()
    save()
  }
  const hands = blankHands({ placements, byId, sheet: choice?.sheet, keep })

  return {
    choice,
    instance,
    sheetId,
    placements,
    illegal,
    layoutId,
    busy,
    said: saving.refusal || said,
    pack,
    stop,
    state: saving.state,
    revision: saving.revision,
    stored: saving.stored,
    /** Takes every blank off the sheet: what was reserved there is free again. */
    clear: () => keep([]),
    /** The same places on a remnant of the sheet: a remnant lies where it lay. */
    moveTo: (id: number) =>
      keep(
        placements.map((place) => ({ ...place, sheet: String(id) })),
        id,
      ),
    /** One change back or forward again. */
    undo: () => step('undo'),
    redo: () => step('redo'),
    canUndo,
    canRedo,
    chooseSheet: (id: number) => keep([], id),
    /** The blanks on another sheet, where a search has laid them. */
    layOn: (id: number, next: readonly Placement[]) => keep(next, id),
    byId,
    hands,
    /** Pins what is selected and lays all else round it. */
    fitRound: (keys: Selection) => {
      hands.setPinned(keys, true)
      void pack()
    },
  }
}
export type LayoutHand = ReturnType<typeof useLayout>
