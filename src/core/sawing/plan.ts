import { type CutSide, cutAround, kerfLine } from '../drawing/cut'
import { isInside } from '../geometry/distance'
import { boxesApartMm, nearestBetween } from '../geometry/nearest'
import { perimeterMm } from '../geometry/outline'
import { boundsOf, type Outline, type Point } from '../geometry/point'
import { figureOf } from '../tables/figures'
import type { Bench } from '../toolwall/tools'
import { formatPlain } from '../units/format'
import { derive, given, type WorkingLog } from '../working/derive'
import { bladeFor } from './blade'
import { type BladeLife, type BladesBroken, bladeLife } from './blade-life'
import { type CutLine, linesOf, type PlacedBlank, turnsOf, USUAL_SIDE } from './line'
import { inOrder, type Ordered, type OrderReason } from './order'
import type { LineChoices } from './schema'
import { type StartingBit, startingBit, startingHoleIn } from './starting-hole'
import { CUT_WAY_FACTS, type CutWay, cleanUpMin, followsLine, waysFor } from './ways'

/** One cut of the plan. */
export interface PlannedCut {
  readonly number: number
  /** Of the line in its item, and on the sheet. */
  readonly line: string
  readonly key: string
  readonly blank: string
  readonly kind: CutLine['kind']
  readonly way: CutWay
  /** Ways this line can be cut in with the tools there are. */
  readonly ways: readonly CutWay[]
  readonly side: CutSide
  readonly setOffMm: number
  /** The line itself, and the middle of the cut along it. */
  readonly points: Outline
  readonly cut: Outline
  readonly wayIn: readonly [Point, Point] | undefined
  /** Where a starting hole is drilled, or the whole of a drilled or punched one. */
  readonly hole: { readonly at: Point; readonly diameterMm: number; readonly bit: string } | undefined
  readonly lengthMm: number
  readonly turns: number
  readonly minutes: number
  readonly why: string
  readonly notes: readonly string[]
}

export interface SawPlan {
  readonly cuts: readonly PlannedCut[]
  readonly blade: { readonly name: string; readonly isOwn: boolean; readonly kerfMm: number; readonly bit: StartingBit | undefined }
  readonly thicknessMm: number
  readonly sawnMm: number
  readonly holes: number
  readonly turns: number
  readonly minutes: number
  readonly cleanUpMinutes: number
  readonly blades: number
  readonly bladeLife: BladeLife
  /** Neighbours that lie nearer than the ways they are cut in allow, and how much metal the most demanding of them needs, mm. */
  readonly tooNear: number
  readonly spacingMm: number
  readonly cautions: readonly string[]
  readonly working: WorkingLog
}

interface PlanInput extends Bench {
  readonly sheet: { readonly outer: Outline; readonly holes: readonly Outline[] }
  readonly thicknessMm: number
  readonly kerfMm?: number | undefined
  readonly blanks: readonly PlacedBlank[]
  readonly lines: LineChoices
  readonly bladesBroken?: BladesBroken | undefined
}

const WHY: Readonly<Record<OrderReason, string>> = {
  window: 'windows first, while the sheet is stiff to hold',
  nested: 'lies in a window that is cut after it',
  outline: 'the small before the large',
}
/** Turning the blade on the spot, and threading it through a starting hole that is dimpled and drilled, min (house default). */
const MINUTES = { turn: 0.1, start: 2 } as const

/** Neighbours laid at the very gap are not too near for less than this, mm. */
const TOUCHING_MM = 1e-3

/** A line with what is chosen for it, before it has its turn. */
interface Chosen {
  readonly line: CutLine
  readonly way: CutWay
  readonly ways: readonly CutWay[]
  readonly side: CutSide
  readonly setOffMm: number
  readonly cut: Outline
  readonly hole: Point | undefined
  readonly isReached: boolean
}

/** The middle of the metal that a cut so wide takes beside its line; round a disc it is a circle. */
function cutLine({ points, round }: CutLine, side: CutSide, widthMm: number): Outline {
  const off = side === 'on' ? 0 : side === 'outside' ? widthMm / 2 : -widthMm / 2
  if (!round || round.radiusMm + off <= 0) return kerfLine(cutAround(points, side), widthMm)
  const [cx, cy] = round.centre
  const grown = 1 + off / round.radiusMm
  return points.map(([x, y]): Point => [cx + (x - cx) * grown, cy + (y - cy) * grown])
}

