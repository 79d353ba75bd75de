'use client'
import Box from '@mui/material/Box'
import { PALETTE } from '../theme/palette'
import { useKeptBench } from './use-kept-bench'

/** Whether this device can go on without the computer, in words: only what the device itself says it has. */
export function KeptLine() {
  const kept = useKeptBench()
  if (kept.state === 'unknown') return null
  return (
    <Box role="status" aria-label="Without the computer" sx={{ fontSize: 16, color: PALETTE.petrolMuted }}>
      {kept.state === 'keeping' ? 'Putting the bench on this device…' : null}
      {kept.state === 'kept'
        ? `This device can work without the computer: ${kept.trays} ${kept.trays === 1 ? 'tray is' : 'trays are'} on it.`
        : null}
      {kept.state === 'none' ? 'The bench could not be put on this device: keep this page open while the computer is off.' : null}
      {kept.state === 'closed' ? (
        <>
          Keep this page open: what you enter stays on this device and is sent when the computer answers. Closed or reloaded, it does not
          open until then.{' '}
          <a href="/trust" style={{ color: PALETTE.petrolText }}>
            How this device can open it
          </a>
        </>
      ) : null}
    </Box>
  )
}
