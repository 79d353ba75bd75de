import * as z from 'zod'
import { type Cut, cutAround, cutThrough } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import type { BentSegment, Solid, SolidPart } from '../../../drawing/solid/solid'
import { uniteRegions } from '../../../geometry/clip'
import { isNearOutline } from '../../../geometry/distance'
import { circleHole, netAreaMm2, type OutlinePlace, placeAlong, rectangleOutline } from '../../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../../geometry/point'
import { OVER_THE_STONE } from '../../../operations/setting/set-stone'
import type { Bench } from '../../../toolwall/tools'
import { choice, count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { aboutPath, bentPath } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { cornerFields, freeOutline } from '../../common/free-outline'
import {
  answerOf,
  asked,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { stripSection } from '../../common/solids'
import { cornerFits, notTurned, STONE_CORNER, STONE_SHAPES, STONE_TURNED, stoneFields, stoneOutline } from '../../common/stone'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const TAB_TEXTS = {
  'edge-lap-bend': {
    title: 'Edge, lap and two folds',
    why: 'Up the edge of the stone, over it by the lap, and what the fold at the foot and the fold over the stone take.',
    formula: 'e + o + π·(r + t/2) − 4·r',
  },
  'edge-plus-2': {
    title: 'Edge and 2',
    why: 'The bench rule at its shorter end; the sheet itself takes a part of it in the fold.',
    formula: 'e + 2',
  },
  'edge-plus-3': { title: 'Edge and 3', why: 'The bench rule at its longer end, for stones that slope inward.', formula: 'e + 3' },
} as const
type School = keyof typeof TAB_TEXTS

const input = () =>
  z
    .strictObject({
      shape: choice('Stone', { ...STONE_SHAPES, free: 'Free, by its corners' }).default('oval'),
      ...stoneFields,
      ...cornerFields,
      edgeMm: lengthMm({ label: 'Stone edge height', min: 0.3, max: 30, help: 'Where the tab stands up beside it.' }),
      slopeMm: lengthMm({
        label: 'Extra on the thick side',
        min: 0,
        max: 20,
        help: 'How much higher the stone is on its thicker side; tabs there grow by it.',
      }).default(0),
      lapMm: lengthMm({ label: 'Lap over the stone', min: 0.3, max: 5 }).default(1.2),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      tabCount: count({ label: 'Tabs', min: 3, max: 16 }).default(4),
      tabWidthMm: lengthMm({ label: 'Tab width', min: 0.8, max: 12 }).default(2.5),
      bendRadiusMm: lengthMm({ label: 'Fold radius inside', min: 0, max: 3 }).default(0.2),
      bailMm: lengthMm({
        label: 'Bail loop, room for the chain',
        min: 0,
        max: 20,
        help: 'A longer tab at the top, folded back; 0 for none.',
      }).default(0),
      windowMm: lengthMm({ label: 'Window behind the stone', min: 0, max: 100, help: 'Round, in the middle; 0 for none.' }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ tab: ['edge-lap-bend', 'edge-plus-2', 'edge-plus-3'] }),
    })
    .refine((value) => value.schools.tab !== 'edge-lap-bend' || 2 * value.bendRadiusMm <= value.edgeMm, {
      path: ['bendRadiusMm'],
      error: 'Fold radius inside: two folds do not fit on the edge of the stone; it can be half of the edge at most',
    })
    .refine((value) => value.schools.tab !== 'edge-lap-bend' || value.bendRadiusMm <= value.lapMm, {
      path: ['lapMm'],
      error: 'Lap over the stone: it ends inside the fold; it must be as long as the fold radius at least',
    })
    .refine(notTurned, STONE_TURNED)
    .refine(cornerFits, STONE_CORNER)
    .refine((value) => value.tabWidthMm * value.tabCount < 0.8 * Math.PI * value.stoneWidthMm, {
      path: ['tabWidthMm'],
      error: 'Tab width: so many tabs of this width run into one another; fewer or narrower',
    })
    .refine((value) => value.windowMm < value.stoneWidthMm - 1, {
      path: ['windowMm'],
      error: 'Window behind the stone: less than 0.5 mm of ledge would stay; it must be smaller than the stone',
    })
type Input = OutputOf<typeof input>

function tabOf(log: WorkingLog, input: Input, school: School): number {
  const all = [
    given('e', 'edge of the stone', input.edgeMm),
    given('o', 'lap', input.lapMm),
    given('r', 'fold radius', input.bendRadiusMm),
    given('t', 'thickness', input.thicknessMm),
  ]
  return bySchool(log, TAB_TEXTS[school], school === 'edge-lap-bend' ? 'closed-form' : 'bench-practice', all)
}

/** What lies over the stone of a tab of this length: what its edge and the two folds leave of it, mm; less than nothing is none. */
function lapOf(log: WorkingLog, input: Input, tabMm: number): number {
  return derive(log, {
    label: 'Lap over the stone',
    formula: 'L − e − π·(r + t/2) + 4·r',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('L', 'tab', tabMm),
      given('e', 'edge of the stone', input.edgeMm),
      given('r', 'fold radius', input.bendRadiusMm),
      given('t', 'thickness', input.thicknessMm),
    ],
    note: 'The standing tab has its inner face on the stone’s outline; its fold begins a radius inside it.',
  })
}