function choose(line: CutLine, input: PlanInput, kerfMm: number, nested: readonly Outline[], bit: StartingBit | undefined): Chosen {
  const chosen = input.lines[line.id] ?? {}
  const ways = waysFor(line, input.tools)
  const way = chosen.way && ways.includes(chosen.way) ? chosen.way : (ways[0] ?? 'saw')
  // only the saw can be led on another side of its line, and only what follows a line can keep off it
  const side = (way === 'saw' ? chosen.side : undefined) ?? USUAL_SIDE[line.kind]
  const setOffMm = followsLine(way) && side !== 'on' ? (chosen.setOffMm ?? CUT_WAY_FACTS[way].allowanceMm) : 0
  const cut = cutLine(line, side, (way === 'saw' ? kerfMm : 0) + 2 * setOffMm)
  const startsInside = line.kind === 'window' && way === 'saw'
  const hole = startsInside && bit ? startingHoleIn(line.points, nested, bit.diameterMm) : undefined
  return { line, way, ways, side, setOffMm, cut, hole, isReached: followsLine(way) && way !== 'chisel' }
}

/** What comes out otherwise than drawn, or cannot be done as it stands. */
function notesOf({ of, isBlocked }: Ordered, { line, way, side, hole, setOffMm }: Chosen, kerfMm: number): string[] {
  const { leaves } = CUT_WAY_FACTS[way]
  const lost = side === 'on' ? kerfMm / 2 : kerfMm
  const isOff = side !== USUAL_SIDE[line.kind]
  return [
    ...(isOff && way === 'saw'
      ? [
          `the ${line.kind === 'outline' ? 'blank comes out' : 'window leaves the metal'} ${formatPlain(lost, 2)} mm smaller all round than drawn`,
        ]
      : []),
    ...(setOffMm > 0 ? [`${formatPlain(setOffMm, 2)} mm are left to be taken down to the line`] : []),
    ...(way === 'saw' ? [] : [`leaves ${leaves}`]),
    ...(line.kind === 'window' && way === 'saw' && !hole
      ? ['there is no room in it for the starting hole: take a finer blade, or drill it out']
      : []),
    ...(isBlocked && of.isReached ? ['it cannot be reached without sawing into a blank: start it from a hole drilled beside it'] : []),
  ]
}

/** Where a hole is made for a cut: the starting hole, or the whole round window. */
function holeOf({ line, way, hole }: Chosen, bit: StartingBit | undefined): PlannedCut['hole'] {
  if (hole && bit) return { at: hole, diameterMm: bit.diameterMm, bit: bit.name }
  if (!line.round || (way !== 'drill' && way !== 'punch')) return undefined
  const across = 2 * line.round.radiusMm
  return { at: line.round.centre, diameterMm: across, bit: `${formatPlain(across, 2)} mm` }
}

function minutesOf(way: CutWay, lengthMm: number, turns: number, isStarted: boolean, { thicknessMm, figures }: PlanInput): number {
  if (way !== 'saw') return CUT_WAY_FACTS[way].minutes
  return (lengthMm * thicknessMm) / figureOf('saw-rate', figures) + turns * MINUTES.turn + (isStarted ? MINUTES.start : 0)
}

/** Outlines of blanks that lie in a window. */
function nestedIn(line: CutLine, lines: readonly CutLine[]): readonly Outline[] {
  if (line.kind !== 'window') return []
  const smaller = lines.filter(({ kind, areaMm2 }) => kind === 'outline' && areaMm2 < line.areaMm2)
  return smaller.filter(({ points: [first] }) => first && isInside(first, line.points)).map(({ points }) => points)
}

/**
 * How blanks are cut out of their sheet: each line with its side, way, starting hole and the way in to it, in an order that keeps the sheet stiff
 * and breaks few blades; the length sawn, turns, minutes and blades to expect. Minutes and blades are house defaults until the smith's own
 * figures stand beside them (low).
 */
export function sawPlan(input: PlanInput): SawPlan {
  const usual = bladeFor(input.thicknessMm, input)
  const kerfMm = input.kerfMm ?? usual?.kerfMm ?? 0
  const bit = usual && startingBit(usual.blade, input.tools)
  const lines = input.blanks.flatMap(linesOf)
  const chosen = new Map(lines.map((line) => [line.key, choose(line, input, kerfMm, nestedIn(line, lines), bit)]))
  const order = inOrder([...chosen.values()], [input.sheet.outer, ...input.sheet.holes])
  const cuts = order.flatMap((ordered, i): PlannedCut[] => {
    const one = chosen.get(ordered.of.line.key)
    if (!one) return []
    const { line, way, ways, side, setOffMm, cut } = one
    const wayIn = ordered.wayIn
    const inMm = wayIn ? Math.hypot(wayIn[1][0] - wayIn[0][0], wayIn[1][1] - wayIn[0][1]) : 0
    const lengthMm = followsLine(way) ? perimeterMm(cut) + inMm : 0
    const turns = way === 'saw' ? turnsOf(line.points) : 0
    return [
      {
        number: i + 1,
        line: line.id,
        key: line.key,
        blank: line.blank,
        kind: line.kind,
        way,
        ways,
        side,
        setOffMm,
        points: line.points,
        cut,
        wayIn,
        hole: holeOf(one, bit),
        lengthMm,
        turns,
        minutes: minutesOf(way, lengthMm, turns, one.hole !== undefined, input),
        why: WHY[ordered.reason],
        notes: notesOf(ordered, one, kerfMm),
      },
    ]
  })
  const blade = { name: usual?.blade.name ?? '', isOwn: usual?.blade.owned ?? false, kerfMm, bit }
  return { ...totals(cuts, input), ...crowding(cuts), blade }
}

