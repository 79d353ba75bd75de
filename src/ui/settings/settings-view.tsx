'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Settings } from '@/core/entries'
import type { MethodChoice } from '@/core/forms'
import { DataPanel, type DataPanelProps } from './data-panel'
import { NetworkPanel, type NetworkView } from './network-panel'
import { Preferences } from './preferences'
import { SchemeChoice } from './scheme-choice'
import { type SettingGroup, SettingGroups, SettingSearch } from './setting-groups'
import { TrueSize } from './true-size'

interface SettingsViewProps extends Omit<DataPanelProps, 'whole'> {
  readonly settings: Settings
  readonly methods: readonly MethodChoice[]
  readonly network: NetworkView
  /** What a restore has just done. */
  readonly restored: { readonly file: string; readonly keptAs: string } | null
}

/** How the workshop works, what is of this device alone, and where the data is; any of it found by its words. */
export function SettingsView({ settings, methods, network, restored, ...data }: SettingsViewProps) {
  const [looking, setLooking] = useState('')
  const others: readonly SettingGroup[] = [
    {
      title: 'This device',
      about: 'Kept in this browser, not in the workshop.',
      settings: [
        { words: 'light dark scheme theme', field: <SchemeChoice /> },
        { words: 'true size screen card 100 %', field: <TrueSize /> },
      ],
    },
    {
      title: 'Data and backups',
      settings: [{ words: 'folder path backup restore demonstration workshop', field: <DataPanel {...data} whole /> }],
    },
    { title: 'Other devices', settings: [{ words: 'network phone tablet pair code', field: <NetworkPanel network={network} /> }] },
  ]
  return (
    <Box sx={{ p: 2.5 }}>
      {restored ? (
        <Typography role="status" sx={{ mb: 2, fontWeight: 600 }}>
          Restored {restored.file}.{restored.keptAs ? ` What was there before is kept as ${restored.keptAs}.` : ''}
        </Typography>
      ) : null}
      <SettingSearch typed={looking} onChange={setLooking} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 1fr)' },
          gap: 2.5,
          alignItems: 'start',
          maxWidth: 1560,
        }}
      >
        <Preferences settings={settings} methods={methods} looking={looking} />
        <Box>
          <SettingGroups groups={others} typed={looking} />
        </Box>
      </Box>
    </Box>
  )
}
