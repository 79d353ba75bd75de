import type { Metadata } from 'next'
import { refiningSlip } from '@/core/scrap'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { ScrapView } from '@/ui/scrap/scrap-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Scrap' }

export default function ScrapPage() {
  const repositories = workshop()
  const jars = repositories.jars.all()
  const { figures, scaleCheck } = repositories.settings.read()
  const slip = refiningSlip(jars, figures)
  return (
    <>
      <PageHead title="Scrap" sub="scrap and filings in their jars, until they are refined">
        <DrawerNav />
      </PageHead>
      <ScrapView jars={jars} slip={slip} hasScale={isPracticeOn(repositories)} scaleCheck={scaleCheck} />
    </>
  )
}
