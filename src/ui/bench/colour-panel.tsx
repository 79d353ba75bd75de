'use client'
import Box from '@mui/material/Box'
import { SEEN_COLOURS } from '@/core/surface'
import type { KeyId } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { FONTS, PALETTE } from '../theme/palette'
import { BigButton } from './big-button'

const KEYS: readonly KeyId[] = ['choose1', 'choose2', 'choose3', 'choose4', 'choose5']

interface ColourPanelProps {
  /** What the run is called, and which it is. */
  readonly run: string
  readonly onSeen: (looks: string, next: string) => void
  readonly onBack: () => void
}

/** What the colour says after a dip or a spray: one key each, no typing with wet hands. */
export function ColourPanel({ run, onSeen, onBack }: ColourPanelProps) {
  useKeys(Object.fromEntries(SEEN_COLOURS.map(({ looks, next }, i) => [KEYS[i], () => onSeen(looks, next)])))
  return (
    <Box sx={{ p: 3 }}>
      <Box component="h2" sx={{ fontSize: 22, m: 0, mb: 2, fontFamily: FONTS.head }}>
        {run}: what does the colour say
      </Box>
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        {SEEN_COLOURS.map(({ looks, next }, i) => (
          <Box key={looks} sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
            <BigButton onPress={() => onSeen(looks, next)} keyId={KEYS[i] ?? 'choose1'}>
              {looks}
            </BigButton>
            <Box sx={{ fontSize: 17, color: PALETTE.petrolMuted, flex: 1, minWidth: 180 }}>{next}</Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ mt: 1.5 }}>
        <BigButton plain onPress={onBack} keyId="back">
          back
        </BigButton>
      </Box>
    </Box>
  )
}
