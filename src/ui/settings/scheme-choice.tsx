'use client'
import { useColorScheme } from '@mui/material/styles'
import { ChoiceField } from '../shared/choice-field'

const MODES = { system: 'same as the system', light: 'light', dark: 'dark' } as const

/** Light or dark, kept in this browser. */
export function SchemeChoice() {
  const { mode, setMode } = useColorScheme()
  return (
    <ChoiceField
      label="Light or dark, on this device"
      value={mode ?? 'system'}
      options={MODES}
      onChange={(value) => setMode(value as keyof typeof MODES)}
      width={180}
    />
  )
}
