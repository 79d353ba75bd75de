import type { DrawingView } from '../../drawing/drawing'
import { rectangleOutline } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import { edgeDistanceMm } from '../../tables/rivets/rivets'
import { lengthMm, thicknessMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { derive, given, type WorkingLog } from '../../working/derive'
import type { Check, SchoolChoice } from '../contract'
import { PlanRefusal } from '../refusal'
import { limitCheck, region, schoolChoice, stroke, view } from './plan-kit'

/** What a rivet goes through, in the order it is measured. */
export const stackFields = {
  upperMm: thicknessMm({ label: 'Upper sheet', min: 0.1, max: 8 }),
  lowerMm: thicknessMm({ label: 'Lower sheet', min: 0.1, max: 8 }),
  betweenMm: lengthMm({ label: 'Between them', min: 0, max: 40, help: 'Other layers, washers, spacers together.' }).default(0),
  holeMm: lengthMm({ label: 'Hole', min: 0.3, max: 20, help: 'As drilled: a loose one swallows metal.' }),
  edgeMm: lengthMm({ label: 'Hole centre to edge', min: 0.2, max: 100 }).default(4),
  passageMm: lengthMm({
    label: 'Passage inside the ring',
    min: 0,
    max: 200,
    help: 'Room there to push the rivet through; 0 where it is open.',
  }).default(0),
}

export interface Stack {
  readonly upperMm: number
  readonly lowerMm: number
  readonly betweenMm: number
  readonly holeMm: number
  readonly edgeMm: number
  readonly passageMm: number
}

/** Everything the rivet holds together, mm. */
export function gripOf(log: WorkingLog, stack: Stack): number {
  return derive(log, {
    label: 'Grip',
    formula: 'u + m + l',
    unit: 'mm',
    source: 'closed-form',
    given: [given('u', 'upper sheet', stack.upperMm), given('m', 'between', stack.betweenMm), given('l', 'lower sheet', stack.lowerMm)],
  })
}

const EDGE_TEXTS = {
  'two-holes': { title: 'Two holes in', why: 'The centre two holes’ width from the edge: sheet does not tear there, even thin.' },
  'hole-and-half': {
    title: 'One and a half holes in',
    why: 'The least that stout sheet stands; never under a millimetre beside the hole.',
  },
} as const
type Edge = keyof typeof EDGE_TEXTS

/** The ways to say how far a hole stays from the edge, the usual one first. */
export const EDGE_SCHOOLS = ['two-holes', 'hole-and-half'] as const

const EDGE_FACTOR: Readonly<Record<Edge, number>> = { 'two-holes': 2, 'hole-and-half': 1.5 }

/** How far the hole's centre must be from the edge, by each rule. */
export function edgeChoice(stack: Stack, school: Edge): SchoolChoice {
  return schoolChoice('edge', 'How far from the edge', school, EDGE_TEXTS, (id) => edgeDistanceMm(stack.holeMm, EDGE_FACTOR[id]))
}

/** Whether the hole leaves metal enough to the edge. */
export function edgeCheck({ holeMm, edgeMm }: Stack, school: Edge): Check {
  const need = edgeDistanceMm(holeMm, EDGE_FACTOR[school])
  return limitCheck({
    code: 'edge-distance',
    ok: edgeMm >= need,
    level: 'warn',
    field: 'edgeMm',
    source: 'bench-practice',
    actual: edgeMm,
    limit: need,
    good: `${formatPlain(edgeMm - holeMm / 2, 2)} mm of metal stays between the hole and the edge.`,
    bad: `The hole needs its centre ${formatPlain(need, 2)} mm from the edge, or the sheet tears.`,
  })
}

/** Whether what stands free can be headed: over one and a half times the wire it bends, over twice it never heads. */
export function freeEndCheck(outMm: number, wireMm: number, remedy: string): Check {
  return limitCheck({
    code: 'free-end',
    ok: outMm <= 1.5 * wireMm,
    level: outMm > 2 * wireMm ? 'stop' : 'warn',
    field: 'thicknessMm',
    source: 'bench-practice',
    actual: outMm,
    limit: 1.5 * wireMm,
    good: 'The free end is short enough to head without bending.',
    bad: `${formatPlain(outMm, 2)} mm stands free on ${formatPlain(wireMm, 2)} mm wire: over one and a half times the wire it bends instead of heading. ${remedy}`,
  })
}

/** A sheet the rivet holds: its metal is not the rivet's, so it is not drawn in its colour. */
const held = (outline: Outline) => stroke('tool', ...outline, outline[0] ?? [0, 0])

/** Two ways that bind the number of sheets a rivet may be in: a stack from below, drawn about the rivet. */
export function stackView(
  stack: Stack,
  rivet: { readonly outline: readonly Point[]; readonly widthMm: number; readonly title: string },
  more: Partial<Pick<DrawingView, 'dimensions' | 'handles'>> = {},
): DrawingView {
  const wide = Math.max(6 * rivet.widthMm, 2 * stack.edgeMm)
  const grip = stack.upperMm + stack.betweenMm + stack.lowerMm
  const sheet = (from: number, to: number): Outline => rectangleOutline(wide, to - from).map(([x, y]) => [x - wide / 2, y + from] as const)
  return view('side', rivet.title, {
    shapes: [
      held(sheet(0, stack.lowerMm)),
      ...(stack.betweenMm > 0 ? [held(sheet(stack.lowerMm, stack.lowerMm + stack.betweenMm))] : []),
      held(sheet(grip - stack.upperMm, grip)),
      ...(rivet.outline.length > 0 ? [region(rivet.outline)] : []),
    ],
    dimensions: [
      { from: [wide / 2, 0], to: [wide / 2, grip], offset: -1, text: `grip ${formatPlain(grip, 2)}` },
      ...(more.dimensions ?? []),
    ],
    ...(more.handles ? { handles: more.handles } : {}),
  })
}

/** The stack when its rivet is headed: the rivet by the profile it is turned from, x from its axis. */
export function headedView(stack: Stack, profile: Outline): DrawingView {
  const across = 2 * Math.max(...profile.map(([x]) => x))
  const other = profile.map(([x, y]): Point => [0 - x, y]).reverse()
  const solid = profile.some(([x]) => Math.abs(x) < 1e-9)
  const outlines = solid ? [[...profile, ...other]] : [profile, other]
  const bare = stackView(stack, { outline: [], widthMm: stack.holeMm, title: 'Headed' })
  const top = Math.max(...profile.map(([, y]) => y))
  return {
    ...bare,
    id: 'headed',
    shapes: [...bare.shapes, ...outlines.map((outline) => region(outline))],
    dimensions: [{ from: [-across / 2, top], to: [across / 2, top], offset: 1, text: `head ${formatPlain(across, 2)}` }],
  }
}

/** So much longer a rivet is cut at first, to be held while it is threaded and marked. */
const ROUGH_MM = 4

/**
 * Whether a rivet goes in from inside a ring, and how it is cut in two goes. `underHeadMm` is what has to go through once one end is
 * headed. Throws PlanRefusal, given back as an issue of the passage, where not even that passes: there is no length to cut.
 */
export function passageChecks(input: Stack, cutMm: number, underHeadMm: number): Check[] {
  if (input.passageMm === 0) return []
  if (underHeadMm >= input.passageMm)
    throw new PlanRefusal({
      path: 'passageMm',
      message: `Passage inside the ring: ${formatPlain(input.passageMm, 2)} mm was given, and ${formatPlain(underHeadMm, 2)} mm of rivet has to go through; a thinner stack, or a rivet put in from outside`,
    })
  const roughMm = Math.min(underHeadMm + ROUGH_MM, input.passageMm - 0.2)
  return [
    limitCheck({
      code: 'passage',
      ok: cutMm < input.passageMm,
      level: 'warn' as const,
      field: 'passageMm',
      source: 'closed-form' as const,
      actual: cutMm,
      limit: input.passageMm,
      good: `It passes inside the ring with ${formatPlain(input.passageMm - cutMm, 2)} mm to spare.`,
      bad: `${formatPlain(cutMm, 2)} mm does not pass through ${formatPlain(input.passageMm, 2)} mm before it is headed: head the outer end first, in a jig.`,
    }),
    {
      level: 'note' as const,
      code: 'two-cuts',
      source: 'bench-practice' as const,
      message: `In two goes: head one end in a jig, cut roughly at ${formatPlain(roughMm, 1)} mm under the head, thread it, mark it where it stands, take it out and cut to ${formatPlain(underHeadMm, 2)} mm under the head.`,
    },
  ]
}
