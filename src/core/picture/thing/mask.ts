import { type Mask, numberPieces, spreadFrom } from '../pieces'

/** Grows what is on by a disc: only places at its border have anything to add. */
export function grown(mask: Mask, radius: number): Mask {
  const { width, height, on } = mask
  const spans = Array.from({ length: 2 * radius + 1 }, (_, i) => Math.floor(Math.sqrt(radius * radius + radius - (i - radius) ** 2)))
  const out = on.slice()
  const fillAbout = (at: number) => {
    const x = at % width
    const y = Math.floor(at / width)
    for (const [i, span] of spans.entries()) {
      const row = y + i - radius
      if (row >= 0 && row < height) out.fill(1, row * width + Math.max(0, x - span), row * width + Math.min(width, x + span + 1))
    }
  }
  for (let at = 0; at < on.length; at++) if (on[at] && !(on[at - 1] && on[at + 1] && on[at - width] && on[at + width])) fillAbout(at)
  return { width, height, on: out }
}

export function opposite({ width, height, on }: Mask): Mask {
  const out = new Uint8Array(on.length)
  for (let at = 0; at < on.length; at++) out[at] = 1 - (on[at] as number)
  return { width, height, on: out }
}
export const shrunk = (mask: Mask, radius: number): Mask => opposite(grown(opposite(mask), radius))
/** Bridges gaps and fills notches narrower than twice the radius. */
export const closed = (mask: Mask, radius: number): Mask => shrunk(grown(mask, radius), radius)
/** Drops hairs and spikes narrower than twice the radius. */
export const opened = (mask: Mask, radius: number): Mask => grown(shrunk(mask, radius), radius)

export const countOn = ({ on }: Mask): number => on.reduce((sum, value) => sum + value, 0)

/** Spreads from places to their neighbours as long as each step is allowed; gives all that were reached. */
export function spread(size: Omit<Mask, 'on'>, from: ArrayLike<number>, mayStep: (from: number, to: number) => boolean): Mask {
  const on = new Uint8Array(size.width * size.height)
  for (let i = 0; i < from.length; i++) on[from[i] as number] = 1
  spreadFrom(from, size, (at, to) => {
    if (on[to] || !mayStep(at, to)) return false
    on[to] = 1
    return true
  })
  return { width: size.width, height: size.height, on }
}

/** The same without holes: all that cannot be reached from the edge. */
export function filled(mask: Mask): Mask {
  const { width, height, on } = mask
  const edge: number[] = []
  for (let x = 0; x < width; x++) for (const at of [x, (height - 1) * width + x]) if (!on[at]) edge.push(at)
  for (let y = 0; y < height; y++) for (const at of [y * width, y * width + width - 1]) if (!on[at]) edge.push(at)
  return opposite(spread(mask, edge, (_, to) => on[to] === 0))
}

/** The largest piece that hangs together, and how large the next one is, places; `beside` are places whose pieces are left out where there are others. */
export function largestPiece(mask: Mask, beside: readonly number[] = []): { readonly piece: Mask; readonly next: number } {
  const { numbers, counts } = numberPieces(mask)
  const leftOut = new Set(beside.map((at) => numbers[at] ?? 0))
  const all = [...counts.keys()].slice(1)
  const others = all.filter((number) => !leftOut.has(number))
  const sizeOf = (number: number | undefined) => (number === undefined ? 0 : (counts[number] ?? 0))
  const [largest, second] = (others.length > 0 ? others : all).sort((a, b) => sizeOf(b) - sizeOf(a))
  const on = new Uint8Array(numbers.length)
  if (largest !== undefined) for (let at = 0; at < on.length; at++) if (numbers[at] === largest) on[at] = 1
  return { piece: { ...mask, on }, next: sizeOf(second) }
}
