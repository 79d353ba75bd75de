import type { Metadata } from 'next'
import { metalRecords } from '@/server/services/metal-record'
import { workshop } from '@/server/workshop'
import { BookNav } from '@/ui/book/book-nav'
import { MetalsView } from '@/ui/book/metals-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Metals' }

export default function MetalsPage() {
  return (
    <>
      <PageHead title="Metals" sub="what cracked, and what held">
        <BookNav />
      </PageHead>
      <MetalsView metals={metalRecords(workshop())} />
    </>
  )
}
