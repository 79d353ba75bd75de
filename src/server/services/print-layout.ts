import * as z from 'zod'
import { methodOfMarking, mirrored, type Pattern, type PatternLine, type PatternMethod } from '@/core/drawing'
import { boundsOf, circleOutline, middleOf, type Point, placeOutline } from '@/core/geometry'
import { findIllegal, type LayoutInput, layoutInput } from '@/core/layout'
import { type PlannedCut, placedBlanks, sawPlan } from '@/core/sawing'
import type { Repositories, StoredLayout } from '../db/repositories'
import type { LayoutPrint } from '../export/layout-pdf'
import type { Paper } from '../export/pdf-kit'
import { instanceOf, sayIllegal } from './cut-layout'
import { type BlankMark, marksOfItems, namesOfItems } from './layout-items'
import { planOptions } from './piece-plan'
import { sawBench } from './saw-plan'

const frozenSchema = z.object({ instance: layoutInput })

/** The instance as it was when the layout was cut, or as the design stands now. */
export function instanceFor(repositories: Repositories, layout: StoredLayout): LayoutInput | undefined {
  const frozen = layout.frozen ? frozenSchema.safeParse(JSON.parse(layout.frozen)) : undefined
  return frozen?.success ? frozen.data.instance : instanceOf(repositories, layout)
}

export interface Printed {
  readonly paper?: Paper | undefined
  readonly method?: PatternMethod | undefined
  /** Seen from the back. */
  readonly mirror?: boolean
}

/** The arms of the cross in a hole reach so far past its rim, and no less than so far in all, mm. */
const CROSS = { pastMm: 0.6, leastMm: 1.2 } as const

/** A hole: its rim, where the line drawn is not the rim itself, and a cross to dimple by. */
function holeLines({ hole, way }: PlannedCut): PatternLine[] {
  if (!hole) return []
  const [x, y] = hole.at
  const half = Math.max(CROSS.leastMm, hole.diameterMm / 2 + CROSS.pastMm)
  const line = (points: readonly Point[], closed: boolean): PatternLine => ({ purpose: 'drill', points, closed })
  const rim = way === 'saw' ? [line(placeOutline(circleOutline(hole.diameterMm / 2), 0, x, y), true)] : []
  const level = line(
    [
      [x - half, y],
      [x + half, y],
    ],
    false,
  )
  const upright = line(
    [
      [x, y - half],
      [x, y + half],
    ],
    false,
  )
  return [...rim, level, upright]
}

const isHole = ({ way }: PlannedCut) => way === 'drill' || way === 'punch'

/** What a cut is on paper: its line by the side of it that is cut, and its hole. */
function cutLines(cut: PlannedCut): PatternLine[] {
  const purpose = isHole(cut) ? 'drill' : (`saw-${cut.side}` as const)
  return [{ purpose, points: cut.points, closed: true }, ...holeLines(cut)]
}

const markLines = (marks: readonly BlankMark[]): PatternLine[] => marks.map(({ purpose, points }) => ({ purpose, points, closed: false }))

/** Everything that lies on the sheet, as it is printed on it. */
function wholePattern(cuts: readonly PlannedCut[], { sheet, blanks }: Drawn, marks: readonly BlankMark[]): Pattern {
  const edge: PatternLine[] = [sheet.outer, ...sheet.holes].map((points) => ({ purpose: 'edge', points, closed: true }))
  return {
    lines: [...edge, ...cuts.flatMap(cutLines), ...markLines(marks)],
    labels: blanks.map(({ outer, name }) => ({ at: middleOf(boundsOf(outer)), text: name })),
  }
}

interface Drawn {
  readonly sheet: NonNullable<LayoutInput['sheets']>[number]
  readonly blanks: ReturnType<typeof placedBlanks>
}

/** One of each blank as a template, with how many of it there are. */
function templatesOf(cuts: readonly PlannedCut[], { blanks }: Drawn, marks: ReadonlyMap<string, readonly BlankMark[]>): Pattern[] {
  const firsts = blanks.filter(({ id }, i) => blanks.findIndex((other) => other.id === id) === i)
  return firsts.map(({ id, copy, name, outer }) => {
    const count = blanks.filter((other) => other.id === id).length
    const own = cuts.filter(({ key }) => key.startsWith(`${id}#`) && key.endsWith(`#${copy}`))
    return {
      lines: [...own.flatMap(cutLines), ...markLines(marks.get(`${id} ${copy}`) ?? [])],
      labels: [{ at: middleOf(boundsOf(outer)), text: count > 1 ? `${name}, ${count} times` : name }],
    }
  })
}

/** What a stored layout prints: sheet, blanks where they lie, each line with its purpose, and the printer's correction. */
export function printOf(repositories: Repositories, id: number, asked: Printed = {}): LayoutPrint | undefined {
  const layout = repositories.layouts.one(id)
  const instance = layout && instanceFor(repositories, layout)
  const sheet = instance?.sheets?.[0]
  if (!layout || !instance || !sheet) return undefined
  const options = planOptions(repositories)
  const settings = repositories.settings.read()
  const blanks = placedBlanks(instance, layout.placements, namesOfItems(repositories, layout.jobId))
  const { cuts } = sawPlan({
    sheet,
    thicknessMm: sheet.thicknessMm,
    kerfMm: layout.kerfMm,
    blanks,
    lines: layout.lines,
    ...sawBench(repositories, options),
  })
  const marksOn = marksOfItems(repositories, layout.jobId, instance.items, layout.placements)
  const method = asked.method ?? methodOfMarking(options.schools.S22)
  const isTemplate = method === 'ink' || method === 'scribe'
  const patterns = isTemplate
    ? templatesOf(cuts, { sheet, blanks }, marksOn)
    : [wholePattern(cuts, { sheet, blanks }, [...marksOn.values()].flat())]
  const isMirrored = (asked.mirror ?? false) !== (method === 'trace')
  const job = repositories.jobs.job(layout.jobId)
  const stock = repositories.drawer.one(layout.sheetId)
  return {
    title: `${job?.title ?? 'Layout'}, sheet ${stock?.label ?? layout.sheetId}`,
    patterns: isMirrored ? patterns.map(mirrored) : patterns,
    isMirrored,
    isTemplate,
    method,
    paper: asked.paper ?? settings.paper,
    checkBarMm: settings.checkBarMm,
    fault: layout.status === 'cut' ? undefined : sayIllegal(findIllegal(instance, layout.placements)),
  }
}
