import type { Metadata } from 'next'
import { workshop } from '@/server/workshop'
import { BathsView } from '@/ui/baths/baths-view'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Baths' }

export default function BathsPage() {
  return (
    <>
      <PageHead title="Baths" sub="etching baths, their uses and their log">
        <DrawerNav />
      </PageHead>
      <BathsView baths={workshop().baths.all()} />
    </>
  )
}
