import type { LayoutInput } from './schema'
import { type Placement, sheetsOf } from './spread'

/** Numbers that tell of one placement: which item, which copy of it, which sheet, x, y and the angle. */
const EACH = 6
/** Bytes before the placements of a search: how often they were changed, odd while they are, and how many there are. */
const HEAD = 8

const mostOf = ({ items }: LayoutInput): number => items.reduce((sum, { qty }) => sum + qty, 0)
const bytesOf = (input: LayoutInput): number => HEAD + EACH * Float64Array.BYTES_PER_ELEMENT * mostOf(input)

/** Memory in which so many searches of one instance tell each other what they have come to. */
export const sharedFor = (input: LayoutInput, searches: number): SharedArrayBuffer => new SharedArrayBuffer(searches * bytesOf(input))

/** What one of some searches tells the others, and hears of them, while all of them run. */
export class Exchange {
  private readonly input: LayoutInput
  private readonly sheets: readonly string[]
  private readonly heads: readonly Int32Array[]
  private readonly rows: readonly Float64Array[]
  private readonly own: number
  /** How often each had told something when it was heard last. */
  private readonly seen: number[]

  /** `own` counts from 0. */
  constructor(input: LayoutInput, memory: SharedArrayBuffer, own: number) {
    const bytes = bytesOf(input)
    const starts = Array.from({ length: memory.byteLength / bytes }, (_, k) => k * bytes)
    this.input = input
    this.sheets = sheetsOf(input).map(({ id }) => id)
    this.heads = starts.map((start) => new Int32Array(memory, start, HEAD / Int32Array.BYTES_PER_ELEMENT))
    this.rows = starts.map((start) => new Float64Array(memory, start + HEAD, EACH * mostOf(input)))
    this.own = own
    this.seen = starts.map(() => 0)
  }

  tell(placements: readonly Placement[]): void {
    const [head, rows] = [this.heads[this.own] as Int32Array, this.rows[this.own] as Float64Array]
    Atomics.add(head, 0, 1)
    Atomics.store(head, 1, placements.length)
    for (const [k, { id, copy, sheet, x, y, rotationDeg }] of placements.entries()) {
      const item = this.input.items.findIndex((one) => one.id === id)
      rows.set([item, copy, this.sheets.indexOf(sheet), x, y, rotationDeg], k * EACH)
    }
    Atomics.add(head, 0, 1)
  }

  /** What another has told since it was last asked; what is just being written is heard the next time. */
  heard(): readonly Placement[] | undefined {
    for (const [k, head] of this.heads.entries()) {
      const times = Atomics.load(head, 0)
      if (k === this.own || times === this.seen[k] || times % 2 === 1) continue
      const found = this.placementsOf(k)
      if (Atomics.load(head, 0) !== times) continue
      this.seen[k] = times
      return found
    }
    return undefined
  }

  private placementsOf(k: number): readonly Placement[] {
    const rows = this.rows[k] as Float64Array
    return Array.from({ length: Atomics.load(this.heads[k] as Int32Array, 1) }, (_, n) => {
      const [item = 0, copy = 0, sheet = 0, x = 0, y = 0, rotationDeg = 0] = rows.subarray(n * EACH, n * EACH + EACH)
      return { id: this.input.items[item]?.id ?? '', copy, sheet: this.sheets[sheet] ?? '', x, y, rotationDeg }
    })
  }
}
