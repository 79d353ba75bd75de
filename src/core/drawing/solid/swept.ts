import type { Outline, Point } from '../../geometry/point'
import { triangulate } from '../../geometry/triangulate'
import type { BentSegment, Mesh, Solid } from './solid'
import { Surface } from './surface'

type Swept = Extract<Solid, { kind: 'swept' }>

/** A place along the path: where, which way, and what share of the length lies behind it. */
interface Station {
  readonly x: number
  readonly y: number
  readonly headingRad: number
  readonly share: number
}

const STEPS_A_TURN = 72
const STEPS_TAPERED = 40

function lengthOf(part: BentSegment): number {
  return 'straightMm' in part ? part.straightMm : part.radiusMm * Math.abs(part.turnRad)
}

function* stretches(bends: readonly BentSegment[], formed: number, fine: boolean): Generator<{ mm: number; turnRad: number }> {
  const whole = bends.reduce((sum, part) => sum + lengthOf(part), 0)
  for (const part of bends) {
    const mm = lengthOf(part)
    const turn = 'straightMm' in part ? 0 : part.turnRad
    const steps = Math.max(
      1,
      Math.ceil((Math.abs(turn) / (2 * Math.PI)) * STEPS_A_TURN),
      fine ? Math.ceil((mm / whole) * STEPS_TAPERED) : 1,
    )
    for (let i = 0; i < steps; i++) yield { mm: mm / steps, turnRad: (turn * formed) / steps }
  }
}

/** The path when its bends are made to a share of their angles; its length along the middle of the metal is the same at any share. */
function stationsOf({ bends, taper }: Swept, formed: number): Station[] {
  const parts = [...stretches(bends, formed, taper !== undefined)]
  const whole = parts.reduce((sum, part) => sum + part.mm, 0)
  let [x, y, headingRad, gone] = [0, 0, 0, 0]
  const stations: Station[] = [{ x, y, headingRad, share: 0 }]
  for (const { mm, turnRad } of parts) {
    const half = turnRad / 2
    const chord = Math.abs(half) < 1e-9 ? mm : (mm * Math.sin(half)) / half
    x += chord * Math.cos(headingRad + half)
    y += chord * Math.sin(headingRad + half)
    headingRad += turnRad
    gone += mm
    stations.push({ x, y, headingRad, share: gone / whole })
  }
  return stations
}

function factorAt(taper: readonly Point[] | undefined, share: number): number {
  if (!taper) return 1
  const after = taper.findIndex(([at]) => at >= share)
  const [b, a] = [taper[after === -1 ? taper.length - 1 : after] ?? [1, 1], taper[Math.max(0, after - 1)] ?? [0, 1]]
  return b[0] === a[0] ? b[1] : a[1] + ((b[1] - a[1]) * (share - a[0])) / (b[0] - a[0])
}

/** The section rolled up by an angle over its whole width, about its own middle; its middle layer keeps its length. */
function curled(section: Outline, angleRad: number): Outline {
  if (Math.abs(angleRad) < 1e-6) return section
  const across = section.map(([a]) => a)
  const radius = (Math.max(...across) - Math.min(...across)) / angleRad
  const middle = (radius * Math.sin(angleRad / 2)) / (angleRad / 2)
  return section.map(([a, out]): Point => {
    const angle = a / radius
    return [(radius + out) * Math.sin(angle), (radius + out) * Math.cos(angle) - middle]
  })
}

/** The outline with points along its long straight sides, so that it can be rolled up. */
function refined(section: Outline): Outline {
  return section.flatMap((point, i): Point[] => {
    const next = section[(i + 1) % section.length] ?? point
    const steps = Math.abs(next[0] - point[0]) > 1e-9 ? 48 : 1
    return Array.from(
      { length: steps },
      (_, k): Point => [point[0] + ((next[0] - point[0]) * k) / steps, point[1] + ((next[1] - point[1]) * k) / steps],
    )
  })
}

/** Closes both ends of a sweep with its section. */
function capEnds(surface: Surface, section: Outline, first: readonly number[], last: readonly number[]): void {
  const { triangles } = triangulate(section, [])
  for (let i = 0; i < triangles.length; i += 3) {
    const [a = 0, b = 0, c = 0] = triangles.slice(i, i + 3)
    surface.triangle(first[a] ?? 0, first[c] ?? 0, first[b] ?? 0)
    surface.triangle(last[a] ?? 0, last[b] ?? 0, last[c] ?? 0)
  }
}

/** A swept part, formed by a share from 0 (straight and flat) to 1. A curled section rolls up in the first half of it. */
export function sweptMesh(solid: Swept, formed: number): Mesh {
  const curl = solid.curlRad ?? 0
  const rolled = (angleRad: number) => (curl > 0 ? curled(refined(solid.section), angleRad) : solid.section)
  const section = rolled(curl * Math.min(1, 2 * formed))
  const bent = curl > 0 ? Math.max(0, 2 * formed - 1) : formed
  const surface = new Surface()
  const rings = stationsOf(solid, bent).map(({ x, y, headingRad, share }) => {
    const factor = factorAt(solid.taper, share)
    return section.map(([across, out]): number =>
      surface.add([x + out * Math.sin(headingRad), y - out * Math.cos(headingRad), across * factor]),
    )
  })
  rings.slice(1).forEach((ring, i) => {
    surface.join(rings[i] ?? ring, ring)
  })
  // a section rolled right up has no points in line, which triangles would pass over
  capEnds(surface, rolled(curl), rings[0] ?? [], rings.at(-1) ?? [])
  return surface.mesh()
}
