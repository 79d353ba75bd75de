import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { cautionsOf } from '@/core/piece'
import { stepsOf } from '@/server/services/ledger'
import { frozenMetals } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { CautionSheet } from '@/ui/bench/caution-sheet'
import { PageHead } from '@/ui/shared/page-head'

export async function generateMetadata({ params }: { params: Promise<{ trayId: string }> }): Promise<Metadata> {
  return { title: `Cautions of tray ${(await params).trayId}` }
}

export default async function CautionsPage({ params }: { params: Promise<{ trayId: string }> }) {
  const repositories = workshop()
  const tray = repositories.trays.one(Number((await params).trayId))
  if (!tray) notFound()
  const cautions = cautionsOf(stepsOf(repositories, tray), [...frozenMetals(tray.plan).values()])
  return (
    <>
      <PageHead title="Cautions" sub={`${tray.plan.pieceName}, tray ${tray.id} of ${tray.size}: by what is really planned`} />
      <CautionSheet trayId={tray.id} cautions={cautions} />
    </>
  )
}
