import { drawNormal } from '../../numerics/random'
import type { Pose } from '../shape'
import type { Board, Lying } from './board'

/** What ends a search: the caller's stop, asked between two moves. */
export interface Search {
  readonly random: () => number
  readonly shouldStop: () => boolean
  /** Rounds of moves that are left: the same on every machine, however fast. */
  rounds: number
}

const WIDE_SAMPLES = 24
const NEAR_SAMPLES = 12
const REFINED = 3
/** A step of the last refining is no longer than this, mm. */
const LAST_STEP_MM = 0.004
const MOST_STEPS = 40
const LAST_STEP_DEG = 0.02

interface Tried extends Pose {
  readonly cost: number
}

const angleFor = (random: () => number, angles: Lying['angles']): number =>
  angles ? (angles[Math.floor(random() * angles.length)] ?? 0) : 360 * random()

/** The best of a few spots tried for one blank all over the room, and near where it lies, each then refined along its axes. */
export function bestSpot(board: Board, i: number, { random }: Search): Tried {
  const lies = board.lying[i] as Lying
  const { room } = board
  const own = board.costAt(i, lies.x, lies.y, lies.rotationDeg, Infinity)
  const tried: Tried[] = [{ x: lies.x, y: lies.y, rotationDeg: lies.rotationDeg, cost: own }]
  const worst = () => (tried.length < REFINED ? Infinity : (tried[REFINED - 1] as Tried).cost)
  const take = (x: number, y: number, rotationDeg: number) => {
    const cost = board.costAt(i, x, y, rotationDeg, worst())
    if (cost >= worst()) return
    tried.push({ x, y, rotationDeg, cost })
    tried.sort((a, b) => a.cost - b.cost)
    tried.length = Math.min(tried.length, REFINED)
  }
  const isFound = () => (tried[0] as Tried).cost === 0
  for (let n = 0; n < WIDE_SAMPLES; n++) {
    const rotationDeg = angleFor(random, lies.angles)
    const { box } = lies.piece.at(rotationDeg)
    const [wide, high] = [room.box.maxX - room.box.minX - (box.maxX - box.minX), room.box.maxY - room.box.minY - (box.maxY - box.minY)]
    take(room.box.minX - box.minX + random() * Math.max(0, wide), room.box.minY - box.minY + random() * Math.max(0, high), rotationDeg)
    if (isFound()) break
  }
  const reach = lies.turned.poles[2] as number
  for (let n = 0; n < NEAR_SAMPLES && !isFound(); n++) {
    const rotationDeg = lies.angles
      ? random() < 0.5
        ? lies.rotationDeg
        : angleFor(random, lies.angles)
      : lies.rotationDeg + 20 * drawNormal(random)
    take(lies.x + reach * drawNormal(random), lies.y + reach * drawNormal(random), rotationDeg)
  }
  if (isFound()) return tried[0] as Tried
  return tried
    .map((spot) => refined(board, i, spot, { reach, isHeld: lies.angles !== undefined, random }))
    .reduce((a, b) => (b.cost < a.cost ? b : a))
}

/** The ways a blank is pushed: along x, along y, across both, and round. */
const AXES = ['x', 'y', 'both', 'round'] as const

/** A spot pushed one way by a step, or turned. */
function pushed({ x, y, rotationDeg }: Pose, axis: (typeof AXES)[number], by: number, side: number): Pose {
  if (axis === 'round') return { x, y, rotationDeg: rotationDeg + by }
  return { x: axis === 'y' ? x : x + by, y: axis === 'x' ? y : y + (axis === 'both' ? side * by : by), rotationDeg }
}

interface Refining {
  readonly reach: number
  /** Whether its angle is one of a few, and so not turned by little. */
  readonly isHeld: boolean
  readonly random: () => number
}

/** The better of a spot and of the two a step away from it along an axis. */
function betterBeside(board: Board, i: number, from: Tried, axis: (typeof AXES)[number], by: number): Tried {
  let best = from
  for (const way of [1, -1]) {
    const spot = pushed(from, axis, way * by, Math.sign(by))
    const cost = board.costAt(i, spot.x, spot.y, spot.rotationDeg, best.cost)
    if (cost < best.cost) best = { ...spot, cost }
  }
  return best
}

/** Steps along the axes, and of the angle where that is free, longer where they help and shorter where they do not. */
function refined(board: Board, i: number, from: Tried, { reach, isHeld, random }: Refining): Tried {
  let best = from
  const steps = { line: 0.25 * reach, turn: isHeld ? 0 : FIRST_TURN_DEG }
  const isDone = () => best.cost === 0 || (steps.line <= LAST_STEP_MM && steps.turn <= LAST_STEP_DEG)
  for (let n = 0; n < MOST_STEPS && !isDone(); n++) {
    const axis = AXES[Math.floor(random() * (isHeld ? 3 : 4))] ?? 'x'
    const by = axis === 'round' ? 'turn' : 'line'
    const next = betterBeside(board, i, best, axis, (random() < 0.5 ? 1 : -1) * steps[by])
    steps[by] *= next === best ? 0.5 : 1.1
    best = next
  }
  return best
}
const FIRST_TURN_DEG = 8

function shuffled<T>(items: readonly T[], random: () => number): T[] {
  const copy = [...items]
  for (let i = copy.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[copy[i], copy[j]] = [copy[j] as T, copy[i] as T]
  }
  return copy
}

/** The best that a board has come to: how much was in the way then, where all lay, and who is told of it. */
interface AtBest {
  total: number
  spots: readonly Pose[]
  readonly tell: () => void
}

/** Each blank that is in another’s way moved once to the best spot found for it. */
function moveAll(board: Board, blanks: readonly number[], search: Search): void {
  for (const i of shuffled(blanks, search.random)) {
    if (search.shouldStop()) return
    if (board.isInTheWay(i)) board.move(i, bestSpot(board, i, search))
  }
}

/** Rounds of moves until nothing is in the way, or so many brought nothing better. */
function strike(board: Board, search: Search, patience: number, best: AtBest): boolean {
  board.goBack(best.spots)
  for (let idle = 0; idle < patience && search.rounds > 0 && !search.shouldStop(); idle++) {
    search.rounds--
    const { total, blanks } = board.measure()
    if (total < best.total) {
      const isWorth = total < WORTH * best.total
      Object.assign(best, { total, spots: board.spots() })
      if (isWorth) {
        idle = 0
        best.tell()
      }
    }
    if (blanks.length === 0) return true
    board.reweigh()
    moveAll(board, blanks, search)
  }
  return false
}

/**
 * Moves blanks that are in one another’s way until none is; false where it gives up after so many rounds without getting better, three times
 * over, each time from the best it has come to. Tells whenever less is in the way than before, the board being as it then is.
 */
export function separate(board: Board, search: Search, patience: number, tell: () => void): boolean {
  const best: AtBest = { total: Infinity, spots: board.spots(), tell }
  for (let n = 0; n < STRIKES; n++) if (strike(board, search, patience, best)) return true
  return false
}

const STRIKES = 3
/** Getting better by less than this counts for nothing. */
const WORTH = 0.98
