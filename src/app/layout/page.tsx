import { redirect } from 'next/navigation'
import { itemsOfPieces } from '@/server/services/layout-items'
import { planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { EmptyLayout } from '@/ui/layout/empty-layout'
import { PageHead } from '@/ui/shared/page-head'

export default function LayoutHome() {
  const repositories = workshop()
  const { jobs, layouts } = repositories
  const options = planOptions(repositories)
  const draft = layouts.all().find((layout) => layout.status === 'draft')
  const first = jobs.jobs().find((job) => itemsOfPieces(jobs.pieces(job.id), options).length > 0)
  const jobId = draft?.jobId ?? first?.id
  if (jobId !== undefined) redirect(`/layout/${jobId}`)
  return (
    <>
      <PageHead title="Layout" sub="which sheet to cut, where to put the saw" />
      <EmptyLayout />
    </>
  )
}
