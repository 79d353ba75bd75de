import Typography from '@mui/material/Typography'
import { PALETTE } from '../theme/palette'

/** What is wrong, said where it is; nothing where nothing is. */
export function ProblemLine({ says }: { readonly says: string | undefined }) {
  if (!says) return null
  return (
    <Typography role="alert" sx={{ color: PALETTE.fire, mt: 0.5 }}>
      {says}
    </Typography>
  )
}
