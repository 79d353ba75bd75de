import type { Turned } from './piece'
import { distanceSqToRings, isInRings, ringsMeet } from './rings'

/** Exact ways in which two turned blanks may share metal, the second moved by (dx, dy). Touching is sharing: the search keeps off it. */
export function collides(a: Turned, b: Turned, dx: number, dy: number): boolean {
  if (b.box.minX + dx >= a.box.maxX || b.box.maxX + dx <= a.box.minX) return false
  if (b.box.minY + dy >= a.box.maxY || b.box.maxY + dy <= a.box.minY) return false
  if (polesMeet(a, b, dx, dy)) return true
  if (a.radius !== undefined && b.radius !== undefined) return false
  if (a.radius !== undefined) return isDiscIn(b, a, -dx, -dy)
  if (b.radius !== undefined) return isDiscIn(a, b, dx, dy)
  if (ringsMeet(a, b, dx, dy)) return true
  return (
    isInRings((b.poles[0] as number) + dx, (b.poles[1] as number) + dy, a.rings) ||
    isInRings((a.poles[0] as number) - dx, (a.poles[1] as number) - dy, b.rings)
  )
}

function polesMeet({ poles: a }: Turned, { poles: b }: Turned, dx: number, dy: number): boolean {
  for (let i = 0; i < a.length; i += 3)
    for (let j = 0; j < b.length; j += 3) {
      const x = (b[j] as number) + dx - (a[i] as number)
      const y = (b[j + 1] as number) + dy - (a[i + 1] as number)
      const reach = (a[i + 2] as number) + (b[j + 2] as number) - 1e-9
      if (x * x + y * y < reach * reach) return true
    }
  return false
}

/** Whether a disc, moved, comes on the metal of an outline. */
function isDiscIn({ rings }: Turned, { poles, radius = 0 }: Turned, dx: number, dy: number): boolean {
  const [x, y] = [(poles[0] as number) + dx, (poles[1] as number) + dy]
  if (isInRings(x, y, rings)) return true
  return distanceSqToRings(x, y, rings, radius * radius) < radius * radius
}

/** How far into one another two circles are; a little is left of it where they only come near, so that a way out is always felt. */
export const decayed = (depth: number, near: number) => (depth >= near ? depth : (near * near) / (2 * near - depth))

/** How near circles are felt, against the size of the smaller blank. */
export const NEAR = 0.05

/** How much two blanks that share metal are in each other’s way: by the circles that fill them, never zero. */
export function overlapOf(a: Turned, b: Turned, dx: number, dy: number): number {
  const near = NEAR * Math.min(a.poles[2] as number, b.poles[2] as number)
  let sum = 0
  for (let i = 0; i < a.poles.length; i += 3) {
    const ax = a.poles[i] as number
    const ay = a.poles[i + 1] as number
    const ar = a.poles[i + 2] as number
    for (let j = 0; j < b.poles.length; j += 3) {
      const br = b.poles[j + 2] as number
      const x = (b.poles[j] as number) + dx - ax
      const y = (b.poles[j + 1] as number) + dy - ay
      sum += decayed(ar + br - Math.sqrt(x * x + y * y), near) * Math.min(ar, br)
    }
  }
  return Math.sqrt(sum + near * near)
}
