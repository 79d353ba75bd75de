'use client'
import Box from '@mui/material/Box'
import InputBase from '@mui/material/InputBase'
import type { ReactNode } from 'react'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'
import { BENCH_FIELD } from './bench-field'
import { BigButton } from './big-button'
import type { Panel } from './use-writing'

interface ReadingBoxProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly onTake: (text: string) => void
  /** Beside the box: other ways to the same reading. */
  readonly children?: ReactNode
}

/** The box for a reading that is typed. */
export function ReadingBox({ label, value, onChange, onTake, children }: ReadingBoxProps) {
  return (
    <Box
      component="form"
      sx={{ px: 3.5, pt: 2, display: 'flex', gap: 2, alignItems: 'center', fontSize: 18, flexWrap: 'wrap' }}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        onTake(value)
      }}
    >
      <label htmlFor="typed-reading">{label}</label>
      <InputBase
        id="typed-reading"
        autoFocus
        autoComplete="off"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        sx={{ ...BENCH_FIELD, width: 190, fontSize: 24, fontFamily: FONTS.mono, border: `2px solid ${PALETTE.verdigrisBench}` }}
      />
      <BigButton type="submit">Save</BigButton>
      {children}
    </Box>
  )
}

/** Asks about a reading that is far from what was aimed at; either answer can be kept. */
export function FarQuestion({
  panel,
  onAnswer,
  onBack,
}: {
  readonly panel: Extract<Panel, { kind: 'ask' }>
  readonly onAnswer: (mm: number) => void
  readonly onBack: () => void
}) {
  const { meantMm, readMm, question } = panel.far
  return (
    <Box
      role="alertdialog"
      aria-label="Is this reading right?"
      sx={{ px: 3.5, pt: 2, display: 'flex', gap: 2, alignItems: 'center', fontSize: 20, flexWrap: 'wrap' }}
    >
      <b>{question}</b>
      {meantMm === null ? null : (
        <BigButton main onPress={() => onAnswer(meantMm)} keyId="choose1">
          {formatPlain(meantMm, 3)}
        </BigButton>
      )}
      <BigButton onPress={() => onAnswer(readMm)} keyId="choose2">
        {formatPlain(readMm, 3)} is right
      </BigButton>
      <BigButton plain onPress={onBack} keyId="back">
        back
      </BigButton>
    </Box>
  )
}
