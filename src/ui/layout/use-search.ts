import { type RefObject, useCallback, useEffect, useRef, useState } from 'react'
import { netAreaMm2 } from '@/core/geometry'
import { aroundPinned, type LayoutInput, metalMm2, type Placement } from '@/core/layout'
import { packInWorkers } from '@/workers/pack-client'

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

/** What a search may do with the sheet it lays blanks on. */
interface OnSheet {
  /** What lies there now. */
  readonly placements: () => readonly Placement[]
  /** Takes what a search has come to. */
  readonly take: (next: readonly Placement[], isFirst: boolean) => void
  readonly save: () => void
}

/** A search for places in the workers: one at a time, drawn as it gets better, stopped at any time. */
export function useSearch(instance: LayoutInput, sheet: RefObject<OnSheet>) {
  const [busy, setBusy] = useState(false)
  const [said, setSaid] = useState('')
  const abort = useRef<AbortController>(undefined)

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
      const { rest, withPinned } = aroundPinned(instance, sheet.current.placements())
      await packInWorkers(rest, stop.signal, (next) => {
        const all = withPinned(next)
        sheet.current.take(all, best === undefined)
        best = all
        setSaid(`${sayLaid(instance, all, 'so far')}.`)
      })
    } catch {
      failed = true
    }
    // another search, or another page, has taken over
    if (abort.current !== stop) return
    setBusy(false)
    if (best) sheet.current.save()
    const seconds = ((performance.now() - began) / 1000).toFixed(1)
    if (failed) setSaid('The search failed. Press “Place the blanks” again, or lay them by hand.')
    else if (!best) setSaid('Stopped; the layout is as it was.')
    else setSaid(`${sayLaid(instance, best, `in ${seconds} s`)}${stop.signal.aborted ? '; stopped' : ''}.${sayLeft(instance, best)}`)
  }, [instance, sheet])

  useEffect(
    () => () => {
      const stop = abort.current
      abort.current = undefined
      stop?.abort()
    },
    [],
  )
  const stop = useCallback(() => abort.current?.abort(), [])
  return { busy, said, pack, stop }
}
