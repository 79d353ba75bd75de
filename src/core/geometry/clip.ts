import {
  area,
  Clipper64,
  ClipType,
  EndType,
  FillRule,
  inflatePaths,
  JoinType,
  type Paths64,
  type PolyPath64,
  PolyTree64,
} from 'clipper2-ts'
import type { Outline, Point } from './point'

/** Whole units of 0.1 micrometre: the library's integer functions are the exact ones. */
const UNITS_PER_MM = 10000

export interface Region {
  readonly outer: Outline
  readonly holes: readonly Outline[]
}

function toPath(outline: Outline) {
  return outline.map(([x, y]) => ({ x: Math.round(x * UNITS_PER_MM), y: Math.round(y * UNITS_PER_MM) }))
}

function toOutline(path: readonly { x: number; y: number }[]): Outline {
  // + 0 turns the library's minus zero into plain zero, which JSON keeps
  return path.map(({ x, y }): Point => [x / UNITS_PER_MM + 0, y / UNITS_PER_MM + 0])
}

function pathsOf(regions: readonly Region[]): Paths64 {
  return regions.flatMap((region) => [toPath(region.outer), ...region.holes.map(toPath)])
}

function orient(outline: Outline, counterClockwise: boolean): Outline {
  const isCounter = area(toPath(outline)) > 0
  return isCounter === counterClockwise ? outline : [...outline].reverse()
}

function regionsFrom(node: PolyPath64): Region[] {
  const regions: Region[] = []
  for (let i = 0; i < node.count; i++) {
    const outer = node.child(i)
    if (!outer.poly) continue
    const holes: Outline[] = []
    for (let j = 0; j < outer.count; j++) {
      const hole = outer.child(j)
      if (hole.poly) holes.push(orient(toOutline(hole.poly), false))
      regions.push(...regionsFrom(hole))
    }
    regions.push({ outer: orient(toOutline(outer.poly), true), holes })
  }
  return regions
}

function combine(kind: ClipType, subject: readonly Region[], clip: readonly Region[]): Region[] {
  const clipper = new Clipper64()
  clipper.addSubject(pathsOf(subject))
  clipper.addClip(pathsOf(clip))
  const tree = new PolyTree64()
  clipper.execute(kind, FillRule.EvenOdd, tree)
  return regionsFrom(tree)
}

/** What is left of `subject` where none of `cut` lies. */
export function subtractRegions(subject: readonly Region[], cut: readonly Region[]): Region[] {
  return combine(ClipType.Difference, subject, cut)
}

/** What two lists of regions have in common. */
export function intersectRegions(first: readonly Region[], second: readonly Region[]): Region[] {
  return combine(ClipType.Intersection, first, second)
}

/** All regions merged, overlaps counted once. */
export function uniteRegions(regions: readonly Region[]): Region[] {
  const clipper = new Clipper64()
  clipper.addSubject(
    regions.flatMap((region) => [toPath(orient(region.outer, true)), ...region.holes.map((hole) => toPath(orient(hole, false)))]),
  )
  const tree = new PolyTree64()
  clipper.execute(ClipType.Union, FillRule.NonZero, tree)
  return regionsFrom(tree)
}

/** What loops enclose that run counter-clockwise round metal and clockwise round holes, however often they cross or cover one another. */
export function enclosedBy(loops: readonly Outline[]): Region[] {
  const clipper = new Clipper64()
  clipper.addSubject(loops.map(toPath))
  const tree = new PolyTree64()
  clipper.execute(ClipType.Union, FillRule.Positive, tree)
  return regionsFrom(tree)
}

/** The outline moved outwards by a distance in mm (inwards where negative), corners rounded. */
export function offsetOutline(outline: Outline, distanceMm: number): Outline[] {
  const grown = inflatePaths(
    [toPath(orient(outline, true))],
    distanceMm * UNITS_PER_MM,
    JoinType.Round,
    EndType.Polygon,
    2,
    0.002 * UNITS_PER_MM,
  )
  return grown.map(toOutline)
}
