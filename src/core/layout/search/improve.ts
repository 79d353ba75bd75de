import { offsetOutline } from '../../geometry/clip'
import { areaOf } from '../item'
import type { LayoutInput, LayoutItem, LayoutSheet } from '../schema'
import { heldAngles, isFreeOn, ORIGIN, type PlacedShape, type Pose, placeItem, shapeOf } from '../shape'
import { metalMm2, type OnSheet } from '../spread'
import { moveApart } from './apart'
import { type Body, bodyOf, bodyOfPlaced, type Making, type Places, placesOf, posesOf } from './body'
import { Contacts } from './contact'
import { fitBlanks } from './fitted/blanks'
import { asFarAs, type Ground, groundOf } from './ground'
import { swap } from './hop'
import { type Hands, relocate, scatter } from './nestle'
import { type Search, settle } from './settle'
import type { Lot } from './stand'

/** How an attempt begins: as the sheet lies, with two blanks changed about, or with all of them thrown on it anew. */
export type Beginning = 'as-laid' | 'mixed' | 'afresh'

/** How an attempt begins, and how many times as long as a first one it goes on: the more were in vain, the longer the next. */
export interface Effort<From = Beginning> {
  readonly from: From
  readonly timesAsLong: number
}

/** Less than this more is not more. */
const LEAST_MORE_MM2 = 1e-9

/** Blanks are kept apart by so much more than they have to be, mm: as much as the search may be wrong by; discs alone are felt exactly. */
const SPARE = { mostMm: 0.02, shareOfReach: 0.004, discsMm: 4e-8 } as const
/** Of that, so much may be left in the way. */
const LEFT = 0.7

/** More blanks than this on one sheet stay as a plain layout has them: each pair of them has a weight. */
const MOST_BLANKS = 1000

/** Hops in vain after which an attempt is given up: discs are moved so quickly that many are made, what is held to its angles is moved well. */
const PATIENCE = { some: 40, held: 60, discs: 400 } as const
/** Of so many for each blank no more: a few are soon tried in all ways. */
const FOR_EACH = 12

/** Where a line is not reached, those between it and the one before are tried. */
const BETWEEN = [0.2, 0.4, 0.6, 0.8, 0.93]

/** So many blanks are laid edge to edge at the most, and so many corners are looked at for it for each round that is left. */
const FITTED = { most: 80, aRound: 0.5 } as const

const RAD = Math.PI / 180

const onSheet = (spots: readonly Pose[], blanks: readonly OnSheet[]): readonly OnSheet[] =>
  spots.map((pose, i) => ({ item: (blanks[i] as OnSheet).item, pose }))

/** One sheet as the search knows it: its ground, what stays on it, and the blanks it is asked for. */
export class SheetSearch {
  /** Whether all blanks are held to angles of a few. */
  readonly isHeld: boolean
  private readonly input: LayoutInput
  private readonly sheet: LayoutSheet
  private readonly search: Search
  private readonly taken: readonly PlacedShape[]
  private readonly spareMm: number
  private readonly making: Making
  private readonly ground: Ground
  private readonly staying: readonly Body[]
  private readonly bodies = new Map<LayoutItem, Body>()
  private readonly patience: number

  constructor(input: LayoutInput, sheet: LayoutSheet, search: Search) {
    const { items, kerfMm, marginMm } = input
    this.input = input
    this.sheet = sheet
    this.search = search
    this.taken = (sheet.taken ?? []).map(shapeOf)
    const isDiscs = sheet.holes.length === 0 && items.every(({ circle }) => circle) && this.taken.every(({ kind }) => kind === 'circle')
    const sizes = items.map((item) => Math.sqrt(areaOf(item)))
    this.spareMm = isDiscs ? SPARE.discsMm : Math.min(SPARE.mostMm, SPARE.shareOfReach * Math.min(...sizes))
    this.isHeld = !isDiscs && items.every((item) => item.circle || heldAngles(item, sheet))
    this.patience = isDiscs ? PATIENCE.discs : this.isHeld ? PATIENCE.held : PATIENCE.some
    const gapMm = kerfMm + this.spareMm
    this.making = { gapMm, largestDiscMm: Math.max(0, ...items.map(({ circle }) => circle?.radiusMm ?? 0)) }
    this.ground = groundOf(sheet.outer, marginMm + this.spareMm)
    // a hole is kept off by the margin, a blank by the kerf
    const holes = sheet.holes.flatMap((hole) => offsetOutline(hole, marginMm - kerfMm)).map((outer) => ({ outer, holes: [] }))
    this.staying = [...this.taken, ...holes.map(shapeOf)].map((shape) => bodyOfPlaced(shape, this.making))
  }

