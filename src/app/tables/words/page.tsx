import type { Metadata } from 'next'
import { PageHead } from '@/ui/shared/page-head'
import { TablesNav } from '@/ui/tables/tables-nav'
import { WordsView } from '@/ui/tables/words-view'

export const metadata: Metadata = { title: 'Words of the trade' }

export default async function WordsPage({ searchParams }: { searchParams: Promise<{ q?: string | string[] }> }) {
  const { q } = await searchParams
  return (
    <>
      <PageHead title="Tables" sub="the words of the trade, as they are used here">
        <TablesNav />
      </PageHead>
      <WordsView asked={typeof q === 'string' ? q : ''} />
    </>
  )
}
