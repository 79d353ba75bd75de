import type { FormResult } from '../forms/contract'
import { netAreaMm2, perimeterMm } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import type { AlloyId } from '../metals/alloys'
import type { BoughtTemper } from '../metals/tempers'
import type { OperationId } from '../operations/catalogue'
import { OPERATION_GROUPS } from '../rules/groups'
import type { SurfaceAnswer, SurfaceChoices } from '../surface'
import { FINISHES } from '../surface/finishes'
import { colourSteps } from '../surface/route-steps'
import type { Later, SurfaceInput } from '../surface/schema'
import type { OwnFigures } from '../tables/figures'
import type { OwnTool } from '../toolwall/tools'
import type { AskedStep } from './asked-step'
import type { PieceDesign } from './design'
import type { DesignStep } from './design-step'
import { ownHoles } from './own-holes'
import type { PiecePlan } from './plan-piece'
import { COLOURS, isOnPart } from './put-on-route'

/** A face of a part that is finished by itself. */
export interface PartFace {
  readonly name: string
  readonly areaMm2: number
}

/** A part as its surface is planned: its faces, its metal, how it is to look, and what is still done to it once it looks so. */
export interface SurfacedPart {
  readonly part: string
  readonly name: string
  readonly alloy: AlloyId
  readonly bought: BoughtTemper
  readonly thicknessMm: number
  readonly outline: Outline
  readonly holes: readonly Outline[]
  /** The blank its surface is planned by, and what else is cut from sheet for it. */
  readonly blank: string
  readonly beside: readonly string[]
  readonly faces: readonly PartFace[]
  readonly choices: SurfaceChoices | undefined
  readonly order: 'tumble-first' | 'patina-first'
  readonly later: readonly Later[]
  /** What its route does to it. */
  readonly steps: readonly DesignStep[]
}

/** The faces of a part: those it is joined and named by, else the two sides of its sheet or the skin of its wire; and its edges. */
function facesOf(result: FormResult): readonly PartFace[] {
  const { places, blanks } = result
  const [blank] = blanks
  if (!blank) return []
  const own = (places ?? []).flatMap(({ kind, title, areaMm2 }) => (kind === 'face' && areaMm2 ? [{ name: title, areaMm2 }] : []))
  if (own.length === 0 && blank.stock !== 'sheet') return [{ name: 'All round', areaMm2: Math.PI * blank.areaMm2 }]
  const holes = ownHoles(result)
  const pierced = holes === blank.holes ? 0 : holes.reduce((sum, hole) => sum + netAreaMm2(hole), 0)
  const areaMm2 = blank.areaMm2 - pierced
  const sides = [
    { name: 'Face', areaMm2 },
    { name: 'Back', areaMm2 },
  ]
  const edgeMm = [blank.outline, ...holes].reduce((sum, ring) => sum + perimeterMm(ring), 0)
  return [...(own.length > 0 ? own : sides), { name: 'Edges', areaMm2: edgeMm * blank.thicknessMm }]
}

/** What an operation is to a finish that is there already. */
const LATER_OF: Readonly<Partial<Record<string, Later>>> = {
  ...Object.fromEntries((OPERATION_GROUPS.hammer ?? []).map((op) => [op, 'hammer'])),
  solder: 'solder',
  'melt-solder-on': 'solder',
  fuse: 'solder',
  anneal: 'anneal',
  pickle: 'pickle',
  file: 'file',
  sand: 'sand',
  stamp: 'stamp',
  letter: 'stamp',
  polish: 'polish',
  tumble: 'tumble',
  'set-stone': 'set-stone',
  hang: 'hang',
}

/** What the route still does to a part once it is coloured, or finished where it is not. */
function laterOf(own: readonly DesignStep[], isColoured: boolean): readonly Later[] {
  const at = isColoured ? own.findIndex(({ op }) => COLOURS.includes(op)) : own.findLastIndex(({ op }) => op === 'finish' || op === 'sand')
  if (at < 0) return []
  return [...new Set(own.slice(at + 1).flatMap(({ op }) => LATER_OF[op] ?? []))]
}

