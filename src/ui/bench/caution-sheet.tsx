'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { TrayCaution } from '@/core/piece'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'

interface CautionSheetProps {
  readonly trayId: number
  readonly cautions: readonly TrayCaution[]
}

/** Everything that can hurt on the route of a tray, on one sheet, with the steps it stands at. */
export function CautionSheet({ trayId, cautions }: CautionSheetProps) {
  return (
    <Box sx={{ p: 2.5, maxWidth: 820, overflowY: 'auto' }}>
      <Box component="ul" aria-label="Cautions" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {cautions.map(({ text, steps }) => (
          <Box
            component="li"
            key={text}
            sx={{ display: 'grid', gridTemplateColumns: '150px 1fr', gap: 2, py: 1, borderBottom: `1px solid ${PALETTE.hairline}` }}
          >
            <Typography className="fig" sx={{ color: PALETTE.muted, fontSize: 13.5 }}>
              {steps.length > 1 ? 'steps' : 'step'} {steps.join(', ')}
            </Typography>
            <Typography>{text}</Typography>
          </Box>
        ))}
      </Box>
      {cautions.length === 0 ? <Typography>Nothing on this route has a caution of its own.</Typography> : null}
      <Typography sx={{ mt: 2 }}>The product’s safety sheet, local rules and licensed practice come before what is said here.</Typography>
      <Box className="no-print" sx={{ display: 'flex', gap: 1.5, mt: 2 }}>
        <Button component={PageLink} href={`/bench/${trayId}`}>
          To the tray
        </Button>
        <Button onClick={() => window.print()}>Print it</Button>
      </Box>
    </Box>
  )
}