  /**
   * What lies on the sheet once more blanks were laid over it and moved out of one another’s way: all of them, or the most metal that was at any
   * moment in nobody’s way. The longer it goes on, the more.
   */
  withMore(there: readonly OnSheet[], more: readonly LayoutItem[], { from, timesAsLong }: Effort): readonly OnSheet[] {
    const all = [...there, ...more.map((item) => ({ item, pose: ORIGIN }))]
    if (all.length > MOST_BLANKS) return there
    const patience = timesAsLong * this.patienceFor(all.length)
    return this.mostClear(there, all, patience, (hands) => {
      if (from === 'mixed') this.mix(hands.lot, hands.at)
      all.forEach((_, i) => {
        if (from === 'afresh') scatter(hands, i)
        else if (i >= there.length) relocate(hands, i)
      })
    })
  }

  /**
   * Blanks of straight edges laid edge to edge, as if they had been cut from one piece, what finds no place that way over the others; then moved out
   * of one another’s way. None where some of them, or the sheet, are of another kind.
   */
  fitted(items: readonly LayoutItem[]): readonly OnSheet[] {
    const { search, sheet, input } = this
    const found =
      items.length <= FITTED.most ? fitBlanks(items, sheet, input, { ...search, most: FITTED.aRound * search.rounds }) : undefined
    // nothing is laid where there is not metal enough for all
    if (!found || found.laid.length === 0) return []
    const all = [...found.laid, ...found.left.map((item) => ({ item, pose: ORIGIN }))]
    return this.mostClear([], all, this.patienceFor(all.length), (hands) => {
      for (let i = found.laid.length; i < all.length; i++) relocate(hands, i)
    })
  }

  /** What is clear of everything as some blanks are settled, from a beginning: the most metal that was at any moment, or what was known. */
  private mostClear(
    known: readonly OnSheet[],
    all: readonly OnSheet[],
    patience: number,
    begin: (hands: Hands) => void,
  ): readonly OnSheet[] {
    const { search, untilMm } = this
    const lot = this.lotOf(all, this.ground)
    const contacts = new Contacts(lot)
    const at = this.placesIn(lot, all)
    begin({ lot, contacts, at, random: search.random })
    let best = known
    const tell = () => {
      best = this.moreOf(best, this.clearOf(lot, contacts, at, all))
    }
    settle(lot, contacts, at, search, { untilMm, patience, tell })
    return best
  }

  /**
   * The same blanks, none of them beyond a line across the sheet, or beyond one on the way there from another; undefined where no such way to lay
   * them was found.
   */
  within(
    there: readonly OnSheet[],
    toX: number,
    outX: number,
    { from, timesAsLong }: Effort<'as-laid' | 'mixed'>,
  ): readonly OnSheet[] | undefined {
    const { search, untilMm } = this
    const patience = timesAsLong * this.patienceFor(there.length)
    if (there.length > MOST_BLANKS) return undefined
    const lotTo = (x: number) => this.lotOf(there, asFarAs(this.ground, x))
    const lot = lotTo(toX)
    const contacts = new Contacts(lot)
    const at = this.placesIn(lot, there)
    if (from === 'mixed') this.mix(lot, at)
    lot.bodies.slice(0, lot.moved).forEach(({ reachMm }, i) => {
      if ((at[3 * i] as number) > toX - BEYOND * reachMm) relocate({ lot, contacts, at, random: search.random }, i)
    })
    const reached = settle(lot, contacts, at, search, { untilMm, patience }) && this.legalOf(lot, at, there)
    if (reached) return reached
    // what an attempt comes to that was cut short is not what it would have come to: more rounds must never lay less
    if (search.rounds <= 0) return undefined
    for (const share of BETWEEN) {
      const wider = lotTo(toX + share * (outX - toX))
      const left = moveApart(wider, new Contacts(wider), at, { untilMm, shouldStop: search.shouldStop })
      const between = left === 0 && this.legalOf(wider, at, there)
      if (between) return between
    }
    return undefined
  }

