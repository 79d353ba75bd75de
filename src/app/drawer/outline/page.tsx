import type { Metadata } from 'next'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { OutlineView } from '@/ui/outline/outline-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Outlines' }

export default function OutlinePage() {
  return (
    <>
      <PageHead title="Drawer" sub="outlines from a photograph or a drawing">
        <DrawerNav />
      </PageHead>
      <OutlineView />
    </>
  )
}
