'use client'
import Box from '@mui/material/Box'
import { useState } from 'react'
import type { KeyId } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { FONTS } from '../theme/palette'
import { BigButton } from './big-button'
import { PartChoice } from './part-choice'
import { ASKEW } from './use-test'

/** What a test shows; one key each, no typing with full hands. */
const SEEN = {
  choose1: 'a gap',
  choose2: 'a pinhole',
  choose3: 'it moves',
  choose4: ASKEW,
} as const satisfies Partial<Record<KeyId, string>>
const CHOICES = Object.entries(SEEN) as readonly (readonly [keyof typeof SEEN, string])[]

interface FailedPanelProps {
  /** The parts that the test is about. */
  readonly parts: readonly { readonly id: string; readonly name: string }[]
  readonly onFailed: (seen: string, part: string | null) => void
  readonly onBack: () => void
}

/** Says what a failed test showed, and of which part: a joint then goes round again, a fit is tried again. */
export function FailedPanel({ parts, onFailed, onBack }: FailedPanelProps) {
  const [part, setPart] = useState<string | null>(null)
  useKeys(Object.fromEntries(CHOICES.map(([key, seen]) => [key, () => onFailed(seen, part)])))
  return (
    <Box sx={{ p: 3 }}>
      <Box component="h2" sx={{ fontSize: 22, m: 0, mb: 2, fontFamily: FONTS.head }}>
        What did the test show
      </Box>
      {parts.length > 1 ? (
        <PartChoice
          label="Which gave way"
          choices={[{ value: null, title: 'the joint' }, ...parts.map(({ id, name }) => ({ value: id, title: name }))]}
          value={part}
          onChoose={setPart}
        />
      ) : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {CHOICES.map(([key, seen]) => (
          <BigButton key={key} onPress={() => onFailed(seen, part)} keyId={key}>
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
