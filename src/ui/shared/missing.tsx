'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { PageLink } from './page-link'

export function Missing() {
  return (
    <Box sx={{ p: 4, maxWidth: 520 }}>
      <Typography variant="h1" component="h1">
        This is not here
      </Typography>
      <Typography sx={{ my: 1.5 }}>It may have been in the other workshop, or have been taken out. Your jobs are under Jobs.</Typography>
      <Button component={PageLink} href="/jobs">
        To the jobs
      </Button>
    </Box>
  )
}

export function Fault({ onAgain, mark }: { readonly onAgain: () => void; readonly mark: string | undefined }) {
  return (
    <Box sx={{ p: 4, maxWidth: 560 }}>
      <Typography variant="h1" component="h1">
        Something went wrong on our side
      </Typography>
      <Typography sx={{ my: 1.5 }}>
        What was saved is safe. Try again; if it comes back, make a backup under Settings and note the mark{mark ? ` ${mark}` : ''} from the
        program’s log.
      </Typography>
      <Button onClick={onAgain}>Try again</Button>
    </Box>
  )
}
