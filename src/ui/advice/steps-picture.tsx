'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { capitalised } from '@/core/units'
import { PALETTE } from '../theme/palette'

/** Steps one after another on a line, each with how it is done: what repeats stands closer together. */
export function StepsPicture({ steps }: { readonly steps: readonly { readonly step: string; readonly say: string }[] }) {
  return (
    <Box component="ol" aria-label="Steps" tabIndex={0} sx={{ listStyle: 'none', m: 0, p: 0, height: '100%', overflowY: 'auto' }}>
      {steps.map(({ step, say }, i) => (
        <Box component="li" key={i} sx={{ display: 'grid', gridTemplateColumns: '34px minmax(0, 1fr)', columnGap: 1.5 }}>
          <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'center' }}>
            <Box
              className="fig"
              sx={{
                width: 26,
                height: 26,
                borderRadius: '50%',
                border: `2px solid ${PALETTE.verdigris}`,
                color: PALETTE.verdigris,
                fontSize: 13,
                fontWeight: 700,
                display: 'grid',
                placeItems: 'center',
                bgcolor: PALETTE.paper,
              }}
            >
              {i + 1}
            </Box>
            {i < steps.length - 1 ? <Box sx={{ flex: 1, width: 2, bgcolor: PALETTE.hairline, minHeight: 10 }} /> : null}
          </Box>
          <Box sx={{ pb: 1.25 }}>
            <Typography sx={{ fontWeight: 700, lineHeight: '26px' }}>{capitalised(step)}</Typography>
            <Typography variant="body2">{say}</Typography>
          </Box>
        </Box>
      ))}
    </Box>
  )
}
