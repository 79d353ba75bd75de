import type { Metadata } from 'next'
import { workshop } from '@/server/workshop'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { DrawerView } from '@/ui/drawer/drawer-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Drawer' }

export default function DrawerPage() {
  const { drawer } = workshop()
  const stock = drawer.all().map((item) => ({ ...item, isUsed: drawer.isUsed(item.id), notes: drawer.notesOf(item.id) }))
  const count = (kind: string) => stock.filter((item) => item.kind === kind).length
  return (
    <>
      <PageHead title="Drawer" sub={`${count('sheet')} sheets and offcuts, ${count('wire')} wires, ${count('tube')} tubes`}>
        <DrawerNav />
      </PageHead>
      <DrawerView stock={stock} />
    </>
  )
}
