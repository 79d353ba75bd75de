'use client'
import Box from '@mui/material/Box'
import type { KeyId } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { FONTS } from '../theme/palette'
import { BigButton } from './big-button'

/** What a test shows; one key each, no typing with full hands. */
const SEEN = {
  choose1: 'a gap',
  choose2: 'a pinhole',
  choose3: 'it moves',
  choose4: 'it sits askew',
} as const satisfies Partial<Record<KeyId, string>>
const CHOICES = Object.entries(SEEN) as readonly (readonly [keyof typeof SEEN, string])[]

/** Says what a failed test showed: a joint then goes round again, a fit is tried again. */
export function FailedPanel({ onFailed, onBack }: { readonly onFailed: (seen: string) => void; readonly onBack: () => void }) {
  useKeys(Object.fromEntries(CHOICES.map(([key, seen]) => [key, () => onFailed(seen)])))
  return (
    <Box sx={{ p: 3 }}>
      <Box component="h2" sx={{ fontSize: 22, m: 0, mb: 2, fontFamily: FONTS.head }}>
        What did the test show
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {CHOICES.map(([key, seen]) => (
          <BigButton key={key} onPress={() => onFailed(seen)} keyId={key}>
            {seen}
          </BigButton>
        ))}
        <BigButton plain onPress={onBack} keyId="back">
          back
        </BigButton>
      </Box>
    </Box>
  )
}
