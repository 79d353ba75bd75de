'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { ALLOY_TITLES } from '@/core/metals'
import { backUpNow, openWorkshop, restore, saveSettings } from '@/server/actions/settings'
import type { Settings } from '@/server/db/repositories'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'
import { NetworkPanel, type NetworkView } from './network-panel'

interface SettingsViewProps {
  readonly settings: Settings
  readonly open: 'demo' | 'workshop'
  readonly folder: string
  readonly file: string
  readonly backups: readonly { readonly file: string; readonly bytes: number; readonly at: string }[]
  readonly network: NetworkView
}

/** Own figures are set in the Tables, beside their presets. */
type Fields = { [K in Exclude<keyof Settings, 'figures'>]: string }

function asText(settings: Settings): Fields {
  const { figures: _, ...own } = settings
  return Object.fromEntries(Object.entries(own).map(([key, value]) => [key, String(value)])) as Fields
}

function Preferences({ settings }: { readonly settings: Settings }) {
  const [fields, setFields] = useState(asText(settings))
  const [said, setSaid] = useState('')
  const set = (name: keyof Fields) => (value: string) => setFields({ ...fields, [name]: value })
  async function save() {
    const numbers = {
      checkBarMm: Number(fields.checkBarMm.replace(',', '.')),
      kerfMm: Number(fields.kerfMm.replace(',', '.')),
      marginMm: Number(fields.marginMm.replace(',', '.')),
    }
    const saved = await saveSettings({ ...fields, ...numbers })
    setSaid(saved.ok ? 'Saved.' : saved.message)
  }
  return (
    <Box
      component="form"
      aria-label="Preferences"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void save()
      }}
    >
      <Typography variant="h3" component="h2">
        How this workshop works
      </Typography>
      <TextRow label="Name" value={fields.workshopName} onChange={set('workshopName')} />
      <ChoiceField
        label="Sizes shown in"
        value={fields.units}
        options={{ both: 'mm and inches', mm: 'mm', inch: 'inches' }}
        onChange={set('units')}
      />
      <ChoiceField label="Ring sizes" value={fields.ringSystem} options={{ US: 'US', UK: 'UK', ISO: 'ISO' }} onChange={set('ringSystem')} />
      <ChoiceField label="Usual metal" value={fields.defaultAlloy} options={ALLOY_TITLES} onChange={set('defaultAlloy')} />
      <SizeField label="Saw kerf" value={fields.kerfMm} unit="mm" onChange={set('kerfMm')} />
      <SizeField label="Margin to the sheet’s edge" value={fields.marginMm} unit="mm" onChange={set('marginMm')} />
      <ChoiceField label="Paper" value={fields.paper} options={{ A4: 'A4', Letter: 'Letter' }} onChange={set('paper')} />
      <SizeField
        label="The check bar measured"
        value={fields.checkBarMm}
        unit="mm"
        understood="50 if your printer is true. Print a layout, measure its bar with a rule, and enter what it reads."
        onChange={set('checkBarMm')}
      />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1.5 }}>
        <Button type="submit" variant="contained">
          Save
        </Button>
        <Typography role="status">{said}</Typography>
      </Box>
    </Box>
  )
}

function Data({ open, folder, file, backups }: Omit<SettingsViewProps, 'settings' | 'network'>) {
  const router = useRouter()
  const [said, setSaid] = useState('')
  const other = open === 'demo' ? 'workshop' : 'demo'
  async function backUp() {
    const made = await backUpNow()
    setSaid(made.ok ? `Backed up as ${made.file}.` : made.message)
  }
  async function putBack(name: string) {
    const done = await restore(name)
    setSaid(done.ok ? `Restored ${name}. What was there before is kept as ${done.keptAs}.` : done.message)
    router.refresh()
  }
  async function change() {
    const opened = await openWorkshop(other)
    if (opened.ok) router.push('/jobs')
  }
  return (
    <Box component="section" aria-label="Data">
      <Typography variant="h3" component="h2">
        Where your data is
      </Typography>
      <Typography sx={{ mt: 1 }}>
        Folder <code>{folder}</code>
      </Typography>
      <Typography>
        Open now: <code>{file}</code>
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, my: 1.5, flexWrap: 'wrap' }}>
        <Button onClick={() => void backUp()}>Back up now</Button>
        <Button onClick={() => void change()}>{open === 'demo' ? 'Open my own workshop' : 'Open the demonstration'}</Button>
      </Box>
      <Typography role="status">{said}</Typography>
      <Typography variant="h2" sx={{ mt: 2 }}>
        Backups
      </Typography>
      {backups.length === 0 ? <Typography>None yet.</Typography> : null}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {backups.map((backup) => (
          <Box
            component="li"
            key={backup.file}
            sx={{
              display: 'flex',
              justifyContent: 'space-between',
              alignItems: 'center',
              gap: 1,
              py: 0.5,
              borderBottom: `1px dotted ${PALETTE.hairline}`,
            }}
          >
            <code style={{ fontSize: 13 }}>{backup.file}</code>
            <Button variant="text" onClick={() => void putBack(backup.file)}>
              Restore
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** How the workshop works, and where its data is. */
export function SettingsView({ settings, network, ...data }: SettingsViewProps) {
  return (
    <Box
      sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '420px minmax(0, 1fr)' }, gap: 5, maxWidth: 1100 }}
    >
      <Preferences settings={settings} />
      <Box>
        <Data {...data} />
        <NetworkPanel network={network} />
      </Box>
    </Box>
  )
}
