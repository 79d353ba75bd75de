'use client'
import Box from '@mui/material/Box'
import InputBase from '@mui/material/InputBase'
import { useRef, useState } from 'react'
import type { KeyId } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { FONTS, PALETTE } from '../theme/palette'
import { BENCH_FIELD } from './bench-field'
import { BigButton } from './big-button'

/** What usually goes wrong; one key each, no typing with full hands. */
const REASONS = {
  choose1: 'split or cracked',
  choose2: 'cut under size',
  choose3: 'rim folded',
  choose4: 'melted',
  choose5: 'lost or dropped',
} as const satisfies Partial<Record<KeyId, string>>
const CHOICES = Object.entries(REASONS) as readonly (readonly [keyof typeof REASONS, string])[]

interface WrongPanelProps {
  readonly onWrong: (reason: string) => void
  readonly onNote: (text: string) => void
  readonly onBack: () => void
}

/** Takes a piece out of the tray with a reason, or keeps a note and leaves it in. */
export function WrongPanel({ onWrong, onNote, onBack }: WrongPanelProps) {
  const [text, setText] = useState('')
  const [problem, setProblem] = useState('')
  const box = useRef<HTMLInputElement>(null)
  useKeys({
    ...Object.fromEntries(CHOICES.map(([key, reason]) => [key, () => onWrong(reason)])),
    words: () => box.current?.focus(),
  })
  const withWords = (use: (words: string) => void) => () => {
    if (text.trim() === '') setProblem('Say in a word what happened, or press the number of a reason.')
    else use(text.trim())
  }
  return (
    <Box sx={{ p: 3 }}>
      <Box component="h2" sx={{ fontSize: 22, m: 0, mb: 2, fontFamily: FONTS.head }}>
        What went wrong with this piece
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {CHOICES.map(([key, reason]) => (
          <BigButton key={key} onPress={() => onWrong(reason)} keyId={key}>
            {reason}
          </BigButton>
        ))}
      </Box>
      <Box component="label" htmlFor="bench-words" sx={{ display: 'block', mt: 2.5, mb: 1, fontSize: 18 }}>
        Or in your own words
      </Box>
      <InputBase
        id="bench-words"
        inputRef={box}
        value={text}
        inputProps={{ maxLength: 500 }}
        onChange={(event) => setText(event.target.value)}
        sx={{ ...BENCH_FIELD, width: '100%', fontSize: 18 }}
      />
      {problem ? (
        <Box role="alert" sx={{ fontSize: 17, color: PALETTE.fireBench, mt: 1 }}>
          {problem}
        </Box>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1.5, mt: 2, flexWrap: 'wrap' }}>
        <BigButton onPress={withWords(onWrong)}>Scrap this piece</BigButton>
        <BigButton onPress={withWords(onNote)}>Only a note, it stays</BigButton>
        <BigButton plain onPress={onBack} keyId="back">
          back
        </BigButton>
      </Box>
    </Box>
  )
}
