'use client'
import Box from '@mui/material/Box'
import { useEffect, useState } from 'react'
import { useDates } from '../shared/dates'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import type { useCheck } from './use-check'

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
  const { clock, day } = useDates()
  const { last, says } = check
  const isToday = last !== undefined && new Date(last.at).toDateString() === today
  return (
    <Box
      role="group"
      aria-label="Check piece"
      sx={{ px: { xs: 3, md: 5 }, pb: 2, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', fontSize: 17 }}
    >
      <Box sx={{ flex: '1 1 260px', color: says?.isOff ? PALETTE.fireBench : PALETTE.petrolText }}>
        {today === '' || isToday ? null : 'The calipers were not checked today. '}
        {today === '' || !last || !says ? null : (
          <>
            Checked {isToday ? 'at' : 'on'} <span className="fig">{isToday ? clock(last.at) : day(last.at)}</span>. {says.says}
          </>
        )}
      </Box>
      <BigButton plain onPress={onCheck}>
        Check the calipers
      </BigButton>
    </Box>
  )
}
