import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { readCheck } from '@/core/instruments'
import { REWORK_LOOP, waitsOf } from '@/core/logbook'
import { markPlan } from '@/core/marks'
import { ALLOYS, type AlloyId, findAlloy } from '@/core/metals'
import { findOperation } from '@/core/operations'
import { type PlanOptions, wordsOf } from '@/core/piece'
import { toolNotes } from '@/core/route'
import type { FrozenPart, Piece, Repositories, Tray } from '@/server/db/repositories'
import { agentsBeside } from '@/server/services/bench-agents'
import { isPracticeOn } from '@/server/services/keep-entry'
import { isItemOf } from '@/server/services/layout-items'
import { lossHints } from '@/server/services/loss-hints'
import {
  frozenMetals,
  frozenSubTrays,
  namesOfFrozen,
  partOfFrozen,
  planDesign,
  planOptions,
  walkFrozen,
} from '@/server/services/piece-plan'
import { thumbOf } from '@/server/services/piece-thumb'
import { waitingOf } from '@/server/services/tray-state'
import { workshop } from '@/server/workshop'
import { BenchStep } from '@/ui/bench/bench-step'
import type { BenchPartView, BenchStepView, BenchTrayView } from '@/ui/bench/tray-view'

function stepViews({ plan }: Tray, options: Required<PlanOptions>, lost: ReadonlyMap<string, string>): BenchStepView[] {
  const metals = frozenMetals(plan)
  const subTrays = frozenSubTrays(plan)
  return plan.steps.map((step) => {
    const operation = findOperation(step.op)
    const part = partOfFrozen(plan, step.on)
    const words = wordsOf(step, metals.get(part.part))
    const own = toolNotes([step], { thicknessMm: part.thicknessMm, ...options })
    return {
      id: step.id,
      op: step.op,
      part: part.part,
      on: step.on,
      onWords: namesOfFrozen(plan, step.on),
      subTray: subTrays.get(step.id),
      subTrayWords: namesOfFrozen(
        plan,
        (subTrays.get(step.id) ?? []).map((thing) => ({ thing })),
      ),
      reasons: step.overrides?.map(({ rule, reason }) => ({ rule, reason })) ?? [],
      title: operation?.title ?? step.op,
      together: operation?.together ?? false,
      caution: operation?.caution ?? null,
      lostBefore: lost.get(step.id) ?? null,
      target: step.target ?? null,
      heat: step.heat ?? null,
      sizes: step.sizes ?? [],
      params: step.params,
      ...waitsOf(step.op, step.params),
      words: {
        ...words,
        facts: [...words.facts, ...own.map(({ message }) => ({ label: 'Your tool', value: message.replace(/^Yours: /, '') }))],
      },
    }
  })
}

/** Every blow on the blank of a part, with the tools that hang on the wall. */
function markedOf({ marked, thicknessMm }: FrozenPart, alloy: AlloyId, owned: Required<PlanOptions>['tools']): BenchPartView['marked'] {
  if (!marked) return null
  const { marks } = markPlan({ ...marked, marks: [...marked.marks], alloy, thicknessMm, owned: [...owned], figures: {} })
  return { outer: marked.outer, holes: marked.holes, blows: marks }
}

function partViews(plan: Tray['plan'], { tools }: Required<PlanOptions>): BenchPartView[] {
  return plan.parts.map((frozen) => {
    const { part, alloy: id, thicknessMm, answer, outcomes } = frozen
    const alloy = findAlloy(id) ?? ALLOYS['sterling-925']
    const name = namesOfFrozen(plan, [{ thing: part }])
    return {
      id: part,
      name,
      alloy: alloy.id,
      alloyTitle: alloy.title.toLowerCase(),
      thicknessMm,
      colour: alloy.colour.bench,
      marked: markedOf(frozen, alloy.id, tools),
      markAtMm: answer.markAt,
      outcomes,
    }
  })
}

/** What the steps of a rework read as. */
function reworkViews(): BenchTrayView['rework'] {
  return Object.fromEntries(
    REWORK_LOOP.map((op) => {
      const operation = findOperation(op)
      const title = operation?.title ?? op
      return [op, { title, caution: operation?.caution ?? null, waitS: operation?.waitS ?? 0, words: wordsOf({ op }, undefined) }]
    }),
  )
}

const TRAYS_WAITING = 20

/** What looks after itself in the other trays. */
function waitsBeside(repositories: Repositories, own: Tray): BenchTrayView['waits'] {
  return repositories.trays.open({ page: 1, size: TRAYS_WAITING }).flatMap((tray) => {
    const waiting = tray.id === own.id ? null : waitingOf(repositories, tray)
    return waiting ? [{ trayId: tray.id, name: tray.plan.pieceName, ...waiting }] : []
  })
}

/** The last look at the check piece at another tray: those of this one are among its entries. */
function checkedOf(repositories: Repositories, tray: Tray): BenchTrayView['checked'] {
  const last = repositories.entries.lastCheck(tray.id, isPracticeOn(repositories))
  return (last && readCheck(last.text, last.at)) ?? null
}

/** The saw plan of the newest layout that holds blanks of a piece. */
function sawPlanOf({ layouts }: Repositories, { id, jobId }: Piece): string | null {
  const layout = layouts.ofJob(jobId).find(({ placements }) => placements.some((place) => isItemOf(place.id, id)))
  return layout ? `/layout/${jobId}/saw?of=${layout.id}` : null
}

export async function generateMetadata({ params }: { params: Promise<{ trayId: string }> }): Promise<Metadata> {
  const tray = workshop().trays.one(Number((await params).trayId))
  return tray ? { title: `${tray.plan.pieceName}, tray ${tray.id}` } : {}
}

export default async function TrayPage({ params }: { params: Promise<{ trayId: string }> }) {
  const { trayId } = await params
  const repositories = workshop()
  const tray = repositories.trays.one(Number(trayId))
  if (!tray) notFound()
  const piece = repositories.jobs.piece(tray.pieceId)
  const options = planOptions(repositories)
  return (
    <BenchStep
      key={tray.uid}
      tray={{
        id: tray.id,
        uid: tray.uid,
        parts: partViews(tray.plan, options),
        pieceId: tray.pieceId,
        name: tray.plan.pieceName,
        size: tray.size,
        steps: stepViews(tray, options, lossHints(repositories, tray.plan.parts[0], tray.plan.steps)),
        rework: reworkViews(),
        entries: repositories.entries.standing(tray.id),
        checked: checkedOf(repositories, tray),
        walk: walkFrozen(tray.plan),
        thumb: piece ? thumbOf(planDesign(piece.design, options)) : null,
        sawPlan: piece ? sawPlanOf(repositories, piece) : null,
        waits: waitsBeside(repositories, tray),
        beside: agentsBeside(repositories, tray, new Date().toISOString()),
      }}
    />
  )
}
