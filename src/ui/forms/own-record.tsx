'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { OwnAllowance } from '@/core/logbook'
import { SizeField } from '../shared/size-field'

interface OwnRecordProps {
  readonly own: OwnAllowance
  readonly appliedMm: number
  /** What stands in the field, as it was typed. */
  readonly typed: string
  readonly error: string | undefined
  readonly onChange: (typed: string) => void
  readonly onLeave: () => void
}

function signed(value: number): string {
  return `${value >= 0 ? '+ ' : '− '}${Math.abs(value).toFixed(2)}`
}

/** What is allowed now: nothing, what the record says, or what was typed instead. */
function choiceOf(appliedMm: number, recordMm: number | undefined): 'textbook' | 'own' | null {
  if (appliedMm === 0) return 'textbook'
  return appliedMm === recordMm ? 'own' : null
}

/** The textbook beside the smith's own figure, with its count, its spread and why it is what it is; either is taken by a press, or another typed. */
export function OwnRecord({ own, appliedMm, typed, error, onChange, onLeave }: OwnRecordProps) {
  const recordMm = own.outcome === 'offered' ? Number(own.allowanceMm.toFixed(2)) : undefined
  return (
    <Box sx={{ mt: 1.5 }} data-testid="own-record">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        What to allow, mm
      </Typography>
      {recordMm === undefined ? null : (
        <ToggleButtonGroup
          exclusive
          fullWidth
          value={error === undefined ? choiceOf(appliedMm, recordMm) : null}
          aria-label="What to allow"
          onChange={(_, choice: string | null) => {
            if (choice) onChange(choice === 'own' ? String(recordMm) : '0')
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
              {signed(recordMm)} ± {own.plusMinusMm.toFixed(2)}
            </Box>
          </ToggleButton>
        </ToggleButtonGroup>
      )}
      <SizeField
        label="On the blank"
        unit="mm"
        value={typed}
        error={error}
        onChange={onChange}
        onBlur={onLeave}
        help="What you add to the textbook’s blank, or with a minus take off it; 0 is the textbook."
      />
      {own.count > 0 || appliedMm !== 0 ? (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          {own.why}
          {own.count > 1 ? ` Single pieces spread ± ${own.spreadMm.toFixed(2)} mm.` : ''}
        </Typography>
      ) : null}
    </Box>
  )
}
