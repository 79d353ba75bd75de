'use client'
import Box from '@mui/material/Box'
import { useState } from 'react'
import { FONTS, PALETTE } from '../theme/palette'
import { BigButton } from './big-button'

/** What usually goes wrong; one press each, no typing with full hands. */
const REASONS = ['split or cracked', 'cut under size', 'rim folded', 'melted', 'lost or dropped'] as const

interface WrongPanelProps {
  readonly onWrong: (reason: string) => void
  readonly onNote: (text: string) => void
  readonly onBack: () => void
}

/** Takes a piece out of the tray with a reason, or keeps a note and leaves it in. */
export function WrongPanel({ onWrong, onNote, onBack }: WrongPanelProps) {
  const [text, setText] = useState('')
  return (
    <Box sx={{ p: 3 }}>
      <Box component="h2" sx={{ fontSize: 22, m: 0, mb: 2, fontFamily: FONTS.head }}>
        What went wrong with this piece
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {REASONS.map((reason) => (
          <BigButton key={reason} onPress={() => onWrong(reason)}>
            {reason}
          </BigButton>
        ))}
      </Box>
      <Box component="label" htmlFor="bench-words" sx={{ display: 'block', mt: 2.5, mb: 1, fontSize: 18 }}>
        Or in your own words
      </Box>
      <Box
        component="input"
        id="bench-words"
        value={text}
        onChange={(event: React.ChangeEvent<HTMLInputElement>) => setText(event.target.value)}
        sx={{
          height: 56,
          width: '100%',
          fontSize: 18,
          font: 'inherit',
          bgcolor: '#0c1516',
          color: '#fff',
          border: `1px solid ${PALETTE.petrolMuted}`,
          borderRadius: '4px',
          px: 1.5,
        }}
      />
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2, flexWrap: 'wrap' }}>
        <BigButton onPress={() => onWrong(text)}>It is lost</BigButton>
        <BigButton onPress={() => onNote(text)}>Only a note, it stays</BigButton>
        <BigButton plain onPress={onBack} keyName="Esc">
          back
        </BigButton>
      </Box>
    </Box>
  )
}
