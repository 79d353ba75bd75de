'use client'
import Typography from '@mui/material/Typography'
import { PALETTE } from '../theme/palette'
import type { SaveState } from './use-saving'

const WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'saved',
  saving: 'saving',
  unsaved: 'not saved yet',
  failed: 'not saved: the program did not respond; what you typed is kept on this device and sent again',
  conflict: 'not saved: it was changed elsewhere; what you typed is still here',
}

/** What is typed is not in the workshop, and more than waiting is needed. */
const UNSAVED: ReadonlySet<SaveState> = new Set(['failed', 'conflict'])

/** Whether the last change is in the workshop: always in view where something is worked on. */
export function SaveWords({ state }: { readonly state: SaveState }) {
  return (
    <Typography variant="body2" role="status" sx={{ minHeight: 18, color: UNSAVED.has(state) ? PALETTE.fire : undefined }}>
      {WORDS[state]}
    </Typography>
  )
}
