'use client'
import Box from '@mui/material/Box'
import { useEffect, useState } from 'react'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import type { useCheck } from './use-check'

const timeOf = (at: Date) => at.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })

/** When the calipers were last tried on the check piece and what came of it, and the way to try them now. */
export function CheckLine({
  check,
  onCheck,
}: {
  readonly check: Pick<ReturnType<typeof useCheck>, 'last' | 'says'>
  readonly onCheck: () => void
}) {
  // the day is the device's own, which the program does not know
  const [today, setToday] = useState('')
  useEffect(() => setToday(new Date().toDateString()), [])
  const at = check.last && new Date(check.last.at)
  const isToday = at?.toDateString() === today
  return (
    <Box
      role="group"
      aria-label="Check piece"
      sx={{ px: { xs: 3, md: 5 }, pb: 2, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', fontSize: 17 }}
    >
      {today === '' ? null : at && check.says && isToday ? (
        <Box sx={{ flex: '1 1 260px', color: check.says.isOff ? PALETTE.fireBench : PALETTE.petrolText }}>
          Checked at <span className="fig">{timeOf(at)}</span>. {check.says.says}
        </Box>
      ) : (
        <Box sx={{ flex: '1 1 260px' }}>The calipers were not checked today.</Box>
      )}
      <BigButton plain onPress={onCheck}>
        Check the calipers
      </BigButton>
    </Box>
  )
}
