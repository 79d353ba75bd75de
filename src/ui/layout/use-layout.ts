'use client'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useStore } from 'zustand'
import { boundsOf } from '@/core/geometry'
import { findIllegal, type LayoutInput, type LayoutItem, type LayoutSheet, type Placement, placedRegion } from '@/core/layout'
import { packInWorker } from '@/workers/pack-client'
import { createHistory } from '../acting/history-store'
import { useSaving } from '../acting/use-saving'
import { useWorkshop } from '../shared/workshop-context'

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

interface Setup {
  readonly jobId: number
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly sheets: readonly SheetChoice[]
  readonly draft: DraftLayout | null
  readonly kerfMm: number
  readonly marginMm: number
}

/** A search for places takes so long at most. */
export const SEARCH_SECONDS = 8

/** What lies on which sheet. */
interface Lying {
  readonly sheetId: number
  readonly placements: readonly Placement[]
}

/** At least so much of a blank stays over the sheet, mm. */
const IN_VIEW_MM = 3

type Differs = 'nothing' | 'thickness' | 'metal'
const ORDER: readonly Differs[] = ['nothing', 'thickness', 'metal']

function isThick(sheet: SheetChoice, item: LayoutItem): boolean {
  return Math.abs(item.thicknessMm - sheet.thicknessMm) <= 0.05 * Math.max(item.thicknessMm, sheet.thicknessMm) + 1e-9
}

/** What is different about a sheet: nothing where a blank is of its metal and, within rolling tolerance, its thickness. */
export function whatDiffers(sheet: SheetChoice, items: Setup['items']): Differs {
  const same = items.filter(({ item }) => item.alloy === sheet.alloy)
  if (same.length === 0) return 'metal'
  return same.some(({ item }) => isThick(sheet, item)) ? 'nothing' : 'thickness'
}

/** The sheets, those that match first. */
export function inOrder(sheets: readonly SheetChoice[], items: Setup['items']): readonly SheetChoice[] {
  return [...sheets].sort((a, b) => ORDER.indexOf(whatDiffers(a, items)) - ORDER.indexOf(whatDiffers(b, items)))
}

/** A place never farther than this off the sheet: a blank stays where it can be seen and fetched back. */
function heldInView(place: Placement, item: LayoutItem | undefined, on: LayoutSheet | undefined): Placement {
  if (!item || !on) return place
  const [own, sheet] = [boundsOf(placedRegion(item, place).outer), boundsOf(on.outer)]
  const back = (low: number, high: number, least: number, most: number) =>
    high < least + IN_VIEW_MM ? least + IN_VIEW_MM - high : low > most - IN_VIEW_MM ? most - IN_VIEW_MM - low : 0
  return {
    ...place,
    x: place.x + back(own.minX, own.maxX, sheet.minX, sheet.maxX),
    y: place.y + back(own.minY, own.maxY, sheet.minY, sheet.maxY),
  }
}

/** The layout under the hands: which sheet, where each blank lies, what cannot be cut, and its saving. */
export function useLayout({ jobId, items, sheets, draft, kerfMm, marginMm }: Setup) {
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
      kerfMm,
      marginMm,
      seconds: SEARCH_SECONDS,
      iterations: null,
      seed: 1,
      sheets: choice ? [choice.sheet] : [],
      items: items.map((entry) => entry.item),
    }),
    [choice, items, kerfMm, marginMm],
  )
  const illegal = useMemo(() => findIllegal(instance, placements), [instance, placements])

  const save = () =>
    saving.saveSoon(() => {
      const now = history.getState()
      return { jobId, sheetId: now.sheetId, kerfMm, marginMm, placements: [...now.placements] }
    }, 400)
  const keep = (next: readonly Placement[], sheet: number) => {
    history.setState({ sheetId: sheet, placements: next })
    save()
  }
  const step = (way: 'undo' | 'redo') => {
    history.temporal.getState()[way]()
    save()
  }
  const keepLatest = useRef(keep)
  keepLatest.current = keep

  const pack = useCallback(async () => {
    abort.current?.abort()
    abort.current = new AbortController()
    setBusy(true)
    setSaid('')
    try {
      const solution = await packInWorker(instance, abort.current.signal)
      keepLatest.current(solution.placements, sheetId)
      const left = solution.unplaced.reduce((sum, item) => sum + item.qty, 0)
      setSaid(
        `${solution.placements.length} placed in ${solution.seconds.toFixed(1)} s, ${Math.round(100 * solution.utilisation)} % of the sheet${left > 0 ? `; ${left} do not fit or are of other metal` : ''}.`,
      )
    } catch (error) {
      setSaid(
        error instanceof Error && error.message === 'stopped'
          ? 'Stopped; the layout is as it was.'
          : 'The packing failed; the layout is as it was.',
      )
    }
    setBusy(false)
  }, [instance, sheetId])

  useEffect(() => () => abort.current?.abort(), [])

  const inView = (place: Placement) => heldInView(place, items.find((entry) => entry.item.id === place.id)?.item, choice?.sheet)

  return {
    choice,
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
    move: (index: number, dx: number, dy: number) =>
      keep(
        placements.map((place, i) => (i === index ? inView({ ...place, x: place.x + dx, y: place.y + dy }) : place)),
        sheetId,
      ),
    turn: (index: number) =>
      keep(
        placements.map((place, i) => (i === index ? { ...place, rotationDeg: (place.rotationDeg + 90) % 360 } : place)),
        sheetId,
      ),
  }
}
