import type { Metadata } from 'next'
import { bookGroups } from '@/server/services/own-record'
import { planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { BookNav } from '@/ui/book/book-nav'
import { BookView } from '@/ui/book/book-view'
import { PageHead } from '@/ui/shared/page-head'
import { Pager } from '@/ui/shared/pager'
import { pageNumber, pagesOf } from '../page-number'

export const metadata: Metadata = { title: 'Book' }

const GROUPS_A_PAGE = 4
const LOSSES_A_PAGE = 20

interface BookPageProps {
  readonly searchParams: Promise<{ page?: string | string[]; lost?: string | string[] }>
}

export default async function BookPage({ searchParams }: BookPageProps) {
  const asked = await searchParams
  const [page, lostPage] = [pageNumber(asked.page), pageNumber(asked.lost)]
  const repositories = workshop()
  const groups = bookGroups(repositories, { page, size: GROUPS_A_PAGE }, planOptions(repositories))
  const { measured, lost } = repositories.record.totals()
  const losses = repositories.entries.losses({ page: lostPage, size: LOSSES_A_PAGE })
  return (
    <>
      <PageHead title="Book" sub={`${measured} pieces measured, ${lost} lost`}>
        <BookNav />
      </PageHead>
      <BookView groups={groups} losses={losses} />
      <Pager label="Pages of the book" page={page} pages={pagesOf(repositories.record.countGroups(), GROUPS_A_PAGE)} />
      <Pager label="Pages of what was lost" name="lost" page={lostPage} pages={pagesOf(lost, LOSSES_A_PAGE)} />
    </>
  )
}
