import { notFound } from 'next/navigation'
import { findAdviser } from '@/core/advice'
import { AdviceView } from '@/ui/advice/advice-view'
import { PageHead } from '@/ui/shared/page-head'
import { TablesNav } from '@/ui/tables/tables-nav'

export default async function AdvicePage({ params }: { params: Promise<{ adviser: string }> }) {
  const { adviser: id } = await params
  const adviser = findAdviser(id)
  if (!adviser) notFound()
  return (
    <>
      <PageHead title="Tables" sub={adviser.title.toLowerCase()}>
        <TablesNav />
      </PageHead>
      <AdviceView key={id} adviserId={id} />
    </>
  )
}