/** The parts of a piece that are worked out, each with its faces. */
export function surfacedParts(design: PieceDesign, plan: PiecePlan): readonly SurfacedPart[] {
  return plan.parts.flatMap(({ id, name, result }) => {
    const blank = result?.blanks[0]
    if (!result || !blank) return []
    const own = design.parts.find((part) => part.id === id)
    const choices = own?.surface
    const steps = plan.steps.filter((step) => isOnPart(step, id))
    return [
      {
        part: id,
        name,
        alloy: blank.alloy,
        bought: own?.bought ?? 'unknown',
        thicknessMm: blank.thicknessMm,
        outline: blank.outline,
        holes: ownHoles(result),
        blank: blank.name,
        beside: result.blanks.flatMap((other) => (other !== blank && other.stock === 'sheet' ? [other.name] : [])),
        faces: facesOf(result),
        choices,
        order: plan.assembly.schools.S14 === 'B' ? ('patina-first' as const) : ('tumble-first' as const),
        later: laterOf(steps, choices?.patina !== undefined),
        steps,
      },
    ]
  })
}

/** How a part begins to be planned: its face satin, its edges too, its back as it was formed. */
export function firstSurface({ faces }: Pick<SurfacedPart, 'faces'>): SurfaceChoices {
  return {
    faces: faces.map(({ name }) => ({
      name,
      from: name === 'Edges' ? 'file marks' : 'rolled sheet',
      finish: name === 'Back' || name === 'Inside' ? 'as-formed' : 'satin',
    })),
  }
}

/** What is asked of a part’s surface, with the tools and figures at hand; undefined where nothing is chosen. */
export function surfaceQuestion(
  { alloy, thicknessMm, faces, choices, order, later }: SurfacedPart,
  bench: { readonly owned: readonly OwnTool[]; readonly figures: OwnFigures },
): SurfaceInput | undefined {
  if (!choices) return undefined
  const asked = choices.faces.flatMap((face) => {
    const areaMm2 = faces.find(({ name }) => name === face.name)?.areaMm2
    return areaMm2 === undefined ? [] : [{ ...face, areaMm2 }]
  })
  if (asked.length === 0) return undefined
  return {
    alloy,
    thicknessMm,
    faces: asked,
    ...(choices.patina ? { patina: choices.patina } : {}),
    order,
    later: [...later],
    bench: [],
    baths: [],
    owned: [...bench.owned],
    figures: { ...bench.figures },
  }
}

/** Operations by which a finish is made once the papers are through. */
const AFTER_PAPERS: Readonly<Partial<Record<string, OperationId>>> = {
  mirror: 'polish',
  'brush-glow': 'brush',
  'abrasive-texture': 'texture-abrasive',
  tumbled: 'tumble',
}

/** The papers of all faces in one line: once where they are the same. */
function papersText({ faces }: Pick<SurfaceAnswer, 'faces'>): string {
  const sanded = faces.filter(({ ladder }) => ladder.length > 0)
  const line = (of: (typeof sanded)[number]) => of.ladder.map(({ name }) => name).join(', ')
  const lines = new Set(sanded.map(line))
  return lines.size < 2 ? [...lines].join('') : sanded.map((face) => `${face.face.toLowerCase()} ${line(face)}`).join('; ')
}

/** The papers as they go on the route: one step with all of them, or a step each where the route has them so. */
function sandingSteps({ steps }: Pick<SurfacedPart, 'steps'>, answer: SurfaceAnswer, look: string): readonly AskedStep[] {
  const papers = papersText(answer)
  if (!papers) return []
  const isEach = steps.some(({ op }) => op === 'sand') && !steps.some(({ op }) => op === 'finish')
  if (!isEach) return [{ op: 'finish', params: { papers, look } }]
  const grains = [...new Set(answer.faces.flatMap(({ ladder }) => ladder.map(({ micron }) => micron)))].sort((a, b) => b - a)
  return grains.map((gritUm) => ({ op: 'sand', params: { gritUm } }))
}

/** The steps that a planned surface asks for on the route, in their order. */
export function surfaceSteps(part: Pick<SurfacedPart, 'choices' | 'order' | 'steps'>, answer: SurfaceAnswer): readonly AskedStep[] {
  const { choices, order } = part
  if (!choices) return []
  const looks = [...new Set(choices.faces.map(({ finish }) => finish))].filter((finish) => finish !== 'as-formed')
  const look = looks.map((finish) => FINISHES[finish].title).join(', ')
  const after = looks.flatMap((finish) => AFTER_PAPERS[finish] ?? []).map((op): AskedStep => ({ op, params: {} }))
  const isTumble = ({ op }: AskedStep) => op === 'tumble'
  const colour = choices.patina ? colourSteps(choices.patina) : []
  const sanding = sandingSteps(part, answer, look)
  return order === 'tumble-first' || colour.length === 0
    ? [...sanding, ...after.filter((step) => !isTumble(step)), ...after.filter(isTumble), ...colour]
    : [...sanding, ...colour, ...after]
}
