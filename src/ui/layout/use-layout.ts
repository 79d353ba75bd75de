'use client'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useStore } from 'zustand'
import { netAreaMm2 } from '@/core/geometry'
import {
  aroundPinned,
  findIllegal,
  isSameMetal,
  type LayoutInput,
  type LayoutItem,
  type LayoutSheet,
  metalMm2,
  type Placement,
} from '@/core/layout'
import { packInWorkers } from '@/workers/pack-client'
import { createHistory } from '../acting/history-store'
import { useSaving } from '../acting/use-saving'
import { useWorkshop } from '../shared/workshop-context'
import { keyOf, movedBy, type Selection, turnedBy } from './selection'

export interface SheetChoice {
  readonly id: number
  readonly label: string
  readonly alloy: string
  readonly thicknessMm: number
  readonly sheet: LayoutSheet
  /** What other jobs have lying there. */
  readonly reserved: readonly { readonly jobId: number; readonly jobTitle: string; readonly count: number }[]
}

/** A job's layout that is not cut yet. */
export interface DraftLayout {
  readonly id: number
  readonly revision: number
  readonly sheetId: number
  readonly placements: readonly Placement[]
}

export interface LayoutSetup {
  readonly jobId: number
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly sheets: readonly SheetChoice[]
  readonly draft: DraftLayout | null
  readonly kerfMm: number
  /** What blanks must have between them: the kerf, or more for other ways to cut them than the saw. */
  readonly gapMm: number
  readonly marginMm: number
}

/** A search for places takes so long at most. */
export const SEARCH_SECONDS = 8

/** What a search has come to is not written before it is over. */
const AFTER_SEARCH_MS = 2000 * SEARCH_SECONDS

/** What lies on which sheet. */
interface Lying {
  readonly sheetId: number
  readonly placements: readonly Placement[]
}

/** How many blanks lie there, and how much of the sheet they take. */
function sayLaid({ items, sheets = [] }: LayoutInput, placements: readonly Placement[], when: string): string {
  const byId = new Map(items.map((item) => [item.id, item]))
  const laid = metalMm2(
    placements.flatMap(({ id }) => {
      const item = byId.get(id)
      return item ? [{ item }] : []
    }),
  )
  const whole = sheets.reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0)
  return `${placements.length} placed ${when}, ${Math.round((100 * laid) / Math.max(whole, 1e-9))} % of the sheet`
}

function sayLeft({ items }: LayoutInput, placements: readonly Placement[]): string {
  const left = items.reduce((sum, { qty }) => sum + qty, 0) - placements.length
  return left > 0 ? ` ${left} ${left === 1 ? 'does not fit or is' : 'do not fit or are'} of other metal: try another sheet.` : ''
}

type Differs = 'nothing' | 'thickness' | 'metal'
const ORDER: readonly Differs[] = ['nothing', 'thickness', 'metal']

/** What is different about a sheet: nothing where a blank is of its metal and, within rolling tolerance, its thickness. */
export function whatDiffers(sheet: SheetChoice, items: LayoutSetup['items']): Differs {
  if (!items.some(({ item }) => item.alloy === sheet.alloy)) return 'metal'
  return items.some(({ item }) => isSameMetal(item, sheet.sheet)) ? 'nothing' : 'thickness'
}

/** The sheets, those that match first. */
export function inOrder(sheets: readonly SheetChoice[], items: LayoutSetup['items']): readonly SheetChoice[] {
  return [...sheets].sort((a, b) => ORDER.indexOf(whatDiffers(a, items)) - ORDER.indexOf(whatDiffers(b, items)))
}

