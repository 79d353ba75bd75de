import { randomText } from '../../shared/random-text'

const KEY = 'fold-anvil-sending'
const HOLDS_MS = 12_000
const tab = randomText(10)

interface Claim {
  readonly tab: string
  readonly until: number
}

function read(): Claim | undefined {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null') ?? undefined
  } catch {
    return undefined
  }
}

/** Takes the right to send by a mark with a time: for pages without locks. Two tabs that take it at once are kept apart by tokens. */
async function withMark(work: () => Promise<void>): Promise<boolean> {
  const holder = read()
  if (holder && holder.tab !== tab && holder.until > Date.now()) return false
  localStorage.setItem(KEY, JSON.stringify({ tab, until: Date.now() + HOLDS_MS } satisfies Claim))
  try {
    await work()
  } finally {
    if (read()?.tab === tab) localStorage.removeItem(KEY)
  }
  return true
}

/** Runs the work in one tab of the browser at a time; false where another has it. Over plain http on the network there are no locks. */
export async function asOnlySender(work: () => Promise<void>): Promise<boolean> {
  if (!navigator.locks) return withMark(work)
  return navigator.locks.request('fold-anvil-sending', { ifAvailable: true }, async (lock) => {
    if (lock) await work()
    return lock !== null
  })
}
