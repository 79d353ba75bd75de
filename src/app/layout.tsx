import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/atkinson-hyperlegible-mono'
import '@fontsource-variable/bricolage-grotesque'
import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import { withLearned } from '@/core/tables'
import { dataFolder } from '@/server/data-folder'
import { currentWorkshop, whyBroken } from '@/server/db/connection'
import { pageNonce } from '@/server/page-nonce'
import { listBackups } from '@/server/services/backups'
import { isPracticeOn } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'
import { BrokenWorkshop } from '@/ui/settings/broken-workshop'
import { Frame } from '@/ui/shared/frame'
import type { WorkshopView } from '@/ui/shared/workshop-context'
import { SchemeScript, Themed } from '@/ui/theme/theme-provider'

export const metadata: Metadata = {
  title: { default: 'Fold Anvil', template: '%s · Fold Anvil' },
  description: 'From a finished piece to its blank, and to a better blank next time.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }
export const dynamic = 'force-dynamic'

async function Page({ children }: { readonly children: ReactNode }) {
  const nonce = await pageNonce()
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <SchemeScript {...(nonce ? { nonce } : {})} />
        <Themed>{children}</Themed>
      </body>
    </html>
  )
}

export default function RootLayout({ children }: { children: ReactNode }) {
  const broken = whyBroken()
  if (broken !== undefined)
    return (
      <Page>
        <BrokenWorkshop why={broken} open={currentWorkshop()} folder={dataFolder()} backups={listBackups()} />
      </Page>
    )
  const repositories = workshop()
  const { ringSystem, gaugeSystem, defaultAlloy, units, figures, trials, currency, kerfMm, orderSchools } = repositories.settings.read()
  const view: WorkshopView = {
    uid: repositories.workshopRow().uid,
    name: currentWorkshop(),
    settingsRevision: repositories.settings.revision(),
    practice: isPracticeOn(repositories),
    ringSystem,
    gaugeSystem,
    orderSchools,
    defaultAlloy,
    units,
    currency,
    kerfMm,
    bench: { tools: repositories.tools.owned(), figures: withLearned(figures, trials) },
    typedFigures: figures,
    trials,
  }
  return (
    <Page>
      <Frame view={view}>{children}</Frame>
    </Page>
  )
}
