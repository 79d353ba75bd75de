import { perimeterMm } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import type { OwnTool } from '../toolwall/tools'
import { usable } from '../toolwall/tools'
import { type CutLine, turnsOf } from './line'

export const CUT_WAYS = ['saw', 'drill', 'punch', 'disc-cutter', 'shear', 'chisel', 'die'] as const
export type CutWay = (typeof CUT_WAYS)[number]

/** What a way of cutting asks for and leaves behind (house defaults, low; common practice). */
export interface CutWayFacts {
  readonly title: string
  /** What is done to a blank’s outline, and to a window in it; the blank’s name stands for the dash. */
  readonly does: Readonly<Record<CutLine['kind'], string>>
  /** Metal left on the blank's side of the line, to be filed or trued away, mm. */
  readonly allowanceMm: number
  /** Metal that neighbours must be apart, mm; the saw asks for its kerf alone. */
  readonly spacingMm: number
  readonly minutes: number
  /** Cleaning the edge up afterwards, for each 100 mm of it. */
  readonly cleanUpMinPer100Mm: number
  readonly leaves: string
  readonly caution?: string
}

export const CUT_WAY_FACTS: Readonly<Record<CutWay, CutWayFacts>> = {
  saw: {
    title: 'Saw',
    does: { outline: 'Saw out –', window: 'Saw the window of –' },
    allowanceMm: 0,
    spacingMm: 0,
    minutes: 0,
    cleanUpMinPer100Mm: 2,
    leaves: 'a burr and the marks of the teeth',
  },
  drill: {
    title: 'Drill',
    does: { outline: 'Drill out –', window: 'Drill the hole in –' },
    allowanceMm: 0,
    spacingMm: 0,
    minutes: 1.5,
    cleanUpMinPer100Mm: 2,
    leaves: 'a burr on the far side',
    caution: 'Eye protection on, hair and sleeves tied back; the sheet held in a clamp, never in the fingers.',
  },
  punch: {
    title: 'Screw punch',
    does: { outline: 'Punch out –', window: 'Punch the hole in –' },
    allowanceMm: 0,
    spacingMm: 0,
    minutes: 0.5,
    cleanUpMinPer100Mm: 2,
    leaves: 'a rim that is pulled down a little',
  },
  'disc-cutter': {
    title: 'Disc cutter',
    does: { outline: 'Cut – in the disc cutter', window: 'Cut the window of – in the disc cutter' },
    allowanceMm: 0,
    spacingMm: 1.5,
    minutes: 0.75,
    cleanUpMinPer100Mm: 1,
    leaves: 'a rolled edge on one face; the sheet between is scrap',
    caution: 'Eye protection on. Never one hardened face on another.',
  },
  shear: {
    title: 'Shears',
    does: { outline: 'Shear out –', window: 'Shear the window of –' },
    allowanceMm: 0.3,
    spacingMm: 0.6,
    minutes: 1,
    cleanUpMinPer100Mm: 3,
    leaves: 'a bent edge to be trued',
    caution: 'Fingers clear of the blades; shear cuts leave razor edges.',
  },
  chisel: {
    title: 'Chisel',
    does: { outline: 'Chisel out –', window: 'Chisel the window of – open' },
    allowanceMm: 0.5,
    spacingMm: 0,
    minutes: 4,
    cleanUpMinPer100Mm: 8,
    leaves: 'a rough edge inside the line, to be filed to it',
    caution: 'Eye protection on. Never one hardened face on another.',
  },
  die: {
    title: 'Pancake die',
    does: { outline: 'Press – through the die', window: 'Press the window of – through the die' },
    allowanceMm: 0,
    spacingMm: 2,
    minutes: 1,
    cleanUpMinPer100Mm: 0.5,
    leaves: 'a small tab to be taken off',
    caution: 'Press behind a guard, hands away, eye protection on; never strike a die that is cracked.',
  },
}

/** What neighbours must have between them, mm: the kerf, or more for ways of cutting that were chosen for some lines. */
export function gapFor(kerfMm: number, choices: Readonly<Record<string, { readonly way?: CutWay | undefined }>>): number {
  return Math.max(kerfMm, ...Object.values(choices).map(({ way }) => (way ? CUT_WAY_FACTS[way].spacingMm : 0)))
}

/** Ways in which a tool follows the line, and so can keep off it; the others cut what they are made for. */
export const followsLine = (way: CutWay): boolean => way === 'saw' || way === 'shear' || way === 'chisel'

/** A tool made for a size cuts what is this near to it, mm. */
const SIZE_TOLERANCE_MM = 0.06
/** Shears cut outlines of so few straight edges, none shorter than this, mm. */
const SHEARED = { mostCorners: 8, leastEdgeMm: 5 } as const
/** A round window is drilled up to this across, mm; wider ones are sawn. */
const MOST_DRILLED_MM = 6

const fits = (size: number, across: number) => Math.abs(size - across) <= SIZE_TOLERANCE_MM

function isSheared(points: Outline): boolean {
  if (points.length > SHEARED.mostCorners || turnsOf(points) !== points.length) return false
  const areaSign = points.map(([x, y], i) => {
    const [[px, py], [nx, ny]] = [points.at(i - 1) ?? [x, y], points[(i + 1) % points.length] ?? [x, y]]
    return Math.sign((x - px) * (ny - y) - (y - py) * (nx - x))
  })
  const isConvex = areaSign.every((sign) => sign === areaSign[0])
  const edges = points.map(([x, y], i) =>
    Math.hypot((points[(i + 1) % points.length]?.[0] ?? x) - x, (points[(i + 1) % points.length]?.[1] ?? y) - y),
  )
  return isConvex && edges.every((edge) => edge >= SHEARED.leastEdgeMm)
}

/** The drill or punch of this size that there is for a round window; drills are there in every size. */
function hasSize(tools: readonly OwnTool[], kind: 'hole-punch' | 'disc-cutter', across: number): boolean {
  return usable(tools, kind).some(({ size }) => fits(size, across))
}

/** The ways a line can be cut with the tools there are, the usual one first. */
export function waysFor(line: CutLine, tools: readonly OwnTool[]): readonly CutWay[] {
  const across = line.round ? 2 * line.round.radiusMm : undefined
  if (line.kind === 'window') {
    const isDrilled = across !== undefined && across <= MOST_DRILLED_MM
    return [
      ...(isDrilled ? (['drill'] as const) : []),
      'saw',
      ...(across !== undefined && hasSize(tools, 'hole-punch', across) ? (['punch'] as const) : []),
      ...(across !== undefined && hasSize(tools, 'disc-cutter', across) ? (['disc-cutter'] as const) : []),
      'chisel',
    ]
  }
  return [
    'saw',
    ...(across !== undefined && hasSize(tools, 'disc-cutter', across) ? (['disc-cutter'] as const) : []),
    ...(isSheared(line.points) ? (['shear'] as const) : []),
    'die',
  ]
}

/** Minutes to clean a cut edge up. */
export function cleanUpMin(way: CutWay, points: Outline): number {
  return (CUT_WAY_FACTS[way].cleanUpMinPer100Mm * perimeterMm(points)) / 100
}
