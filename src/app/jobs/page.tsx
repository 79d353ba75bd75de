import type { Metadata } from 'next'
import { FORMS } from '@/core/forms'
import { ALLOYS } from '@/core/metals'
import type { PlanOptions } from '@/core/piece'
import type { Piece, Repositories } from '@/server/db/repositories'
import { localDay } from '@/server/local-day'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { thumbOf } from '@/server/services/piece-thumb'
import { workshop } from '@/server/workshop'
import type { PieceView } from '@/ui/jobs/job-view'
import { JobsBoard } from '@/ui/jobs/jobs-board'
import { PageHead } from '@/ui/shared/page-head'
import { Pager } from '@/ui/shared/pager'
import { pageNumber, pagesOf } from '../page-number'

export const metadata: Metadata = { title: 'Jobs' }

const JOBS_A_PAGE = 12
const JOBS_IN_TABLE = 2500

function pieceViews({ trays }: Repositories, pieces: readonly Piece[], options: PlanOptions): PieceView[] {
  const made = new Map(trays.ofPieces(pieces.map((piece) => piece.id)).map((row) => [row.pieceId, row]))
  return pieces.map((piece) => {
    const plan = planDesign(piece.design, options)
    const main = plan.parts.find(({ result }) => result !== undefined)
    return {
      id: piece.id,
      revision: piece.revision,
      name: piece.name,
      quantity: piece.quantity,
      spares: piece.spares,
      form: piece.design.parts[0]?.form ?? '',
      thumb: thumbOf(plan),
      alloy: main?.metal ? ALLOYS[main.metal.alloy].title.toLowerCase() : '',
      thicknessMm: main?.metal?.thicknessMm ?? 0,
      cutMm: plan.parts.length === 1 ? (main?.result?.answer.markAt ?? null) : null,
      openTrayId: made.get(piece.id)?.openId ?? null,
      trayCount: made.get(piece.id)?.count ?? 0,
    }
  })
}

interface JobsPageProps {
  /** A page by its number, or the page on which a job stands. */
  readonly searchParams: Promise<{ page?: string | string[]; job?: string | string[]; look?: string | string[] }>
}

export default async function JobsPage({ searchParams }: JobsPageProps) {
  const { page: asked, job, look } = await searchParams
  const repositories = workshop()
  const { jobs } = repositories
  const page = typeof job === 'string' ? Math.ceil(jobs.placeOf(Number(job)) / JOBS_A_PAGE) : pageNumber(asked)
  const options = planOptions(repositories)
  const counts = jobs.counts()
  const { greeted, trialJobId, defaultAlloy, units, ringSystem } = repositories.settings.read()
  const views = jobs
    .jobs({ page, size: JOBS_A_PAGE })
    .map((job) => ({ ...job, pieces: pieceViews(repositories, jobs.pieces(job.id), options) }))
  return (
    <>
      <PageHead title="Jobs" sub={counts.all === 0 ? 'nothing promised yet' : `${counts.open} open, ${counts.all} in all`} />
      <JobsBoard
        jobs={views}
        lines={look === 'table' ? jobs.lines(JOBS_IN_TABLE) : []}
        trialJobId={trialJobId}
        firstStart={!greeted && counts.all === 0 ? { defaultAlloy, units, ringSystem, trialForm: FORMS[0].id } : null}
        shown={typeof job === 'string' ? Number(job) : null}
        today={localDay()}
      />
      <Pager label="Pages of jobs" page={page} pages={pagesOf(counts.all, JOBS_A_PAGE)} />
    </>
  )
}
