import * as z from 'zod'
import { type Cut, cutAround, cutThrough } from '../../../drawing/cut'
import { uniteRegions } from '../../../geometry/clip'
import { circleHole, netAreaMm2 } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  measuringBand,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  view,
} from '../../common/plan-kit'
import { flatRoute } from '../../common/routes'
import type { FormPlan } from '../../contract'
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

const input = z
  .strictObject({
    stoneLengthMm: lengthMm({ label: 'Stone, long way', min: 3, max: 120 }),
    stoneWidthMm: lengthMm({ label: 'Stone, short way', min: 3, max: 120 }),
    edgeMm: lengthMm({ label: 'Edge of the stone, high', min: 0.3, max: 30, help: 'Where the tab stands up beside it.' }),
    slopeMm: lengthMm({
      label: 'Thicker side, more',
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
    windowMm: lengthMm({ label: 'Window behind the stone', min: 0, max: 100, help: 'Round, in the middle; 0 for none.' }).default(0),
    ...closingFields(0.1),
    schools: schoolsField({ tab: ['edge-lap-bend', 'edge-plus-2', 'edge-plus-3'] }),
  })
  .refine((value) => value.stoneWidthMm <= value.stoneLengthMm, {
    path: ['stoneWidthMm'],
    error: 'Stone, short way: it is longer than the long way; turn them round',
  })
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

function ellipseAt(input: Input, angle: number): Point {
  return [(input.stoneLengthMm / 2) * Math.cos(angle), (input.stoneWidthMm / 2) * Math.sin(angle)]
}

/** Points by how far out from the stone's outline and how far across the tab at this angle. */
function tabFrame(input: Input, angle: number): (out: number, across: number) => Point {
  const [x, y] = ellipseAt(input, angle)
  const [nx, ny] = [Math.cos(angle) / (input.stoneLengthMm / 2), Math.sin(angle) / (input.stoneWidthMm / 2)]
  const length = Math.hypot(nx, ny)
  const [ux, uy] = [nx / length, ny / length]
  return (out, across) => [x + ux * out - uy * across, y + uy * out + ux * across]
}

/** One tab: from inside the stone's outline outward along its normal, longer on the thicker side (to the right). */
function tabOutline(input: Input, angle: number, tabMm: number): Outline {
  const at = tabFrame(input, angle)
  const half = input.tabWidthMm / 2
  const reach = tabMm + (input.slopeMm * (1 + Math.cos(angle))) / 2
  const inset = Math.min(input.stoneWidthMm / 4, input.tabWidthMm)
  return [at(-inset, -half), at(reach, -half), at(reach, half), at(-inset, half)]
}

/** Angles of the tabs: evenly round, the first pair astride the long way. */
function tabAngles(tabCount: number): number[] {
  return Array.from({ length: tabCount }, (_, i) => (2 * Math.PI * (i + 0.5)) / tabCount)
}

function blankRegion(input: Input, tabMm: number) {
  const stone: Outline = Array.from({ length: 240 }, (_, i) => ellipseAt(input, (i * Math.PI) / 120))
  const tabs = tabAngles(input.tabCount).map((angle) => tabOutline(input, angle, tabMm))
  return uniteRegions([stone, ...tabs].map((outer) => ({ outer, holes: [] })))[0]
}

/** The outline in the stretches that are sawn alike: inside the line where it is the stone's own, outside it round the tabs. */
function cutsOf(input: Input, outline: Outline): Cut[] {
  const onStone = ([x, y]: Point) => ((2 * x) / input.stoneLengthMm) ** 2 + ((2 * y) / input.stoneWidthMm) ** 2 < 1.01
  const edges = outline.map((point, i) => [point, outline[(i + 1) % outline.length] ?? point] as const)
  const runs: { inside: boolean; points: Point[] }[] = []
  for (const [from, to] of edges) {
    const inside = onStone(from) && onStone(to)
    const last = runs.at(-1)
    if (last && last.inside === inside) last.points.push(to)
    else runs.push({ inside, points: [from, to] })
  }
  return runs.map(({ inside, points }) => cutThrough(points, inside ? 'inside' : 'outside'))
}

function planTabs(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const reckonedMm = tabOf(log, input, input.schools.tab)
  const answer = answerOf(log, input, 'tab length', reckonedMm)
  const shape = blankRegion(input, answer.markAt)
  const outline = shape?.outer ?? []
  const window = input.windowMm > 0 ? [circleHole(input.windowMm / 2)] : []
  const holes = [...(shape?.holes ?? []), ...window]
  const lapLeft = answer.markAt - input.edgeMm - input.thicknessMm
  const target = { dimension: 'tabMm', label: 'Tab', valueMm: reckonedMm, plusMinusMm: 0.3 }
  const most = 0.2 * input.stoneWidthMm
  const envelope = input.stoneLengthMm + 2 * answer.markAt + input.slopeMm
  const lowerTab = tabFrame(input, tabAngles(input.tabCount).find((angle) => Math.cos(angle) < -0.2) ?? Math.PI)
  const folds = tabAngles(input.tabCount).map((angle) => {
    const [x, y] = ellipseAt(input, angle)
    const half = input.tabWidthMm / 2
    const [tx, ty] = [-Math.sin(angle) * (input.stoneLengthMm / 2), Math.cos(angle) * (input.stoneWidthMm / 2)]
    const length = Math.hypot(tx, ty)
    return stroke('scribe', [x - (tx / length) * half, y - (ty / length) * half], [x + (tx / length) * half, y + (ty / length) * half])
  })
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'setting', outline, holes, areaMm2: netAreaMm2(outline, holes) })],
    results: {
      tabMm: { value: reckonedMm, unit: 'mm' },
      lapLeftMm: { value: lapLeft, unit: 'mm' },
      longestTabMm: { value: answer.markAt + input.slopeMm, unit: 'mm' },
      envelopeMm: { value: envelope, unit: 'mm' },
      ...(input.windowMm > 0 ? { ledgeMm: { value: (input.stoneWidthMm - input.windowMm) / 2, unit: 'mm' as const } } : {}),
    },
    choice: schoolChoice('tab', 'How long the tabs are', input.schools.tab, TAB_TEXTS, (id) => tabOf([], input, id)),
    sensitivity: [
      { input: 'tab length', change: '± 0.5 mm', effect: '± 0.5 mm of lap over the stone' },
      { input: 'thickness', change: '+ 0.2 mm', effect: '− 0.2 mm of lap at the same tab' },
    ],
    checks: [
      limitCheck({
        code: 'tab-lap',
        ok: lapLeft >= 0.8 && lapLeft <= Math.max(1.5, most),
        level: 'warn',
        field: 'lapMm',
        source: 'house-default',
        actual: lapLeft,
        limit: most,
        good: `${formatPlain(lapLeft, 2)} mm lies over the stone once the sheet's own thickness is off.`,
        bad:
          lapLeft < 0.8
            ? `Only ${formatPlain(lapLeft, 2)} mm would lie over the stone: too little to hold.`
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
        message:
          'Everything flat is done before the tabs stand up. Push them in opposite pairs, a little each; no heat after the stone is in.',
      },
      ...hazardNotes(input.alloy),
    ],
    uncertainty: measuringBand(input.measuredWith, 1),
    regions: ['outside', 'inside'],
    views: [
      view('blank', 'Blank', {
        shapes: [region(outline, holes), ...folds, ...cutsOf(input, outline), ...window.map((hole) => cutAround(hole, 'inside'))],
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
    ],
    route: [
      ...flatRoute('the outline, outside its tabs', envelope, target).slice(0, -1),
      { op: 'anneal', params: {} },
      { op: 'pickle', params: {} },
      { op: 'bend', params: { insideRadiusMm: input.bendRadiusMm, what: 'the tabs up' } },
      { op: 'finish', params: {}, target },
    ],
    learns: { target, blankPerMm: 1 },
    method: `tabs, ${TAB_TEXTS[input.schools.tab].title.toLowerCase()}`,
  })
}

export const tabSetting = defineForm({
  id: 'tab-setting',
  title: 'Tab setting',
  summary: 'A plate cut to a stone with tabs that fold over it: how long each tab, what lies over the stone, the whole outline.',
  input,
  example: { stoneLengthMm: 23, stoneWidthMm: 17, edgeMm: 3.2, alloy: 'yellow-brass-c260', thicknessMm: '23 ga', tabCount: 4, windowMm: 9 },
  ask: { words: ['tab setting', 'tab'], sizes: ['stoneLengthMm', 'stoneWidthMm', 'edgeMm'] },
  plan: planTabs,
})
