import type { Metadata } from 'next'
import { headers } from 'next/headers'
import { dataFolder } from '@/server/data-folder'
import { currentWorkshop } from '@/server/db/connection'
import { networkFacts } from '@/server/lan/network-facts'
import { listBackups } from '@/server/services/backups'
import { allMethods } from '@/server/services/methods'
import { workshop } from '@/server/workshop'
import { SettingsView } from '@/ui/settings/settings-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Settings' }

interface SettingsPageProps {
  readonly searchParams: Promise<{ restored?: string | string[]; kept?: string | string[] }>
}

export default async function SettingsPage({ searchParams }: SettingsPageProps) {
  const { restored, kept } = await searchParams
  const settings = workshop().settings.read()
  return (
    <>
      <PageHead title="Settings" sub={currentWorkshop() === 'demo' ? 'of the demonstration' : 'of your workshop'} />
      <SettingsView
        settings={settings}
        methods={await allMethods()}
        open={currentWorkshop()}
        folder={dataFolder()}
        restored={typeof restored === 'string' ? { file: restored, keptAs: typeof kept === 'string' ? kept : '' } : null}
        backups={listBackups()}
        network={await networkFacts((await headers()).get('host') ?? '')}
      />
    </>
  )
}
