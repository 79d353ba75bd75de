import type { Metadata } from 'next'
import { PageHead } from '@/ui/shared/page-head'
import { TablesNav } from '@/ui/tables/tables-nav'
import { TablesView } from '@/ui/tables/tables-view'

export const metadata: Metadata = { title: 'Tables' }

export default async function TablesPage({ searchParams }: { searchParams: Promise<{ q?: string | string[] }> }) {
  const { q } = await searchParams
  return (
    <>
      <PageHead title="Tables" sub="what is it in millimetres, and what is next to it">
        <TablesNav />
      </PageHead>
      <TablesView startText={typeof q === 'string' ? q : '18 ga'} />
    </>
  )
}
