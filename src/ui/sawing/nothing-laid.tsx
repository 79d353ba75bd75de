import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { PageLink } from '../shared/page-link'

/** A job of which no blank lies on a sheet: what comes first, and where. */
export function NothingLaid({ jobId }: { readonly jobId: number }) {
  return (
    <Box sx={{ p: 4, maxWidth: 520 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Nothing lies on a sheet yet
      </Typography>
      <Typography>Lay the blanks first; the order to saw them in follows from where they lie.</Typography>
      <Button component={PageLink} variant="contained" href={`/layout/${jobId}`} sx={{ mt: 2 }}>
        Lay them out
      </Button>
    </Box>
  )
}
