'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { SchoolOption } from '@/core/forms'
import { formatPlain } from '@/core/units'

interface SchoolsProps {
  readonly label: string
  readonly chosen: string
  readonly options: readonly SchoolOption[]
  readonly onChoose: (id: string) => void
}

/** The schools of one question: each with what it comes to for this piece, the chosen one with its reason. */
export function Schools({ label, chosen, options, onChoose }: SchoolsProps) {
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={chosen}
        aria-label={label}
        onChange={(_, id: string | null) => {
          if (id) onChoose(id)
        }}
      >
        {options.map((option) => (
          <ToggleButton key={option.id} value={option.id} sx={{ display: 'block', fontSize: 12.5 }}>
            {option.title}
            <Box className="fig" sx={{ fontSize: 12.5, fontWeight: 400, mt: 0.25 }}>
              {formatPlain(option.value, 2)}
            </Box>
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        {options.find((option) => option.id === chosen)?.why}
      </Typography>
    </Box>
  )
}
