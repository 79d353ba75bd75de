'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Collapse from '@mui/material/Collapse'
import { ChevronDown, ChevronRight } from 'lucide-react'
import { type ReactNode, useId, useState } from 'react'
import type { FormField } from '@/core/forms'
import { PALETTE } from '../theme/palette'
import type { Typed } from './use-design'

/** What most pieces leave as it is: how it is marked, measured and filed. */
const RARE = /^(measuredWith|roundUpMm|cleanUpMm|trim\w*|neutralAxisRatio|truingMm)$/

/** Whether a field is one that is rarely set. */
export function isRare({ name }: FormField): boolean {
  return RARE.test(name)
}

function valueWords(field: FormField, typed: string): string {
  if (field.kind === 'choice') return (field.titles[typed] ?? typed).toLowerCase()
  return typed === '' ? 'none' : typed
}

interface RarelySetProps {
  readonly fields: readonly FormField[]
  readonly values: Typed
  /** Something in it has to be looked at: it opens. */
  readonly isFaulty: boolean
  readonly children: ReactNode
}

/** Fields that are rarely set, folded under one line that says what they hold. */
export function RarelySet({ fields, values, isFaulty, children }: RarelySetProps) {
  const [open, setOpen] = useState(false)
  const id = useId()
  const isOpen = open || isFaulty
  const Sign = isOpen ? ChevronDown : ChevronRight
  return (
    <Box sx={{ borderBottom: `1px dotted ${PALETTE.hairline}` }}>
      <Button
        variant="text"
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        sx={{ width: '100%', justifyContent: 'flex-start', textAlign: 'left', whiteSpace: 'normal', gap: 0.5, ml: -0.75, lineHeight: 1.3 }}
      >
        <Sign size={16} aria-hidden style={{ flexShrink: 0 }} />
        <Box component="span" sx={{ fontWeight: 400, color: PALETTE.muted, fontSize: 13 }}>
          <Box component="b" sx={{ color: PALETTE.ink }}>
            Marking and filing:
          </Box>{' '}
          {fields.map((field) => `${field.label.toLowerCase()} ${valueWords(field, values[field.name] ?? '')}`).join(', ')}
        </Box>
      </Button>
      <Collapse in={isOpen} id={id}>
        {isOpen ? children : null}
      </Collapse>
    </Box>
  )
}