/** The stone seen from above: one of the plain shapes, or a free outline stretched to its two ways. */
function stoneOf(input: Input): Outline {
  return input.shape === 'free'
    ? freeOutline(input.corners, input.mirror === 'half' ? 'below' : 'none', input.stoneLengthMm, input.stoneWidthMm)
    : stoneOutline({ ...input, shape: input.shape })
}

/** Points by how far out from the stone's outline and how far across the tab at this place. */
function tabFrame({ point: [x, y], normal: [ux, uy] }: OutlinePlace): (out: number, across: number) => Point {
  return (out, across) => [x + ux * out - uy * across, y + uy * out + ux * across]
}

/** One tab: from inside the stone's outline outward, longer on the thicker side (to the right). */
function tabOutline(input: Input, place: OutlinePlace, tabMm: number): Outline {
  const at = tabFrame(place)
  const half = input.tabWidthMm / 2
  const reach = tabMm + (input.slopeMm * (1 + place.point[0] / (input.stoneLengthMm / 2))) / 2
  const inset = Math.min(input.stoneWidthMm / 4, input.tabWidthMm)
  return [at(-inset, -half), at(reach, -half), at(reach, half), at(-inset, half)]
}

/** Where the tabs stand: evenly round, a pair astride the length, or astride the top where a bail loop takes it. */
function tabPlaces(input: Input, stone: Outline): OutlinePlace[] {
  const first = input.bailMm > 0 ? 0.25 + 0.5 / input.tabCount : 0.5 / input.tabCount
  return Array.from({ length: input.tabCount }, (_, i) => placeAlong(stone, first + i / input.tabCount))
}

/** The strip at the top that is folded back to a loop. */
function bailLoopMm(log: WorkingLog, { bailMm, thicknessMm }: Input): number {
  if (bailMm === 0) return 0
  return derive(log, {
    label: 'Strip for the bail loop',
    formula: 'π·(b + t) + 2',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('b', 'room for the chain', bailMm), given('t', 'thickness', thicknessMm)],
    note: 'Once round, and two millimetres to lie on the back.',
  })
}

function blankRegion(input: Input, stone: Outline, tabMm: number) {
  const tabs = tabPlaces(input, stone).map((place) => tabOutline(input, place, tabMm))
  const bail = input.bailMm > 0 ? [tabOutline({ ...input, slopeMm: 0 }, placeAlong(stone, 0.25), bailLoopMm([], input))] : []
  return uniteRegions([stone, ...tabs, ...bail].map((outer) => ({ outer, holes: [] })))[0]
}

/** The outline in the stretches that are sawn alike: inside the line where it is the stone's own, outside it round the tabs. */
function cutsOf(stone: Outline, outline: Outline): Cut[] {
  const onStone = outline.map((point) => isNearOutline(point, stone, 0.02))
  const runs: { inside: boolean; points: Point[] }[] = []
  for (const [i, from] of outline.entries()) {
    const next = (i + 1) % outline.length
    const to = outline[next] ?? from
    const inside = onStone[i] === true && onStone[next] === true
    const last = runs.at(-1)
    if (last && last.inside === inside) last.points.push(to)
    else runs.push({ inside, points: [from, to] })
  }
  return runs.map(({ inside, points }) => cutThrough(points, inside ? 'inside' : 'outside'))
}

/** A tab along its middle: out of the plate, up the edge of the stone with its inner face on the outline, and over it. */
function tabBends({ thicknessMm: t, bendRadiusMm: r, edgeMm }: Input, lapMm: number): BentSegment[] {
  const fold = { radiusMm: r + t / 2, turnRad: Math.PI / 2 }
  return [fold, { straightMm: Math.max(0, edgeMm - 2 * r) }, fold, { straightMm: Math.max(0.01, lapMm - r) }]
}

