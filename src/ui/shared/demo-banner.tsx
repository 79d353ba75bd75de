'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useAct } from '../acting/act-provider'
import { PALETTE } from '../theme/palette'

/** Says that the demonstration is open, and starts an own workshop with one click. */
export function DemoBanner() {
  const act = useAct()
  async function start() {
    const opened = await act('openWorkshop', { name: 'workshop' }, { quiet: true })
    if (opened.ok) window.location.assign('/jobs')
  }
  return (
    <Box
      role="note"
      sx={{
        bgcolor: PALETTE.ochreSoft,
        color: PALETTE.ink,
        px: 2.5,
        py: 0.25,
        fontSize: 13,
        display: 'flex',
        columnGap: 1.5,
        flexWrap: 'wrap',
        alignItems: 'center',
        borderBottom: `1px solid ${PALETTE.hairline}`,
        minHeight: 32,
      }}
    >
      <span>Demonstration: the night-mail railway’s workshop. Nothing here is yours.</span>
      <Button variant="text" onClick={() => void start()} sx={{ minHeight: 26, py: 0 }}>
        Start my own workshop
      </Button>
    </Box>
  )
}
