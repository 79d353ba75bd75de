import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { itemsOfPieces } from '@/server/services/layout-items'
import { planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { EmptyLayout } from '@/ui/layout/empty-layout'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Layout' }

/** So many of the jobs due first are looked through for blanks of sheet. */
const JOBS_LOOKED_AT = 40

export default function LayoutHome() {
  const repositories = workshop()
  const { jobs, layouts } = repositories
  const options = planOptions(repositories)
  const soon = () => jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).find((job) => itemsOfPieces(jobs.pieces(job.id), options).length > 0)
  const jobId = layouts.newestDraft()?.jobId ?? soon()?.id
  if (jobId !== undefined) redirect(`/layout/${jobId}`)
  return (
    <>
      <PageHead title="Layout" sub="which sheet to cut, where to put the saw" />
      <EmptyLayout />
    </>
  )
}
