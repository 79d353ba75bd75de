import { isBetter, isFarBetter } from './better'
import type { LayoutInput, LayoutSheet } from './schema'
import { SheetSearch } from './search/improve'
import type { Search } from './search/settle'
import { type LayoutControl, type Placement, placementsIn, type Spread, spreadOf } from './spread'

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
  /** The best there is, by this search or heard from another. */
  private best: readonly Placement[] = []
  private outdoneBy: Spread | undefined

  constructor(input: LayoutInput, means: Means) {
    this.input = input
    const { search, control } = means
    // what one part of the work may not go beyond stops its search as well
    const shouldStop = () => this.isTimeUp() || this.isOutdone()
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
    return this.made >= attempts || search.rounds <= 0 || this.ends.some(({ rounds }) => search.rounds <= rounds) || this.isTimeUp()
  }

  private isTimeUp(): boolean {
    const { control } = this.means
    return control.shouldStop() || this.ends.some(({ atS }) => control.elapsedS() > atS)
  }

  /** Whether a search beside this one has come to something better than all of this one: no attempt goes on until that is taken over. */
  isOutdone(): boolean {
    // a part of the work lays other blanks than the whole
    if (this.ends.length > 0) return false
    const placements = this.means.control.heard?.()
    if (placements && isFarBetter(this.input, placements, this.best)) {
      this.best = placements
      this.outdoneBy = spreadOf(this.input, placements)
    }
    return this.outdoneBy !== undefined
  }

  /** Takes over what another search has come to, where that is better; undefined where nothing is. */
  takeOver(): Spread | undefined {
    if (!this.isOutdone()) return undefined
    const taken = this.outdoneBy
    this.outdoneBy = undefined
    return taken
  }

  attempt(): void {
    this.made++
  }

  tell(spread: Spread): void {
    if (this.ends.length > 0) return
    const placements = placementsIn(spread)
    if (this.best.length === 0 || isBetter(this.input, placements, this.best)) this.best = placements
    this.means.control.tell?.(placements)
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
