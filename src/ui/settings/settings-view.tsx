'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useEffect, useRef, useState } from 'react'
import { ALLOY_TITLES } from '@/core/metals'
import { readPlainNumber } from '@/core/units'
import type { Settings } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { useWorkshop } from '../shared/workshop-context'
import { DataPanel, type DataPanelProps } from './data-panel'
import { NetworkPanel, type NetworkView } from './network-panel'
import { SchemeChoice } from './scheme-choice'

interface SettingsViewProps extends Omit<DataPanelProps, 'whole'> {
  readonly settings: Settings
  readonly network: NetworkView
  /** What a restore has just done. */
  readonly restored: { readonly file: string; readonly keptAs: string } | null
}

/** Own figures are set in the Tables, beside their presets. */
type Fields = { [K in Exclude<keyof Settings, 'figures'>]: string }

function asText(settings: Settings): Fields {
  const { figures: _, ...own } = settings
  return Object.fromEntries(Object.entries(own).map(([key, value]) => [key, String(value)])) as Fields
}

function Preferences({ settings }: { readonly settings: Settings }) {
  const [fields, setFields] = useState(asText(settings))
  /** What the fields were last filled with: fields that were not touched since follow the workshop. */
  const filled = useRef(JSON.stringify(asText(settings)))
  const stored = JSON.stringify(asText(settings))
  useEffect(() => {
    setFields((now) => (JSON.stringify(now) === filled.current ? (JSON.parse(stored) as Fields) : now))
    filled.current = stored
  }, [stored])
  const [said, setSaid] = useState('')
  const act = useAct()
  const { settingsRevision, name } = useWorkshop()
  const set = (name: keyof Fields) => (value: string) => setFields({ ...fields, [name]: value })
  async function save() {
    const numbers = {
      checkBarMm: readPlainNumber(fields.checkBarMm),
      kerfMm: readPlainNumber(fields.kerfMm),
      marginMm: readPlainNumber(fields.marginMm),
    }
    const saved = await act('saveSettings', { ...fields, ...numbers, practice: fields.practice === 'true' }, { revision: settingsRevision })
    if (!saved.ok && saved.code === 'yielded') setFields(JSON.parse(filled.current) as Fields)
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
      <TextRow label="Currency of prices" value={fields.currency} onChange={set('currency')} />
      <SizeField label="Saw kerf" value={fields.kerfMm} unit="mm" onChange={set('kerfMm')} />
      <SizeField label="Margin to the sheet’s edge" value={fields.marginMm} unit="mm" onChange={set('marginMm')} />
      {name === 'demo' ? null : (
        <ChoiceField
          label="Simulated instruments"
          value={fields.practice}
          options={{ false: 'off', true: 'on, for practice' }}
          onChange={set('practice')}
        />
      )}
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

/** How the workshop works, and where its data is. */
export function SettingsView({ settings, network, restored, ...data }: SettingsViewProps) {
  return (
    <Box
      sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '420px minmax(0, 1fr)' }, gap: 5, maxWidth: 1100 }}
    >
      <Box>
        <Preferences settings={settings} />
        <Box sx={{ mt: 3 }}>
          <SchemeChoice />
        </Box>
      </Box>
      <Box>
        {restored ? (
          <Typography role="status" sx={{ mb: 2, fontWeight: 600 }}>
            Restored {restored.file}.{restored.keptAs ? ` What was there before is kept as ${restored.keptAs}.` : ''}
          </Typography>
        ) : null}
        <DataPanel {...data} whole />
        <NetworkPanel network={network} />
      </Box>
    </Box>
  )
}
