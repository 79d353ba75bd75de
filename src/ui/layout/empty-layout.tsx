'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { PageLink } from '../shared/page-link'

export function EmptyLayout() {
  return (
    <Box sx={{ p: 4, maxWidth: 520 }}>
      <Typography variant="h3" component="h2">
        Nothing to lay out yet
      </Typography>
      <Typography sx={{ my: 1.5 }}>
        Add a job with a piece cut from sheet; its blanks then lie here, ready to be placed on a sheet of the drawer.
      </Typography>
      <Button component={PageLink} href="/jobs">
        To the jobs
      </Button>
    </Box>
  )
}