/** The layout under the hands: which sheet, where each blank lies, what cannot be cut, and its saving. */
export function useLayout({ jobId, items, sheets, draft, kerfMm, gapMm, marginMm }: LayoutSetup) {
  const [firstFit] = inOrder(sheets, items)
  const [history] = useState(() =>
    createHistory<Lying>({ sheetId: draft?.sheetId ?? firstFit?.id ?? 0, placements: draft?.placements ?? [] }),
  )
  const { sheetId, placements } = useStore(history)
  const canUndo = useStore(history.temporal, ({ pastStates }) => pastStates.length > 0)
  const canRedo = useStore(history.temporal, ({ futureStates }) => futureStates.length > 0)
  const { uid } = useWorkshop()
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
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState('')
  const abort = useRef<AbortController>(undefined)
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
  // what a search has come to is legal by its own exact test
  const illegal = useMemo(() => (busy ? [] : findIllegal(instance, placements)), [busy, instance, placements])

  const save = (delayMs = 400) =>
    saving.saveSoon(() => {
      const now = history.getState()
      return { jobId, sheetId: now.sheetId, kerfMm, marginMm, placements: [...now.placements] }
    }, delayMs)
  const keep = (next: readonly Placement[], sheet: number) => {
    // a hand on the blanks ends a search; what it had come to stands
    abort.current?.abort()
    history.setState({ sheetId: sheet, placements: next })
    save()
  }
  const step = (way: 'undo' | 'redo') => {
    abort.current?.abort()
    history.temporal.getState()[way]()
    save()
  }
  /** Takes what a search has come to: however often, one step back undoes it. It is written when the search ends, or the page is left. */
  const take = (next: readonly Placement[], isFirst: boolean) => {
    const { pause, resume } = history.temporal.getState()
    if (!isFirst) pause()
    history.setState({ sheetId, placements: next })
    resume()
    save(AFTER_SEARCH_MS)
  }
  const takeLatest = useRef({ take, save })
  takeLatest.current = { take, save }

  /** Looks for places for all that is not pinned. */
  const pack = useCallback(async () => {
    abort.current?.abort()
    const stop = new AbortController()
    abort.current = stop
    setBusy(true)
    setSaid('')
    const began = performance.now()
    let best: readonly Placement[] | undefined
    let failed = false
    try {
      const { rest, withPinned } = aroundPinned(instance, history.getState().placements)
      await packInWorkers(rest, stop.signal, (next) => {
        const all = withPinned(next)
        takeLatest.current.take(all, best === undefined)
        best = all
        setSaid(`${sayLaid(instance, all, 'so far')}.`)
      })
    } catch {
      failed = true
    }
    // another search, or another page, has taken over
    if (abort.current !== stop) return
    setBusy(false)
    if (best) takeLatest.current.save()
    const seconds = ((performance.now() - began) / 1000).toFixed(1)
    if (failed) setSaid('The search failed. Press “Place the blanks” again, or lay them by hand.')
    else if (!best) setSaid('Stopped; the layout is as it was.')
    else setSaid(`${sayLaid(instance, best, `in ${seconds} s`)}${stop.signal.aborted ? '; stopped' : ''}.${sayLeft(instance, best)}`)
  }, [instance, history])

  useEffect(
    () => () => {
      const stop = abort.current
      abort.current = undefined
      stop?.abort()
    },
    [],
  )

  const byId = useMemo(() => new Map(items.map((entry) => [entry.item.id, entry])), [items])
  /** Changes the blanks of a selection that are not pinned, together. */
  const changeFree = (keys: Selection, from: readonly Placement[], change: (free: readonly Placement[]) => readonly Placement[]) => {
    const free = from.filter((place) => keys.has(keyOf(place)) && !place.pinned && byId.has(place.id))
    if (free.length === 0) return
    const next = new Map(change(free).map((place) => [keyOf(place), place]))
    keep(
      from.map((place) => next.get(keyOf(place)) ?? place),
      sheetId,
    )
  }
  const place = (keys: Selection, from: readonly Placement[], dx: number, dy: number) => {
    if (choice) changeFree(keys, from, (free) => movedBy(free, [dx, dy], byId, choice.sheet))
  }
  const setPinned = (keys: Selection, pinned: boolean) =>
    keep(
      placements.map((one) => {
        const { pinned: _, ...free } = one
        return keys.has(keyOf(one)) ? { ...free, ...(pinned ? { pinned } : {}) } : one
      }),
      sheetId,
    )

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
    state: saving.state,
    revision: saving.revision,
    stored: saving.stored,
    /** Takes every blank off the sheet: what was reserved there is free again. */
    clear: () => keep([], sheetId),
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
    stop: () => abort.current?.abort(),
    chooseSheet: (id: number) => keep([], id),
    /** The blanks on another sheet, where a search has laid them. */
    layOn: (id: number, next: readonly Placement[]) => keep(next, id),
    byId,
    hands: {
      place,
      move: (keys: Selection, dx: number, dy: number) => place(keys, placements, dx, dy),
      turn: (keys: Selection, byDeg: number, from = placements) => changeFree(keys, from, (free) => turnedBy(free, byDeg, byId)),
      /** Pins what is selected, or lets it go where all of it is pinned. */
      pin: (keys: Selection) =>
        setPinned(
          keys,
          placements.some((one) => keys.has(keyOf(one)) && !one.pinned),
        ),
      takeOff: (keys: Selection) =>
        keep(
          placements.filter((one) => !keys.has(keyOf(one))),
          sheetId,
        ),
    },
    /** Pins what is selected and lays all else round it. */
    fitRound: (keys: Selection) => {
      setPinned(keys, true)
      void pack()
    },
  }
}
export type LayoutHand = ReturnType<typeof useLayout>
