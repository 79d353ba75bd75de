import { dataFolder } from '@/server/data-folder'
import { currentWorkshop, databasePath } from '@/server/db/connection'
import { isOnNetwork, pairedDevices, pairingCode } from '@/server/lan/pairing'
import { listBackups } from '@/server/services/backups'
import { workshop } from '@/server/workshop'
import { SettingsView } from '@/ui/settings/settings-view'
import { PageHead } from '@/ui/shared/page-head'

export default function SettingsPage() {
  const settings = workshop().settings.read()
  return (
    <>
      <PageHead title="Settings" sub={currentWorkshop() === 'demo' ? 'of the demonstration' : 'of your workshop'} />
      <SettingsView
        settings={settings}
        open={currentWorkshop()}
        folder={dataFolder()}
        file={databasePath(currentWorkshop())}
        backups={listBackups()}
        network={isOnNetwork() ? { code: pairingCode(), devices: pairedDevices() } : null}
      />
    </>
  )
}
