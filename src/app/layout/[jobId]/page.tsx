import { notFound } from 'next/navigation'
import type { PlanOptions } from '@/core/piece'
import { bladeFor, gapFor } from '@/core/sawing'
import type { Repositories, StoredLayout } from '@/server/db/repositories'
import { sayArchived, sayCut } from '@/server/services/cut-layout'
import { lengthsOfJob } from '@/server/services/job-lengths'
import { itemsOfPieces, layoutSheetOf, reservedOn } from '@/server/services/layout-items'
import { planOptions } from '@/server/services/piece-plan'
import { stockOf } from '@/server/services/supply'
import { workshop } from '@/server/workshop'
import { LayoutNav } from '@/ui/layout/layout-nav'
import { LayoutTable } from '@/ui/layout/layout-table'
import { LengthPlans } from '@/ui/layout/length-plans'
import { PageHead } from '@/ui/shared/page-head'

/** So many jobs are offered to turn to; the others are reached from the Jobs. */
const JOBS_OFFERED = 60

function sheetChoices(repositories: Repositories, jobId: number, options: PlanOptions) {
  return repositories.drawer
    .all()
    .filter((stock) => stock.kind === 'sheet')
    .map((stock) => {
      const reserved = reservedOn(repositories, stock.id, jobId, options)
      return {
        id: stock.id,
        label: stock.label,
        alloy: stock.alloy,
        thicknessMm: stock.measuredMm ?? stock.thicknessMm,
        sheet: { ...layoutSheetOf(stock), taken: reserved.flatMap((item) => [...item.regions]) },
        reserved: reserved.map((item) => ({ jobId: item.jobId, jobTitle: item.jobTitle, count: item.regions.length })),
      }
    })
}

/** What became of the draft's sheet where it is no longer whole, or no longer in the drawer. */
function goneSheet({ drawer, layouts }: Repositories, draft: StoredLayout | undefined) {
  const stock = draft && drawer.one(draft.sheetId)
  if (!stock) return null
  if (stock.status === 'in-drawer') return stock.archivedAt === null ? null : { message: sayArchived(stock), remnants: [] }
  const remnants = drawer.remnantsOf(stock.id)
  const left = remnants.filter((remnant) => remnant.status === 'in-drawer').map(({ id, label }) => ({ id, label }))
  return { message: sayCut(stock, layouts.lastCutOf(stock.id), remnants), remnants: left }
}

function cutViews({ drawer, layouts }: Repositories, jobId: number) {
  return layouts
    .ofJob(jobId)
    .filter((layout) => layout.status === 'cut')
    .map((layout) => {
      const remnants = drawer.remnantsOf(layout.sheetId).filter((remnant) => remnant.status !== 'put-back')
      const sheet = drawer.one(layout.sheetId)
      return {
        id: layout.id,
        revision: layout.revision,
        label: sheet?.label ?? '',
        count: layout.placements.length,
        canPutBack: sheet?.status === 'cut-up' && remnants.every((remnant) => remnant.status === 'in-drawer'),
      }
    })
}

export default async function LayoutPage({ params }: { params: Promise<{ jobId: string }> }) {
  const { jobId } = await params
  const repositories = workshop()
  const { jobs, layouts, settings } = repositories
  const job = jobs.job(Number(jobId))
  if (!job) notFound()
  const preferences = settings.read()
  const options = planOptions(repositories)
  const pieces = jobs.pieces(job.id)
  const items = itemsOfPieces(pieces, options)
  const thicknessMm = items[0]?.item.thicknessMm
  const usual = thicknessMm === undefined ? undefined : bladeFor(thicknessMm, options)
  const own = usual?.blade.owned ? usual : undefined
  const draft = layouts.draftOf(job.id)
  const kerfMm = draft?.kerfMm ?? own?.kerfMm ?? preferences.kerfMm
  const cut = cutViews(repositories, job.id)
  const offered = jobs.jobs({ page: 1, size: JOBS_OFFERED })
  return (
    <>
      <PageHead title={job.title} sub="layout of its blanks on sheet">
        <LayoutNav jobId={job.id} />
      </PageHead>
      <LayoutTable
        key={`${job.id}-${draft?.id ?? 'new'}-${cut.length}`}
        jobId={job.id}
        jobs={[...(offered.some((other) => other.id === job.id) ? [] : [job]), ...offered].map(({ id, title }) => ({ id, title }))}
        items={items}
        sheets={sheetChoices(repositories, job.id, options)}
        draft={draft ?? null}
        cut={cut}
        gone={goneSheet(repositories, draft)}
        kerfMm={kerfMm}
        gapMm={gapFor(kerfMm, draft?.lines ?? {})}
        ownBlade={own ? own.blade.name : null}
        marginMm={draft?.marginMm ?? preferences.marginMm}
      />
      <LengthPlans groups={lengthsOfJob(pieces, stockOf(repositories), options, preferences.kerfMm)} />
    </>
  )
}
