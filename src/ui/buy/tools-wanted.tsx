import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ToolWanted } from '@/server/services/tools-wanted'
import { PALETTE } from '../theme/palette'

const PIECES_NAMED = 4

function piecesWords(pieces: readonly string[]): string {
  const named = pieces.slice(0, PIECES_NAMED).join(', ')
  return pieces.length > PIECES_NAMED ? `${named} and ${pieces.length - PIECES_NAMED} more` : named
}

/** Tools that open jobs ask for: what is missing, and what else serves. */
export function ToolsWanted({ tools }: { readonly tools: readonly ToolWanted[] }) {
  if (tools.length === 0) return null
  return (
    <Box component="section" aria-label="Tools that are wanted" sx={{ px: 2.5, pb: 3 }}>
      <Typography variant="h2">Tools that are wanted</Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {tools.map(({ message, pieces }) => (
          <Box component="li" key={message} sx={{ py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
            {message}
            <Typography variant="body2">for {piecesWords(pieces)}</Typography>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
