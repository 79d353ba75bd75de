/** The value of a function at a place; its slope there is written into `slope`. */
export type Sloped = (at: Float64Array, slope: Float64Array) => number

interface Descent {
  /** Steps at most. */
  readonly most: number
  /** Good enough at this value or below. */
  readonly until: number
  /** Ends where so many steps brought less than this share of the value. */
  readonly alike?: { readonly steps: number; readonly share: number }
  /** Asked before each step: it ends where nothing good is to come any more, or the caller has no time left. */
  readonly shouldStop?: (step: number, value: number) => boolean
}

/** Steps that are remembered. */
const MEMORY = 8
/** The share of the fall promised by the slope that a step has to bring (Armijo), and how much shorter one becomes that does not. */
const [LEAST_FALL, SHORTER, MOST_SHORTENED] = [1e-4, 0.4, 18]
/** A step that tells less than this of how the function bends tells nothing. */
const LEAST_CURVE = 1e-18

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number)
  return sum
}

/** a + times b, into `to`. */
function sumInto(to: Float64Array, a: Float64Array, times: number, b: Float64Array): void {
  for (let i = 0; i < to.length; i++) to[i] = (a[i] as number) + times * (b[i] as number)
}

interface Step {
  readonly moved: Float64Array
  readonly bent: Float64Array
  curve: number
  share: number
}

const emptyStep = (size: number): Step => ({ moved: new Float64Array(size), bent: new Float64Array(size), curve: 0, share: 0 })

/** The last steps, and how the function bends by them; what is forgotten makes room for the next. */
class Steps {
  private readonly kept: Step[] = []
  private readonly size: number
  /** Where the next step is written: it is kept only where it tells something. */
  private spare: Step

  constructor(size: number) {
    this.size = size
    this.spare = emptyStep(size)
  }

  forget(): void {
    this.kept.length = 0
  }

  /** Learns from a step; one that tells nothing is left out. */
  learn(from: At, to: At): void {
    const step = this.spare
    sumInto(step.moved, to.place, -1, from.place)
    sumInto(step.bent, to.slope, -1, from.slope)
    step.curve = dot(step.moved, step.bent)
    if (step.curve <= LEAST_CURVE) return
    const oldest = this.kept.length < MEMORY ? undefined : this.kept.shift()
    this.kept.push(step)
    this.spare = oldest ?? emptyStep(this.size)
  }

  /** The way down as the steps remembered bend it (the two loops of the method), into `way`. */
  wayDown(slope: Float64Array, way: Float64Array): void {
    const { kept } = this
    for (let i = 0; i < way.length; i++) way[i] = -(slope[i] as number)
    for (let k = kept.length - 1; k >= 0; k--) {
      const step = kept[k] as Step
      step.share = dot(step.moved, way) / step.curve
      sumInto(way, way, -step.share, step.bent)
    }
    const last = kept[kept.length - 1]
    if (!last) return
    const scale = last.curve / dot(last.bent, last.bent)
    for (let i = 0; i < way.length; i++) way[i] = (way[i] as number) * scale
    for (const { moved, bent, curve, share } of kept) sumInto(way, way, share - dot(bent, way) / curve, moved)
  }
}

/** A place, with the slope and the value there. */
class At {
  readonly place: Float64Array
  readonly slope: Float64Array
  value = 0

  constructor(size: number) {
    this.place = new Float64Array(size)
    this.slope = new Float64Array(size)
  }

  /** Takes the place so far down a way from another. */
  goFrom(from: At, length: number, way: Float64Array, f: Sloped): void {
    sumInto(this.place, from.place, length, way)
    this.value = f(this.place, this.slope)
  }
}

/** Brings `to` a step down the way that brings enough, the step shortened until it does; false where none brings anything. */
function stepDown(f: Sloped, from: At, to: At, way: Float64Array): boolean {
  const falls = dot(way, from.slope)
  let length = 1
  for (let k = 0; k < MOST_SHORTENED; k++, length *= SHORTER) {
    to.goFrom(from, length, way, f)
    if (to.value <= from.value + LEAST_FALL * length * falls) return to.value < from.value
  }
  return false
}

/**
 * Goes down a smooth function from `start`, which is moved to the lowest place found; gives the value there. Limited-memory BFGS
 * (Nocedal, Wright, Numerical Optimization, 2nd edition, algorithm 7.5) with steps shortened until they bring enough.
 */
export function goDown(f: Sloped, start: Float64Array, { most, until, alike, shouldStop = () => false }: Descent): number {
  const way = new Float64Array(start.length)
  const steps = new Steps(start.length)
  let here = new At(start.length)
  let next = new At(start.length)
  here.place.set(start)
  here.value = f(here.place, here.slope)
  let before = Infinity
  for (let n = 0; n < most && here.value > until && !shouldStop(n, here.value); n++) {
    if (alike && n % alike.steps === 0) {
      if (here.value > before * (1 - alike.share)) break
      before = here.value
    }
    steps.wayDown(here.slope, way)
    if (!(dot(way, here.slope) < 0)) {
      steps.forget()
      steps.wayDown(here.slope, way)
    }
    if (!stepDown(f, here, next, way)) break
    steps.learn(here, next)
    const left = here
    here = next
    next = left
  }
  start.set(here.place)
  return here.value
}