  private get untilMm(): number {
    return LEFT * this.spareMm
  }

  private patienceFor(blanks: number): number {
    return Math.min(this.patience, FOR_EACH * blanks)
  }

  private bodyFor(item: LayoutItem): Body {
    const known = this.bodies.get(item)
    if (known) return known
    const made = bodyOf(item, this.making)
    this.bodies.set(item, made)
    return made
  }

  private lotOf(blanks: readonly OnSheet[], ground: Ground): Lot {
    return {
      bodies: [...blanks.map(({ item }) => this.bodyFor(item)), ...this.staying],
      moved: blanks.length,
      angles: blanks.map(({ item }) => heldAngles(item, this.sheet)?.map((deg) => deg * RAD)),
      ground,
      gapMm: this.making.gapMm,
    }
  }

  /** Where a lot lies; what stays lies at its own origin. */
  private placesIn({ bodies, moved }: Lot, blanks: readonly OnSheet[]): Places {
    const staying = bodies.slice(moved).map(() => ORIGIN)
    return placesOf(bodies, [...blanks.map(({ pose }) => pose), ...staying])
  }

  private blanksAt({ bodies, moved }: Lot, at: Places, blanks: readonly OnSheet[]): readonly OnSheet[] {
    return onSheet(posesOf(bodies.slice(0, moved), at), blanks)
  }

  private legalOf(lot: Lot, at: Places, blanks: readonly OnSheet[]): readonly OnSheet[] | undefined {
    const found = this.blanksAt(lot, at, blanks)
    return this.isLegal(found) ? found : undefined
  }

  /** The blanks that are in nobody’s way as a lot lies: again and again the one that is most in the way for its size is left out. */
  private clearOf(lot: Lot, contacts: Contacts, at: Places, blanks: readonly OnSheet[]): readonly OnSheet[] {
    contacts.look(at)
    const isMet = (i: number, j: number) => contacts.deepestOf(i, j) > this.untilMm
    const met = blanks.map((_, i) => lot.bodies.flatMap((_, j) => (i !== j && isMet(i, j) ? [j] : [])))
    const off = blanks.map((_, i) => isMet(i, lot.bodies.length))
    const dropped = new Set<number>()
    for (;;) {
      let [worst, most] = [-1, 0]
      blanks.forEach(({ item }, i) => {
        if (dropped.has(i)) return
        const count = (met[i] ?? []).filter((j) => !dropped.has(j)).length + (off[i] ? 1 : 0)
        const share = count / areaOf(item)
        if (share > most) [worst, most] = [i, share]
      })
      if (worst < 0) return this.blanksAt(lot, at, blanks).filter((_, i) => !dropped.has(i))
      dropped.add(worst)
    }
  }

  /** Of two ways to lay a sheet the one with more metal on it; a new one only where it is legal. */
  private moreOf(known: readonly OnSheet[], found: readonly OnSheet[]): readonly OnSheet[] {
    return metalMm2(found) > metalMm2(known) + LEAST_MORE_MM2 && this.isLegal(found) ? found : known
  }

  /** By the exact test, which is not the search’s own. */
  private isLegal(blanks: readonly OnSheet[]): boolean {
    const shapes = blanks.map(({ item, pose }) => placeItem(item, pose))
    return shapes.every((shape, i) => isFreeOn(shape, this.sheet, [...this.taken, ...shapes.slice(0, i)], this.input))
  }

  /** Two blanks change their places: another beginning. */
  private mix(lot: Lot, at: Places): void {
    const any = () => Math.floor(this.search.random() * lot.moved)
    swap(lot, at, any(), any())
  }
}

/** A blank whose middle is nearer to a line than this share of its reach is laid elsewhere. */
const BEYOND = 0.3
