import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { makeableFrom } from '@/server/services/open-items'
import { planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { FitsView } from '@/ui/buy/fits-view'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'What can be made of it' }

export default async function FitsPage({ params }: { params: Promise<{ id: string }> }) {
  const repositories = workshop()
  const stock = repositories.drawer.one(Number((await params).id))
  if (!stock?.outer) notFound()
  const { sheet, blanks } = makeableFrom(repositories, stock, planOptions(repositories))
  const { kerfMm, marginMm } = repositories.settings.read()
  return (
    <>
      <PageHead title={stock.label} sub="what can still be made of it">
        <DrawerNav />
      </PageHead>
      <FitsView sheet={sheet} blanks={blanks} kerfMm={kerfMm} marginMm={marginMm} />
    </>
  )
}
