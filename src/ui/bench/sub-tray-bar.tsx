'use client'
import Box from '@mui/material/Box'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import type { BenchStepView } from './tray-view'

interface SubTrayBarProps {
  readonly here: BenchStepView
  /** The next step of each other sub-tray that waits for nothing. */
  readonly others: readonly BenchStepView[]
  readonly onTakeUp: (stepId: string) => void
}

/** The parts that can be worked apart from each other until they meet: the one in hand, and those that could be taken up instead. */
export function SubTrayBar({ here, others, onTakeUp }: SubTrayBarProps) {
  if (others.length === 0) return null
  return (
    <Box
      component="section"
      aria-label="Sub-trays"
      sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1.5, px: 3.5, pt: 1, fontSize: 17, color: PALETTE.petrolMuted }}
    >
      <span>
        In hand: <b style={{ color: '#fff' }}>{here.subTrayWords}</b>. Ready as well:
      </span>
      {others.map((step, i) => (
        <BigButton key={step.id} plain onPress={() => onTakeUp(step.id)} {...(i === 0 ? { keyId: 'subTray' as const } : {})}>
          <span>
            {step.subTrayWords}: <span style={{ color: PALETTE.petrolMuted }}>{step.words.title.toLowerCase()}</span>
          </span>
        </BigButton>
      ))}
    </Box>
  )
}
