/** How far a piece of long work is, as a page that waits for it is told. */
export interface UnderWay {
  /** What is being done now, in words. */
  readonly step: string
  /** 0 to 1 of this step; null where it cannot be said. */
  readonly share: number | null
  /** Seconds the rest of this step takes if it goes on as it has; null where nothing can be said yet. */
  readonly secondsLeft: number | null
}

/** What long work is given: it says how far it is, and hears when it is called off. */
export interface Work {
  readonly step: (words: string) => void
  readonly share: (share: number) => void
  readonly signal: AbortSignal
}

/** Work nobody asks about. */
export const UNWATCHED: Work = { step: () => undefined, share: () => undefined, signal: new AbortController().signal }

/** A step is timed only after so long: before, a first part says too little of the rest. */
const TIMED_AFTER_S = 0.3

interface Entry {
  told: UnderWay
  readonly off: AbortController
}

/** Shared by all bundles of one process. */
const shared = globalThis as typeof globalThis & { foldAnvilUnderWay?: Map<string, Entry> }

function entries(): Map<string, Entry> {
  shared.foldAnvilUnderWay ??= new Map()
  return shared.foldAnvilUnderWay
}

function timed(share: number, seconds: number): number | null {
  return share > 0 && seconds >= TIMED_AFTER_S ? seconds * (1 / share - 1) : null
}

/** Does long work that may be asked about and called off by the name its page gave it; work without a name just runs. */
export async function underWay<T>(name: string | undefined, run: (work: Work) => Promise<T>): Promise<T> {
  const entry: Entry = { told: { step: 'Starting', share: null, secondsLeft: null }, off: new AbortController() }
  let began = performance.now()
  const work: Work = {
    step: (words) => {
      began = performance.now()
      entry.told = { step: words, share: null, secondsLeft: null }
    },
    share: (share) => {
      entry.told = { ...entry.told, share, secondsLeft: timed(share, (performance.now() - began) / 1000) }
    },
    signal: entry.off.signal,
  }
  if (name !== undefined) entries().set(name, entry)
  try {
    return await run(work)
  } finally {
    if (name !== undefined) entries().delete(name)
  }
}

/** How far the work of this name is; undefined where none is under way. */
export function howFar(name: string): UnderWay | undefined {
  return entries().get(name)?.told
}

/** Calls the work of this name off; false where none is under way. */
export function callOff(name: string): boolean {
  const entry = entries().get(name)
  entry?.off.abort()
  return entry !== undefined
}
