import Box from '@mui/material/Box'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import type { BenchTrayView } from './tray-view'
import { WaitClock } from './wait-clock'

/** What waits in the other trays meanwhile, each with its clock and the way there. */
export function OtherWaits({ waits }: Pick<BenchTrayView, 'waits'>) {
  if (waits.length === 0) return null
  return (
    <Box
      aria-label="Waiting meanwhile"
      role="group"
      sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, px: 3.5, pt: 0.5, fontSize: 16 }}
    >
      {waits.map(({ trayId, name, ...wait }) => (
        <PageLink key={trayId} href={`/bench/${trayId}`} style={{ color: PALETTE.petrolMuted }}>
          {name}, <WaitClock {...wait} />
        </PageLink>
      ))}
    </Box>
  )
}
