'use client'
import { useEffect, useState } from 'react'
import type { Point } from '@/core/geometry'

/** Two places of a picture, pixels; each counts once it was laid where it belongs. */
export interface TwoPoints {
  readonly places: readonly [Point, Point]
  readonly isLaid: readonly [boolean, boolean]
}

/** Where the two points stand before they are laid anywhere: in the middle, a quarter of the width from each side. */
const unlaid = ([width, height]: readonly [number, number]): TwoPoints => ({
  places: [
    [width / 4, height / 2],
    [(3 * width) / 4, height / 2],
  ],
  isLaid: [false, false],
})

/** The two points of a picture of a known size, and what lays one of them somewhere. */
export function useTwoPoints(size: readonly [number, number] | undefined) {
  const [points, setPoints] = useState<TwoPoints>()
  useEffect(() => setPoints(size && unlaid(size)), [size])
  const lay = (which: 0 | 1, [x, y]: Point) => {
    if (!size) return
    const place: Point = [Math.max(0, Math.min(size[0], x)), Math.max(0, Math.min(size[1], y))]
    const put = <T>([first, second]: readonly [T, T], value: T): [T, T] => (which === 0 ? [value, second] : [first, value])
    setPoints((now) => now && { places: put(now.places, place), isLaid: put(now.isLaid, true) })
  }
  return { points, lay }
}