/** The plate, and each tab as a strip that leaves it a fold radius inside the outline. A bail loop is left flat, with the blank. */
function tabSolids(input: Input, stone: Outline, lapMm: number): SolidPart[] {
  const { thicknessMm: t, bendRadiusMm: r, windowMm, tabWidthMm } = input
  const tab: Solid = { kind: 'swept', bends: tabBends(input, lapMm), section: stripSection(tabWidthMm, t) }
  return [
    { solid: { kind: 'plate', outline: stone, holes: windowMm > 0 ? [circleHole(windowMm / 2)] : [], thicknessMm: t }, at: [0, 0, 0] },
    ...tabPlaces(input, stone).map(
      ({ point: [x, y], normal }): SolidPart => ({
        solid: tab,
        at: [x - r * normal[0], y - r * normal[1], 0],
        along: normal,
      }),
    ),
  ]
}

/** How much higher than its edge a stone is taken to be in the middle, as a share of its length. */
const CROWN_SHARE = 0.12

/** The stone on its plate. */
const stoneSolid = ({ edgeMm, stoneLengthMm }: Input, outline: Outline): Solid => ({
  kind: 'stone',
  outline,
  turnMm: edgeMm,
  heightMm: edgeMm + CROWN_SHARE * stoneLengthMm,
})

/** The stone in its tabs, seen along: plate, two tabs folded up its edge and over it, the stone between them. */
function setView(input: Input, lapMm: number): DrawingView {
  const { stoneLengthMm, edgeMm, thicknessMm: t, bendRadiusMm: r } = input
  const half = stoneLengthMm / 2
  const lap = Math.max(0, Math.min(lapMm, half))
  const crown = edgeMm + CROWN_SHARE * stoneLengthMm
  const right = aboutPath(bentPath(tabBends(input, lap), [half - r, -t / 2], 0), t)
  const left = right.map(([x, y]): Point => [-x, y]).reverse()
  return view('set', 'Set', {
    shapes: [
      stroke('tool', [-half, 0], [half, 0], [half, edgeMm], [0.6 * half, crown], [-0.6 * half, crown], [-half, edgeMm], [-half, 0]),
      region(rectangleOutline(stoneLengthMm - 2 * r, t).map(([x, y]): Point => [x - half + r, y - t])),
      region(right),
      region(left),
    ],
    dimensions: [
      { from: [half + t, 0], to: [half + t, edgeMm], offset: -1, text: `edge ${formatPlain(edgeMm, 2)}` },
      { from: [-half, crown], to: [-half + Math.max(lap, 0.01), crown], offset: 1, text: `lap ${formatPlain(lapMm, 2)}` },
    ],
    handles: [],
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly lapLeft: number
  readonly most: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { lapLeft, most }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'tab-lap',
      ok: lapLeft >= 0.8 && lapLeft <= Math.max(1.5, most),
      level: 'warn',
      field: 'lapMm',
      source: 'house-default',
      actual: lapLeft,
      limit: most,
      good: `${formatPlain(lapLeft, 2)} mm lies over the stone.`,
      bad:
        lapLeft < 0.8
          ? `Only ${formatPlain(Math.max(0, lapLeft), 2)} mm would lie over the stone: too little to hold.`
          : `${formatPlain(lapLeft, 2)} mm would lie over the stone: more than a fifth of it hides it.`,
    }),
    limitCheck({
      code: 'tab-count',
      ok: input.tabCount >= 4,
      level: 'note',
      field: 'tabCount',
      source: 'bench-practice',
      actual: input.tabCount,
      limit: 4,
      good: `${input.tabCount} tabs forgive a little in where they stand.`,
      bad: 'Three tabs hold, but each must stand exactly right; four forgive more.',
    }),
    {
      level: 'note',
      code: 'flat-first',
      source: 'bench-practice',
      message: `Everything flat is done before the tabs stand up. Push them ${input.tabCount % 2 === 1 ? 'in turn, round and round' : 'in opposite pairs'}, a little each; no heat after the stone is in.`,
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'tab length', tabOf(log, input, input.schools.tab))
}

const outcomeOf = (input: Input): OutcomeSpec =>
  asked('lapMm', 'Lap over the stone', lapOf([], input, tabOf([], input, input.schools.tab)), 0.3, 1)

