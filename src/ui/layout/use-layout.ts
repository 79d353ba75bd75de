'use client'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { findIllegal, type LayoutInput, type LayoutItem, type LayoutSheet, type Placement } from '@/core/layout'
import { saveLayout } from '@/server/actions/layouts'
import { packInWorker } from '@/workers/pack-client'

export interface SheetChoice {
  readonly id: number
  readonly label: string
  readonly alloy: string
  readonly thicknessMm: number
  readonly sheet: LayoutSheet
}

interface Setup {
  readonly jobId: number
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly sheets: readonly SheetChoice[]
  readonly draft: { readonly id: number; readonly sheetId: number; readonly placements: readonly Placement[] } | null
  readonly kerfMm: number
  readonly marginMm: number
}

/** Whether a sheet is of the blanks' metal and, within rolling tolerance, their thickness. */
export function isFit(sheet: SheetChoice, items: Setup['items']): boolean {
  return items.some(
    ({ item }) =>
      item.alloy === sheet.alloy &&
      Math.abs(item.thicknessMm - sheet.thicknessMm) <= 0.05 * Math.max(item.thicknessMm, sheet.thicknessMm) + 1e-9,
  )
}

/** The layout under the hands: which sheet, where each blank lies, what is not legal, and its saving. */
export function useLayout({ jobId, items, sheets, draft, kerfMm, marginMm }: Setup) {
  const firstFit = sheets.find((sheet) => isFit(sheet, items)) ?? sheets[0]
  const [sheetId, setSheetId] = useState(draft?.sheetId ?? firstFit?.id ?? 0)
  const [placements, setPlacements] = useState<readonly Placement[]>(draft?.placements ?? [])
  const [layoutId, setLayoutId] = useState(draft?.id ?? null)
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState('')
  const abort = useRef<AbortController>(undefined)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const choice = sheets.find((sheet) => sheet.id === sheetId)

  const instance = useMemo(
    (): LayoutInput => ({
      name: '',
      objective: 'place',
      kerfMm,
      marginMm,
      seconds: 8,
      iterations: null,
      seed: 1,
      sheets: choice ? [choice.sheet] : [],
      items: items.map((entry) => entry.item),
    }),
    [choice, items, kerfMm, marginMm],
  )
  const illegal = useMemo(() => findIllegal(instance, placements), [instance, placements])

  const keep = useCallback(
    (next: readonly Placement[], sheet: number) => {
      setPlacements(next)
      clearTimeout(timer.current)
      timer.current = setTimeout(async () => {
        const saved = await saveLayout({ jobId, sheetId: sheet, kerfMm, marginMm, placements: next })
        if (saved.ok) setLayoutId(saved.id)
        else setSaid(saved.message)
      }, 400)
    },
    [jobId, kerfMm, marginMm],
  )

  const pack = useCallback(async () => {
    abort.current?.abort()
    abort.current = new AbortController()
    setBusy(true)
    setSaid('')
    try {
      const solution = await packInWorker(instance, abort.current.signal)
      keep(solution.placements, sheetId)
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
  }, [instance, keep, sheetId])

  useEffect(() => () => abort.current?.abort(), [])

  return {
    choice,
    sheetId,
    placements,
    illegal,
    layoutId,
    busy,
    said,
    pack,
    stop: () => abort.current?.abort(),
    chooseSheet: (id: number) => {
      setSheetId(id)
      keep([], id)
    },
    move: (index: number, dx: number, dy: number) =>
      keep(
        placements.map((place, i) => (i === index ? { ...place, x: place.x + dx, y: place.y + dy } : place)),
        sheetId,
      ),
    turn: (index: number) =>
      keep(
        placements.map((place, i) => (i === index ? { ...place, rotationDeg: (place.rotationDeg + 90) % 360 } : place)),
        sheetId,
      ),
  }
}
