'use client'
import { useEffect, useState } from 'react'

/**
 * Whether the bench is on this device: `kept` with so many trays, `keeping` while it is put there, `closed` where the browser lets no page of this
 * address be kept, `none` where it failed.
 */
export type KeptBench = { readonly state: 'unknown' | 'keeping' | 'closed' | 'none' } | { readonly state: 'kept'; readonly trays: number }

/** Asks the worker to put the bench and its trays on the device; gives how many trays are there. */
function keep(worker: ServiceWorker): Promise<number | null> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = ({ data }) => resolve(typeof data === 'number' ? data : null)
    worker.postMessage('keep the bench', [port2])
  })
}

async function keptTrays(): Promise<number | null> {
  const paths = await Promise.all(
    (await caches.keys()).map(async (name) => (await (await caches.open(name)).keys()).map(({ url }) => new URL(url).pathname)),
  )
  const all = new Set(paths.flat())
  return all.has('/bench') ? [...all].filter((path) => /^\/bench\/\d+$/.test(path)).length : null
}

async function settle(): Promise<KeptBench> {
  const registration = await navigator.serviceWorker.register('/sw.js', { updateViaCache: 'none' }).catch(() => undefined)
  if (registration) await registration.update().catch(() => undefined)
  // without the program's answer there is still what was kept before
  const ready = await Promise.race([navigator.serviceWorker.ready, new Promise<undefined>((done) => setTimeout(done, 30_000, undefined))])
  const kept = ready?.active ? ((await keep(ready.active)) ?? (await keptTrays())) : await keptTrays()
  return kept === null ? { state: 'none' } : { state: 'kept', trays: kept }
}

const AFTER_MS = 1500

/** Puts the bench on the device with each look at it, so that new trays are there too. */
export function useKeptBench(): KeptBench {
  const [kept, setKept] = useState<KeptBench>({ state: 'unknown' })
  useEffect(() => {
    if (!('serviceWorker' in navigator)) {
      setKept({ state: 'closed' })
      return
    }
    let isHere = true
    // whoever only passes through the bench is not held up by it
    const timer = setTimeout(() => {
      setKept({ state: 'keeping' })
      settle().then(
        (now) => isHere && setKept(now),
        () => isHere && setKept({ state: 'none' }),
      )
    }, AFTER_MS)
    return () => {
      isHere = false
      clearTimeout(timer)
    }
  }, [])
  return kept
}
