'use client'
import Box from '@mui/material/Box'
import InputBase from '@mui/material/InputBase'
import { useRef, useState } from 'react'
import { CRACKED } from '@/core/logbook'
import type { KeyId } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { FONTS, PALETTE } from '../theme/palette'
import { BENCH_FIELD } from './bench-field'
import { BigButton } from './big-button'
import { PartChoice } from './part-choice'
import type { WentWrong } from './use-bench'

/** What usually goes wrong; one key each, no typing with full hands. */
const REASONS = {
  choose1: CRACKED,
  choose2: 'cut under size',
  choose3: 'rim folded',
  choose4: 'melted',
  choose5: 'lost or dropped',
} as const satisfies Partial<Record<KeyId, string>>
const CHOICES = Object.entries(REASONS) as readonly (readonly [keyof typeof REASONS, string])[]

interface WrongPanelProps {
  /** The piece in hand; null where all go through together, and it must be said which. */
  readonly workpiece: number | null
  readonly alive: readonly number[]
  /** Parts of which one alone may be made again; none where the piece has but one part. */
  readonly parts: readonly { readonly id: string; readonly name: string }[]
  readonly onWrong: (wrong: WentWrong) => void
  readonly onNote: (text: string) => void
  readonly onBack: () => void
}

/** Takes a piece out of the tray with a reason, or keeps a note and leaves it in. */
export function WrongPanel({ workpiece, alive, parts, onWrong, onNote, onBack }: WrongPanelProps) {
  const [piece, setPiece] = useState(workpiece ?? (alive.length === 1 ? (alive[0] ?? null) : null))
  // a part that is still by itself is made again; once it is joined, the piece is more likely lost
  const [part, setPart] = useState(parts.length === 1 ? (parts[0]?.id ?? null) : null)
  const [text, setText] = useState('')
  const [problem, setProblem] = useState('')
  const box = useRef<HTMLInputElement>(null)
  const wrong = (words: string) => {
    if (piece === null) setProblem('Say which piece.')
    else onWrong({ text: words, workpiece: piece, part })
  }
  useKeys({
    ...Object.fromEntries(CHOICES.map(([key, reason]) => [key, () => wrong(reason)])),
    words: () => box.current?.focus(),
  })
  const withWords = (use: (words: string) => void) => () => {
    if (text.trim() === '') setProblem('Say in a word what happened, or press the number of a reason.')
    else use(text.trim())
  }
  return (
    <Box sx={{ p: 3 }}>
      <Box component="h2" sx={{ fontSize: 22, m: 0, mb: 2, fontFamily: FONTS.head }}>
        {workpiece === null ? 'What went wrong' : 'What went wrong with this piece'}
      </Box>
      {workpiece === null && alive.length > 1 ? (
        <PartChoice
          label="Which piece"
          choices={alive.map((number) => ({ value: number as number | null, title: String(number) }))}
          value={piece}
          onChoose={setPiece}
        />
      ) : null}
      {parts.length > 0 ? (
        <PartChoice
          label="What is lost"
          choices={[
            { value: null, title: 'the piece' },
            ...parts.map(({ id, name }) => ({ value: id, title: `${name} alone, made again` })),
          ]}
          value={part}
          onChoose={setPart}
        />
      ) : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {CHOICES.map(([key, reason]) => (
          <BigButton key={key} onPress={() => wrong(reason)} keyId={key}>
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
        <BigButton onPress={withWords(wrong)}>{part === null ? 'Scrap this piece' : 'Make it again'}</BigButton>
        <BigButton onPress={withWords(onNote)}>Only a note, it stays</BigButton>
        <BigButton plain onPress={onBack} keyId="back">
          back
        </BigButton>
      </Box>
    </Box>
  )
}
