'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { ActProvider } from '../acting/act-provider'
import { PALETTE } from '../theme/palette'
import { DataPanel, type DataPanelProps } from './data-panel'

/** Stands in the place of every page while the workshop's file cannot be opened: why, and the way out. */
export function BrokenWorkshop({ why, ...data }: Omit<DataPanelProps, 'whole'> & { readonly why: string }) {
  return (
    <ActProvider>
      <Box component="main" sx={{ maxWidth: 760, mx: 'auto', p: 4 }}>
        <Typography variant="h1" sx={{ mb: 1 }}>
          This workshop cannot be opened
        </Typography>
        <Typography role="alert" sx={{ borderLeft: `4px solid ${PALETTE.fire}`, bgcolor: PALETTE.fireSoft, p: 1.25, mb: 3 }}>
          {why}
        </Typography>
        <Typography sx={{ mb: 3 }}>Nothing was changed. Put a backup back, or open the other workshop.</Typography>
        <DataPanel {...data} whole={false} />
      </Box>
    </ActProvider>
  )
}
