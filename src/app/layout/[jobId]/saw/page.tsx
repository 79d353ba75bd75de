import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { LayoutInput } from '@/core/layout'
import { placedBlanks } from '@/core/sawing'
import type { Repositories, StoredLayout } from '@/server/db/repositories'
import { namesOfItems } from '@/server/services/layout-items'
import { instanceFor } from '@/server/services/print-layout'
import { sawBench } from '@/server/services/saw-plan'
import { workshop } from '@/server/workshop'
import { LayoutNav } from '@/ui/layout/layout-nav'
import { NothingLaid } from '@/ui/sawing/nothing-laid'
import { SawStation } from '@/ui/sawing/saw-station'
import type { SawnLayout } from '@/ui/sawing/use-saw-plan'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Saw plan' }

function sawn(repositories: Repositories, layout: StoredLayout, instance: LayoutInput): SawnLayout | undefined {
  const [sheet] = instance.sheets ?? []
  if (!sheet) return undefined
  return {
    id: layout.id,
    revision: layout.revision,
    isCut: layout.status === 'cut',
    sheet,
    label: repositories.drawer.one(layout.sheetId)?.label ?? '',
    kerfMm: layout.kerfMm,
    blanks: placedBlanks(instance, layout.placements, namesOfItems(repositories, layout.jobId)),
    lines: layout.lines,
    ...sawBench(repositories),
  }
}

export default async function SawPage({
  params,
  searchParams,
}: {
  params: Promise<{ jobId: string }>
  searchParams: Promise<{ of?: string }>
}) {
  const [{ jobId }, { of }] = await Promise.all([params, searchParams])
  const repositories = workshop()
  const job = repositories.jobs.job(Number(jobId))
  if (!job) notFound()
  const layout = of === undefined ? repositories.layouts.draftOf(job.id) : repositories.layouts.one(Number(of))
  const instance = layout && instanceFor(repositories, layout)
  const view = layout && instance && layout.jobId === job.id ? sawn(repositories, layout, instance) : undefined
  const isLaid = view !== undefined && view.blanks.length > 0
  return (
    <>
      <PageHead title={job.title} sub={isLaid ? `saw plan, ${view.label}` : 'saw plan'}>
        <LayoutNav jobId={job.id} />
      </PageHead>
      {isLaid ? <SawStation key={view.id} layout={view} /> : <NothingLaid jobId={job.id} />}
    </>
  )
}
