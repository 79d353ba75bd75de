import type { LayoutInput, LayoutSheet } from './schema'
import { SheetSearch } from './search/improve'
import type { Search } from './search/settle'
import { type LayoutControl, placementsIn, type Spread } from './spread'

interface Means {
  readonly control: LayoutControl
  readonly search: Search
  /** Attempts that may be made. */
  readonly attempts: number
}

/** What a layout is improved with: the search of each sheet, and what is left of time, rounds and attempts. */
export class Workbench {
  readonly input: LayoutInput
  private readonly means: Means
  private readonly searches = new Map<string, SheetSearch>()
  private made = 0
  /** Ends of a part of the work, the innermost last. */
  private readonly ends: { readonly rounds: number; readonly atS: number }[] = []

  constructor(input: LayoutInput, means: Means) {
    this.input = input
    const { search, control } = means
    // what one part of the work may not go beyond stops its search as well
    const shouldStop = () => control.shouldStop() || this.ends.some(({ atS }) => control.elapsedS() > atS)
    this.means = { ...means, search: Object.assign(search, { shouldStop }) }
  }

  on(sheet: LayoutSheet): SheetSearch {
    const known = this.searches.get(sheet.id)
    if (known) return known
    const made = new SheetSearch(this.input, sheet, this.means.search)
    this.searches.set(sheet.id, made)
    return made
  }

  get attempted(): number {
    return this.made
  }

  isOver(): boolean {
    const { search, attempts } = this.means
    return this.made >= attempts || search.rounds <= 0 || this.ends.some(({ rounds }) => search.rounds <= rounds) || search.shouldStop()
  }

  attempt(): void {
    this.made++
  }

  tell(spread: Spread): void {
    if (this.ends.length === 0) this.means.control.tell?.(placementsIn(spread))
  }

  /** Does a part of the work in a share of the rounds and of the time that are left; what it comes to meanwhile is told nobody. */
  within<T>(share: number, work: () => T): T {
    const { search, control } = this.means
    const nowS = control.elapsedS()
    const atS = this.input.iterations === null ? nowS + share * Math.max(0, this.input.seconds - nowS) : Infinity
    this.ends.push({ rounds: search.rounds * (1 - share), atS })
    const done = work()
    this.ends.pop()
    return done
  }
}
