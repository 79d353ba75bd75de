'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import OutlinedInput from '@mui/material/OutlinedInput'
import Typography from '@mui/material/Typography'
import { useId, useState } from 'react'
import { isReason, REASON_HELP } from '@/core/rules'
import { PALETTE } from '../theme/palette'

export interface BrokenRule {
  readonly key: string
  readonly rule: string
  readonly level: 'stop' | 'warn' | 'note'
  readonly message: string
  /** The steps it is about, by name and number. */
  readonly where: string
  readonly under: readonly string[]
  readonly reason: string
  readonly isOverridden: boolean
  /** Whether a reason may lift it. */
  readonly isLiftable: boolean
  readonly onReason: (reason: string) => void
  readonly onShow: () => void
}

const LEVEL_WORDS = { stop: 'Stop', warn: 'Warning', note: 'Note' } as const

function Reason({ broken }: { readonly broken: BrokenRule }) {
  const id = useId()
  const [text, setText] = useState(broken.reason)
  return (
    <Box sx={{ mt: 0.5 }}>
      <Typography component="label" htmlFor={id} sx={{ fontWeight: 600, fontSize: 13 }}>
        Reason
      </Typography>
      <OutlinedInput
        id={id}
        fullWidth
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => {
          if (text !== broken.reason) broken.onReason(text)
        }}
      />
      <Typography variant="body2">
        {text !== '' && !isReason(text) ? 'This is not a reason yet. ' : ''}
        {REASON_HELP}
      </Typography>
    </Box>
  )
}

/** What the route breaks, each rule with the steps it is about and the reason that lifts it there. */
export function BrokenRules({ broken }: { readonly broken: readonly BrokenRule[] }) {
  return (
    <Box component="ul" aria-label="Rules that are broken" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {broken.map((item) => {
        const colour = item.isOverridden ? PALETTE.muted : item.level === 'stop' ? PALETTE.fire : PALETTE.ochre
        return (
          <Box component="li" key={item.key} sx={{ borderLeft: `4px solid ${colour}`, pl: 1.25, py: 0.75, my: 1, bgcolor: PALETTE.white }}>
            <Typography role={item.isOverridden || item.level === 'note' ? undefined : 'alert'} sx={{ fontSize: 13.5 }}>
              <b>
                {item.isOverridden ? 'All the same' : LEVEL_WORDS[item.level]} {item.rule}.
              </b>{' '}
              {item.message}
            </Typography>
            <Button variant="text" sx={{ px: 0, justifyContent: 'start', textAlign: 'left', whiteSpace: 'normal' }} onClick={item.onShow}>
              {item.where}
            </Button>
            {item.under.length > 0 ? <Typography variant="body2">It falls under {item.under.join(', ')}.</Typography> : null}
            {item.level === 'stop' && item.isLiftable ? <Reason broken={item} /> : null}
          </Box>
        )
      })}
    </Box>
  )
}