/** Pairs of blanks with less metal between them than the ways they are cut out in need. */
function crowding(cuts: readonly PlannedCut[]): Pick<SawPlan, 'tooNear' | 'spacingMm'> {
  const outlines = cuts
    .filter(({ kind }) => kind === 'outline')
    .map(({ way, points }) => ({ spacingMm: CUT_WAY_FACTS[way].spacingMm, points, box: boundsOf(points) }))
  const pairs = outlines.flatMap((one, i) =>
    outlines.slice(0, i).map((other) => {
      const needMm = Math.max(one.spacingMm, other.spacingMm)
      if (needMm === 0 || boxesApartMm(one.box, other.box) >= needMm) return 0
      return nearestBetween(one.points, other.points, needMm - TOUCHING_MM, [one.box, other.box]) ? needMm : 0
    }),
  )
  return { tooNear: pairs.filter((needMm) => needMm > 0).length, spacingMm: Math.max(0, ...pairs) }
}

/** Minutes at the saw and with the other tools, by the figures they are known by. */
function cuttingMinutes(working: WorkingLog, cuts: readonly PlannedCut[], mm2: number, figures: Bench['figures']): number {
  const sawn = cuts.filter(({ way }) => way === 'saw')
  return derive(working, {
    label: 'Minutes of cutting',
    formula: 'A/v + n·u + h·s + w',
    unit: 'min',
    source: 'house-default',
    given: [
      given('A', 'metal sawn through', mm2, 'mm2'),
      given('v', 'metal a saw cuts in a minute', figureOf('saw-rate', figures), 'mm2'),
      given(
        'n',
        'turns',
        sawn.reduce((sum, { turns }) => sum + turns, 0),
        'count',
      ),
      given('u', 'a turn of the blade', MINUTES.turn, 'min'),
      given('h', 'starting holes', sawn.filter(({ hole }) => hole).length, 'count'),
      given('s', 'a starting hole, drilled and threaded', MINUTES.start, 'min'),
      given(
        'w',
        'other ways of cutting',
        cuts.filter(({ way }) => way !== 'saw').reduce((sum, { minutes }) => sum + minutes, 0),
        'min',
      ),
    ],
    note: 'Of a steady hand; your own rate stands under Tables, Figures of the bench.',
  })
}

function totals(cuts: readonly PlannedCut[], input: PlanInput): Omit<SawPlan, 'blade' | 'tooNear' | 'spacingMm'> {
  const sum = (value: (cut: PlannedCut) => number) => cuts.reduce((total, cut) => total + value(cut), 0)
  const sawn = cuts.filter(({ way }) => way === 'saw')
  const sawnMm = sawn.reduce((total, { lengthMm }) => total + lengthMm, 0)
  const working: WorkingLog = []
  const mm2 = derive(working, {
    label: 'Metal sawn through',
    formula: 'l·t',
    unit: 'mm2',
    source: 'closed-form',
    given: [given('l', 'length sawn, ways in too', sawnMm), given('t', 'thickness', input.thicknessMm)],
  })
  const life = bladeLife(working, input.figures ?? {}, input.bladesBroken)
  const blades = derive(working, {
    label: 'Blades to expect',
    formula: 'A/b',
    unit: 'count',
    source: life.low === undefined ? 'house-default' : 'own-record',
    given: [given('A', 'metal sawn through', mm2, 'mm2'), given('b', 'metal a blade cuts', life.mm2, 'mm2')],
    note: 'Of your own hand once layouts are cut, and blades that broke are logged.',
  })
  const ways = new Set(cuts.map(({ way }) => way))
  return {
    cuts,
    thicknessMm: input.thicknessMm,
    sawnMm,
    holes: cuts.filter(({ hole }) => hole).length,
    turns: sum(({ turns }) => turns),
    minutes: cuttingMinutes(working, cuts, mm2, input.figures),
    cleanUpMinutes: sum(({ way, points }) => cleanUpMin(way, points)),
    blades,
    bladeLife: life,
    cautions: [...new Set([...ways].flatMap((way) => CUT_WAY_FACTS[way].caution ?? []))],
    working,
  }
}
