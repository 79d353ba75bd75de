/** How far the ledger of a workshop goes, as far as this browser was told. */
interface Arrived {
  readonly workshop: string
  readonly upTo: number
}

const known = new Map<string, number>()
const listeners = new Set<() => void>()
let channel: BroadcastChannel | undefined

function learn({ workshop, upTo }: Arrived): void {
  known.set(workshop, Math.max(upTo, known.get(workshop) ?? 0))
  for (const listener of listeners) listener()
}

function others(): BroadcastChannel {
  if (channel) return channel
  channel = new BroadcastChannel('fold-anvil-bench')
  channel.onmessage = ({ data }: MessageEvent<Arrived>) => learn(data)
  return channel
}

/** Says to every page of this browser that entries arrived; whoever sent them may have been left by then. */
export function sayArrived(arrived: Arrived): void {
  others().postMessage(arrived)
  learn(arrived)
}

/** Calls when entries have arrived, from this page or another; gives how to stop. */
export function onArrived(listener: () => void): () => void {
  others()
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** The place in the ledger of the last entry known to have arrived: what was drawn up to one before it is older. */
export const arrivedUpTo = (workshop: string): number => known.get(workshop) ?? 0
