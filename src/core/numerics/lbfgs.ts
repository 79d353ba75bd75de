/** The value of a function at a place; its slope there is written into `slope`. */
export type Sloped = (at: Float64Array, slope: Float64Array) => number

interface Descent {
  /** Steps at most. */
  readonly most: number
  /** Good enough at this value or below. */
  readonly until: number
  /** Ends where so many steps brought less than this share of the value. */
  readonly alike?: { readonly steps: number; readonly share: number }
  /** Asked before each step: it ends where the caller has no time left. */
  readonly shouldStop?: () => boolean
}

/** Steps that are remembered. */
const MEMORY = 8
/** The share of the fall promised by the slope that a step has to bring (Armijo), and how much shorter one becomes that does not. */
const [LEAST_FALL, SHORTER, MOST_SHORTENED] = [1e-4, 0.4, 18]

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number)
  return sum
}

function addTo(a: Float64Array, times: number, b: Float64Array): void {
  for (let i = 0; i < a.length; i++) a[i] = (a[i] as number) + times * (b[i] as number)
}

interface Step {
  readonly moved: Float64Array
  readonly bent: Float64Array
  readonly curve: number
}

/** The way down as the steps remembered bend it (the two loops of the method). */
function wayDown(slope: Float64Array, steps: readonly Step[]): Float64Array {
  const way = slope.map((value) => -value)
  const shares: number[] = []
  for (let k = steps.length - 1; k >= 0; k--) {
    const { moved, bent, curve } = steps[k] as Step
    const share = dot(moved, way) / curve
    shares[k] = share
    addTo(way, -share, bent)
  }
  const last = steps[steps.length - 1]
  if (last) {
    const scale = last.curve / dot(last.bent, last.bent)
    for (let i = 0; i < way.length; i++) way[i] = (way[i] as number) * scale
  }
  steps.forEach(({ moved, bent, curve }, k) => {
    addTo(way, (shares[k] as number) - dot(bent, way) / curve, moved)
  })
  return way
}

interface At {
  readonly place: Float64Array
  readonly slope: Float64Array
  readonly value: number
}

/** The place a step down the way that brings enough, the step shortened until it does; undefined where none brings anything. */
function stepDown(f: Sloped, from: At, way: Float64Array, falls: number): At | undefined {
  const place = new Float64Array(way.length)
  const slope = new Float64Array(way.length)
  let length = 1
  for (let k = 0; k < MOST_SHORTENED; k++, length *= SHORTER) {
    place.set(from.place)
    addTo(place, length, way)
    const value = f(place, slope)
    if (value <= from.value + LEAST_FALL * length * falls) return value < from.value ? { place, slope, value } : undefined
  }
  return undefined
}

/** What a step tells of how the function bends; undefined where that is nothing. */
function learned(from: At, to: At): Step | undefined {
  const moved = to.place.map((one, i) => one - (from.place[i] as number))
  const bent = to.slope.map((one, i) => one - (from.slope[i] as number))
  const curve = dot(moved, bent)
  return curve > LEAST_CURVE ? { moved, bent, curve } : undefined
}
const LEAST_CURVE = 1e-18

/**
 * Goes down a smooth function from `start`, which is moved to the lowest place found; gives the value there. Limited-memory BFGS
 * (Nocedal, Wright, Numerical Optimization, 2nd edition, algorithm 7.5) with steps shortened until they bring enough.
 */
export function goDown(f: Sloped, start: Float64Array, { most, until, alike, shouldStop = () => false }: Descent): number {
  const slope = new Float64Array(start.length)
  let here: At = { place: Float64Array.from(start), slope, value: f(start, slope) }
  let steps: Step[] = []
  let before = Infinity
  for (let n = 0; n < most && here.value > until && !shouldStop(); n++) {
    if (alike && n % alike.steps === 0) {
      if (here.value > before * (1 - alike.share)) break
      before = here.value
    }
    let way = wayDown(here.slope, steps)
    if (!(dot(way, here.slope) < 0)) {
      steps = []
      way = wayDown(here.slope, steps)
    }
    const next = stepDown(f, here, way, dot(way, here.slope))
    if (!next) break
    const step = learned(here, next)
    if (step) steps = [...steps.slice(1 - MEMORY), step]
    here = next
  }
  start.set(here.place)
  return here.value
}
