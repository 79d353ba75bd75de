'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { OwnAllowance } from '@/core/logbook'

interface OwnRecordProps {
  readonly own: OwnAllowance
  readonly appliedMm: number
  readonly onUse: (allowanceMm: number) => void
}

function signed(value: number): string {
  return `${value >= 0 ? '+ ' : '− '}${Math.abs(value).toFixed(2)}`
}

/** The textbook beside the smith's own figure, with its count, its spread and why it is what it is. */
export function OwnRecord({ own, appliedMm, onUse }: OwnRecordProps) {
  if (own.count === 0 && appliedMm === 0) return null
  return (
    <Box sx={{ mt: 1.5 }} data-testid="own-record">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        What to allow
      </Typography>
      {own.outcome === 'offered' || appliedMm !== 0 ? (
        <ToggleButtonGroup
          exclusive
          fullWidth
          value={appliedMm === 0 ? 'textbook' : 'own'}
          aria-label="What to allow"
          onChange={(_, choice: string | null) => {
            if (choice) onUse(choice === 'own' ? Number(own.allowanceMm.toFixed(2)) : 0)
          }}
        >
          <ToggleButton value="textbook" sx={{ display: 'block' }}>
            Textbook
            <Box className="fig" sx={{ fontSize: 12.5 }}>
              0
            </Box>
          </ToggleButton>
          <ToggleButton value="own" sx={{ display: 'block' }}>
            My record
            <Box className="fig" sx={{ fontSize: 12.5 }}>
              {signed(appliedMm === 0 ? own.allowanceMm : appliedMm)} ± {own.plusMinusMm.toFixed(2)}
            </Box>
          </ToggleButton>
        </ToggleButtonGroup>
      ) : null}
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        {own.why}
        {own.count > 1 ? ` Single pieces spread ± ${own.spreadMm.toFixed(2)} mm.` : ''}
      </Typography>
    </Box>
  )
}