function planTabs(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = tabOf([], input, input.schools.tab)
  const answer = answerFor(log, input)
  const stone = stoneOf(input)
  const loopMm = bailLoopMm(log, input)
  const shape = blankRegion(input, stone, answer.markAt)
  const outline = shape?.outer ?? []
  const window = input.windowMm > 0 ? [circleHole(input.windowMm / 2)] : []
  const holes = [...(shape?.holes ?? []), ...window]
  const lapLeft = lapOf(log, input, answer.markAt)
  const target = targetOf(outcomeOf(input))
  const most = 0.2 * input.stoneWidthMm
  const box = boundsOf(outline)
  const [long, wide] = [box.maxX - box.minX, box.maxY - box.minY]
  const envelope = Math.max(long, wide)
  const places = tabPlaces(input, stone)
  const lowerTab = tabFrame(places.find(({ point }) => point[0] < -0.1 * input.stoneLengthMm) ?? placeAlong(stone, 0.5))
  const folds = places.map((place) => {
    const at = tabFrame(place)
    return stroke('fold', at(0, -input.tabWidthMm / 2), at(0, input.tabWidthMm / 2))
  })
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      {
        ...sheetBlank(input, bench, { name: 'setting', outline, holes, areaMm2: netAreaMm2(outline, holes) }),
        bendWidthMm: input.tabWidthMm,
      },
    ],
    results: {
      tabMm: { value: calculatedMm, unit: 'mm' },
      lapLeftMm: { value: lapLeft, unit: 'mm' },
      ...(loopMm > 0 ? { bailLoopMm: { value: loopMm, unit: 'mm' as const } } : {}),
      longestTabMm: { value: answer.markAt + input.slopeMm, unit: 'mm' },
      envelopeMm: { value: envelope, unit: 'mm' },
      envelopeShortMm: { value: Math.min(long, wide), unit: 'mm' },
      ...(input.windowMm > 0 ? { ledgeMm: { value: (input.stoneWidthMm - input.windowMm) / 2, unit: 'mm' as const } } : {}),
    },
    choice: schoolChoice('tab', 'How long the tabs are', input.schools.tab, TAB_TEXTS, (id) => tabOf([], input, id)),
    checks: checksOf(input, { lapLeft, most }),
    regions: ['outside', 'inside', OVER_THE_STONE],
    ...(input.bailMm > 0 ? {} : { solids: tabSolids(input, stone, lapLeft) }),
    holds: [{ solid: stoneSolid(input, stone), at: [0, 0, input.thicknessMm / 2] }],
    views: [
      view('blank', 'Blank', {
        shapes: [region(outline, holes), ...folds, ...cutsOf(stone, outline), ...window.map((hole) => cutAround(hole, 'inside'))],
        dimensions: [
          {
            from: [-input.stoneLengthMm / 2, -input.stoneWidthMm / 2 - answer.markAt],
            to: [input.stoneLengthMm / 2, -input.stoneWidthMm / 2 - answer.markAt],
            offset: -1.6,
            text: `stone ${formatPlain(input.stoneLengthMm, 2)}, saw inside its line`,
          },
          {
            from: lowerTab(answer.markAt, input.tabWidthMm / 2),
            to: lowerTab(0, input.tabWidthMm / 2),
            offset: -2.2,
            text: `tab ${formatPlain(answer.markAt, 2)}`,
          },
        ],
        handles: [{ field: 'edgeMm', label: 'edge of the stone', at: [0, input.stoneWidthMm / 2 + answer.markAt], along: [0, 1], gain: 1 }],
      }),
      setView(input, lapLeft),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the outline', cutMm: Math.min(2000, envelope), side: 'by-line' } },
      { op: 'file', params: { what: 'the edge to the line' } },
      { op: 'tabs-up', params: { insideRadiusMm: input.bendRadiusMm } },
      { op: 'set-stone', params: { by: 'tabs', tabCount: input.tabCount }, target },
    ],
    method: `tabs, ${TAB_TEXTS[input.schools.tab].title.toLowerCase()}`,
  })
}

export const tabSetting = defineForm({
  id: 'tab-setting',
  title: 'Tab setting',
  summary: 'A plate cut to a stone with tabs that fold over it: how long each tab, what lies over the stone, the whole outline.',
  input,
  onlyWhen: { cornerMm: ['shape', 'cushion'], corners: ['shape', 'free'], mirror: ['shape', 'free'] },
  example: { stoneLengthMm: 23, stoneWidthMm: 17, edgeMm: 3.2, alloy: 'yellow-brass-c260', thicknessMm: '23 ga', tabCount: 4, windowMm: 9 },
  ask: { words: ['tab setting', 'tab'], sizes: ['stoneLengthMm', 'stoneWidthMm', 'edgeMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['edgeMm', 'lapMm', 'bendRadiusMm'],
  plan: planTabs,
})
