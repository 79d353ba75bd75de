import Box from '@mui/material/Box'
import { PALETTE } from '../theme/palette'

/** A figure of an instrument, read at arm's length, under what it is. */
export function Dial({ label, value, colour = '#fff' }: { readonly label: string; readonly value: string; readonly colour?: string }) {
  return (
    <Box>
      <Box sx={{ fontSize: 16, color: PALETTE.petrolMuted }}>{label}</Box>
      <Box className="fig" sx={{ fontSize: 30, fontWeight: 700, color: colour }}>
        {value}
      </Box>
    </Box>
  )
}
