import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { PALETTE } from '../theme/palette'
import { AskLine, type Beside } from './ask-line'

interface PageHeadProps {
  readonly title: string
  readonly sub?: string
  /** Stations of a piece, or actions of a place. */
  readonly children?: ReactNode
  /** The piece in sight, for what is asked beside it. */
  readonly beside?: Beside
}

/** The top bar: where one is, what can be done here, and the ask line. */
export function PageHead({ title, sub, children, beside }: PageHeadProps) {
  return (
    <Box
      component="header"
      sx={{
        bgcolor: PALETTE.paper,
        borderBottom: `1px solid ${PALETTE.hairline}`,
        px: 2.5,
        minHeight: 60,
        display: 'flex',
        alignItems: 'center',
        gap: 3,
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        py: { xs: 1, md: 0 },
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h1" noWrap title={title}>
          {title}
        </Typography>
        {sub ? (
          <Typography variant="body2" noWrap title={sub}>
            {sub}
          </Typography>
        ) : null}
      </Box>
      {children}
      <Box sx={{ flex: 1, minWidth: { md: 12 } }} />
      <Box className="no-print" sx={{ width: { xs: '100%', md: 'auto' } }}>
        <AskLine {...(beside ? { beside } : {})} />
      </Box>
    </Box>
  )
}
