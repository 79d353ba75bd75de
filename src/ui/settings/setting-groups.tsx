'use client'
import Box from '@mui/material/Box'
import OutlinedInput from '@mui/material/OutlinedInput'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { FONTS, PALETTE } from '../theme/palette'

/** One setting: the words it is found by, and itself. */
export interface Setting {
  readonly words: string
  readonly field: ReactNode
}

/** Settings that belong together. */
export interface SettingGroup {
  readonly title: string
  readonly about?: string
  readonly settings: readonly Setting[]
}

/** Whether the words that were typed all stand in a setting's own words or in its group's title. */
export function isFound(typed: string, words: string): boolean {
  const has = words.toLowerCase()
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((part) => has.includes(part))
}

/** Looks for a setting by any of its words. */
export function SettingSearch({ typed, onChange }: { readonly typed: string; readonly onChange: (typed: string) => void }) {
  return (
    <OutlinedInput
      fullWidth
      value={typed}
      placeholder="Find a setting: paper, kerf, ring, backup…"
      onChange={(event) => onChange(event.target.value)}
      inputProps={{ 'aria-label': 'Find a setting' }}
      sx={{ fontFamily: FONTS.text, maxWidth: 460, mb: 2 }}
    />
  )
}

/** Groups of settings; what was not looked for is put out of sight and keeps what was typed. */
export function SettingGroups({ groups, typed }: { readonly groups: readonly SettingGroup[]; readonly typed: string }) {
  return groups.map(({ title, about, settings }) => {
    const shown = settings.map((setting) => isFound(typed, `${title} ${about ?? ''} ${setting.words}`))
    return (
      <Box
        key={title}
        component="section"
        aria-label={title}
        hidden={!shown.includes(true)}
        sx={{ breakInside: 'avoid', mb: 2.5, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 2 }}
      >
        <Typography variant="h3" component="h2">
          {title}
        </Typography>
        {about ? <Typography variant="body2">{about}</Typography> : null}
        {settings.map((setting, i) => (
          <Box key={setting.words} hidden={!shown[i]}>
            {setting.field}
          </Box>
        ))}
      </Box>
    )
  })
}
