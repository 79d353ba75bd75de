import type { Metadata } from 'next'
import { type PlanOptions, wordsOf } from '@/core/piece'
import type { Repositories, Tray } from '@/server/db/repositories'
import { stepsOf } from '@/server/services/ledger'
import { frozenMetals, partOfFrozen, planDesign, planOptions, walkFrozen } from '@/server/services/piece-plan'
import { thumbOf } from '@/server/services/piece-thumb'
import { waitingOf } from '@/server/services/tray-state'
import { workshop } from '@/server/workshop'
import { BenchHome, type TrayView } from '@/ui/bench/bench-home'
import { BenchNav } from '@/ui/bench/bench-nav'
import { PageHead } from '@/ui/shared/page-head'
import { Pager } from '@/ui/shared/pager'
import { pageNumber, pagesOf } from '../page-number'

export const metadata: Metadata = { title: 'Bench' }

const TRAYS_A_PAGE = 8
const FINISHED_SHOWN = 6
const TRAYS_IN_TABLE = 2500

function viewOf(repositories: Repositories, tray: Tray, options: PlanOptions): TrayView {
  const piece = repositories.jobs.piece(tray.pieceId)
  const { plan, standing, finishedAt } = tray
  const steps = stepsOf(repositories, tray)
  const step = steps[standing.stepIndex]
  const finished = finishedAt !== null
  return {
    id: tray.id,
    pieceName: plan.pieceName,
    size: tray.size,
    lost: standing.lost,
    stepNumber: standing.stepIndex + 1,
    stepCount: steps.length,
    finished,
    next: step && !finished ? wordsOf(step, frozenMetals(plan).get(partOfFrozen(plan, step.on).part)).title : 'Finished',
    needsHeat: !finished && step?.op === 'anneal',
    waiting: finished ? null : waitingOf(repositories, tray),
    walk: finished ? null : walkFrozen(plan, steps),
    thumb: finished || !piece ? null : thumbOf(planDesign(piece.design, options)),
  }
}

export default async function BenchPage({
  searchParams,
}: {
  searchParams: Promise<{ page?: string | string[]; look?: string | string[] }>
}) {
  const { page: asked, look } = await searchParams
  const page = pageNumber(asked)
  const repositories = workshop()
  const { trays, entries } = repositories
  // asked first: what is written meanwhile is then newer than this says, never older
  const upTo = entries.upTo()
  const options = planOptions(repositories)
  const counts = trays.counts()
  const open = trays.open({ page, size: TRAYS_A_PAGE })
  const finished = page === 1 ? trays.finished({ page: 1, size: FINISHED_SHOWN }) : []
  return (
    <>
      <PageHead title="Bench" sub={`${counts.open} trays in progress, ${counts.finished} finished`}>
        <BenchNav />
      </PageHead>
      <BenchHome
        trays={[...open, ...finished].map((tray) => viewOf(repositories, tray, options))}
        upTo={upTo}
        lines={look === 'table' ? trays.lines(TRAYS_IN_TABLE) : []}
      />
      <Pager label="Pages of trays" page={page} pages={pagesOf(counts.open, TRAYS_A_PAGE)} />
    </>
  )
}
