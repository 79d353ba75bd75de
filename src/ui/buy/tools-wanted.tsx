'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { formatMoney } from '@/core/units'
import type { ToolWanted } from '@/server/services/tools-wanted'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

const PIECES_NAMED = 4

function piecesWords(pieces: readonly string[]): string {
  const named = pieces.slice(0, PIECES_NAMED).join(', ')
  return pieces.length > PIECES_NAMED ? `${named} and ${pieces.length - PIECES_NAMED} more` : named
}

/** Tools that open jobs ask for: what is missing, and what else serves. */
export function ToolsWanted({ tools }: { readonly tools: readonly ToolWanted[] }) {
  const { currency } = useWorkshop()
  if (tools.length === 0) return null
  const whole = tools.reduce((sum, { cost }) => sum + cost, 0)
  return (
    <Box component="section" aria-label="Tools that are wanted" sx={{ px: 2.5, pb: 3 }}>
      <Typography variant="h2">Tools that are wanted</Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {tools.map(({ message, pieces, cost }) => (
          <Box
            component="li"
            key={message}
            sx={{ display: 'flex', gap: 2, justifyContent: 'space-between', py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}
          >
            <Box>
              {message}
              <Typography variant="body2">for {piecesWords(pieces)}</Typography>
            </Box>
            <Box className="fig" sx={{ whiteSpace: 'nowrap' }}>
              about {formatMoney(cost, currency)}
            </Box>
          </Box>
        ))}
      </Box>
      {whole > 0 ? (
        <Typography variant="body2" sx={{ mt: 1 }} title="Under Tables, Figures of the bench, you can put what yours cost">
          All of them new: about {formatMoney(whole, currency)}, at what is put down for each kind under Figures of the bench.
        </Typography>
      ) : null}
    </Box>
  )
}
