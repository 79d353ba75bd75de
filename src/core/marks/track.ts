import type { Outline, Point } from '../geometry/point'

/** A place on a track: where, and which way the track runs there (rad, counter-clockwise from x). */
export interface TrackPlace {
  readonly at: Point
  readonly angleRad: number
}

/** What marks are set along: a line on the metal, measured by its own length. Tops of letters point to its left. */
export interface Track {
  readonly lengthMm: number
  /** How far along its middle is: where a line of marks is centred. */
  readonly middleMm: number
  readonly isClosed: boolean
  /** The place a length on from the start; past the ends of an open track it goes on straight, round a closed one it goes on. */
  readonly at: (alongMm: number) => TrackPlace
}

/** A straight track from so far before a point to so far after it; the point is its middle. */
export function straightTrack([x, y]: Point, angleRad: number, beforeMm: number, afterMm: number): Track {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
  return {
    lengthMm: beforeMm + afterMm,
    middleMm: beforeMm,
    isClosed: false,
    at: (alongMm) => ({ at: [x + (alongMm - beforeMm) * cos, y + (alongMm - beforeMm) * sin], angleRad }),
  }
}

/** How long a line may be that is centred on the middle of a track. */
export function roomOn({ lengthMm, middleMm, isClosed }: Track): number {
  return isClosed ? lengthMm : 2 * Math.min(middleMm, lengthMm - middleMm)
}

/**
 * A circle as a track, its middle (half its length) at an angle: run clockwise where the tops of letters face outwards, counter-clockwise where
 * they face the centre.
 */
export function circleTrack([x, y]: Point, radiusMm: number, middleRad: number, facing: 'outwards' | 'inwards'): Track {
  const way = facing === 'outwards' ? -1 : 1
  const lengthMm = 2 * Math.PI * radiusMm
  return {
    lengthMm,
    middleMm: lengthMm / 2,
    isClosed: true,
    at: (alongMm) => {
      const angle = middleRad + (way * (alongMm - lengthMm / 2)) / radiusMm
      return { at: [x + radiusMm * Math.cos(angle), y + radiusMm * Math.sin(angle)], angleRad: angle + (way * Math.PI) / 2 }
    },
  }
}

interface Run {
  readonly from: number
  readonly start: Point
  readonly angleRad: number
}

/** Runs shorter than this are none. */
const NOTHING_MM = 1e-9

function runsOf(outline: Outline): { readonly runs: readonly Run[]; readonly lengthMm: number } {
  const runs: Run[] = []
  let from = 0
  outline.forEach((start, i) => {
    const next = outline[(i + 1) % outline.length] as Point
    const [dx, dy] = [next[0] - start[0], next[1] - start[1]]
    const lengthMm = Math.hypot(dx, dy)
    if (lengthMm < NOTHING_MM) return
    runs.push({ from, start, angleRad: Math.atan2(dy, dx) })
    from += lengthMm
  })
  return { runs, lengthMm: from }
}

/** The run that a length falls into, found by halving. */
function runAt(runs: readonly Run[], alongMm: number): Run {
  let [low, high] = [0, runs.length - 1]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((runs[middle] as Run).from <= alongMm) low = middle
    else high = middle - 1
  }
  return runs[low] as Run
}

/** A closed outline as a track, beginning at its first point, measured along its own edges. */
export function outlineTrack(outline: Outline): Track {
  const { runs, lengthMm } = runsOf(outline)
  return {
    lengthMm,
    middleMm: lengthMm / 2,
    isClosed: true,
    at: (alongMm) => {
      const along = ((alongMm % lengthMm) + lengthMm) % lengthMm
      const { from, start, angleRad } = runAt(runs, along)
      return { at: [start[0] + (along - from) * Math.cos(angleRad), start[1] + (along - from) * Math.sin(angleRad)], angleRad }
    },
  }
}

/** A track that begins elsewhere on a closed one, and may run the other way. */
export function begunAt(track: Track, startMm: number, isBackwards: boolean): Track {
  return {
    ...track,
    at: (alongMm) => {
      if (!isBackwards) return track.at(startMm + alongMm)
      const { at, angleRad } = track.at(startMm - alongMm)
      return { at, angleRad: angleRad + Math.PI }
    },
  }
}

/** Steps in which the place on a track that is nearest to a point is looked for, and how finely it is then closed in on. */
const [LOOKS, CLOSER] = [720, 60]

/** How far along a track the place is that is nearest to a point. */
export function nearestAlong(track: Track, [x, y]: Point): number {
  const far = (alongMm: number) => {
    const [px, py] = track.at(alongMm).at
    return (px - x) ** 2 + (py - y) ** 2
  }
  const step = track.lengthMm / LOOKS
  let best = 0
  for (let i = 1; i < LOOKS; i++) if (far(i * step) < far(best * step)) best = i
  let [low, high] = [(best - 1) * step, (best + 1) * step]
  for (let i = 0; i < CLOSER; i++) {
    const third = (high - low) / 3
    if (far(low + third) < far(high - third)) high -= third
    else low += third
  }
  return (low + high) / 2
}
