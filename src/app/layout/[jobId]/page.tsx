import { notFound } from 'next/navigation'
import { ownKerf } from '@/core/advice'
import { itemsOfPieces, layoutSheetOf } from '@/server/services/layout-items'
import { planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { LayoutTable } from '@/ui/layout/layout-table'
import { PageHead } from '@/ui/shared/page-head'

export default async function LayoutPage({ params }: { params: Promise<{ jobId: string }> }) {
  const { jobId } = await params
  const repositories = workshop()
  const { jobs, drawer, layouts, settings } = repositories
  const job = jobs.job(Number(jobId))
  if (!job) notFound()
  const preferences = settings.read()
  const options = planOptions(repositories)
  const items = itemsOfPieces(jobs.pieces(job.id), options)
  const thicknessMm = items[0]?.item.thicknessMm
  const own = thicknessMm === undefined ? undefined : ownKerf(thicknessMm, options)
  const sheets = drawer
    .all()
    .filter((stock) => stock.kind === 'sheet')
    .map((stock) => ({
      id: stock.id,
      label: stock.label,
      alloy: stock.alloy,
      thicknessMm: stock.measuredMm ?? stock.thicknessMm,
      sheet: layoutSheetOf(stock),
    }))
  const draft = layouts.draftOf(job.id)
  const cut = layouts
    .all()
    .filter((layout) => layout.jobId === job.id && layout.status === 'cut')
    .map((layout) => ({ id: layout.id, label: drawer.one(layout.sheetId)?.label ?? '', count: layout.placements.length }))
  return (
    <>
      <PageHead title={job.title} sub="layout of its blanks on sheet" />
      <LayoutTable
        key={`${job.id}-${draft?.id ?? 'new'}-${cut.length}`}
        jobId={job.id}
        jobs={jobs.jobs().map(({ id, title }) => ({ id, title }))}
        items={items}
        sheets={sheets}
        draft={draft ?? null}
        cut={cut}
        kerfMm={draft?.kerfMm ?? own?.kerfMm ?? preferences.kerfMm}
        ownBlade={own ? own.blade : null}
        marginMm={draft?.marginMm ?? preferences.marginMm}
      />
    </>
  )
}
