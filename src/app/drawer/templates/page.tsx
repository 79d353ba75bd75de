import type { Metadata } from 'next'
import { workshop } from '@/server/workshop'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { PageHead } from '@/ui/shared/page-head'
import { TemplatesView } from '@/ui/templates/templates-view'

export const metadata: Metadata = { title: 'Templates' }

export default function TemplatesPage() {
  const templates = workshop().templates.all()
  const count = templates.length
  return (
    <>
      <PageHead title="Templates" sub={`${count} ${count === 1 ? 'outline' : 'outlines'} kept to be cut again`}>
        <DrawerNav />
      </PageHead>
      <TemplatesView templates={templates} />
    </>
  )
}
