import type { Metadata } from 'next'
import { workshop } from '@/server/workshop'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { PageHead } from '@/ui/shared/page-head'
import { ToolWall } from '@/ui/tools/tool-wall'

export const metadata: Metadata = { title: 'Tool wall' }

export default function ToolsPage() {
  const tools = workshop().tools.all()
  const measured = tools.filter((tool) => tool.measured !== undefined).length
  return (
    <>
      <PageHead title="Drawer" sub={tools.length === 0 ? 'no tools yet' : `${tools.length} tools, ${measured} measured`}>
        <DrawerNav />
      </PageHead>
      <ToolWall tools={tools} />
    </>
  )
}
