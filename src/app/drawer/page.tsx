import type { Metadata } from 'next'
import { workshop } from '@/server/workshop'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { DrawerView } from '@/ui/drawer/drawer-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Drawer' }

export default function DrawerPage() {
  const { drawer } = workshop()
  const stock = drawer.all()
  const sheets = stock.filter((item) => item.kind === 'sheet').length
  return (
    <>
      <PageHead title="Drawer" sub={`${sheets} sheets and offcuts, ${stock.length - sheets} wires`}>
        <DrawerNav />
      </PageHead>
      <DrawerView stock={stock} />
    </>
  )
}
