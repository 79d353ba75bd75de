'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Typography from '@mui/material/Typography'
import type { UnderWay } from '@/server/long/under-way'

/** Long work: what is being done, how far it is, how long the rest will take, and Cancel. */
export function UnderWayBar({ told, onCancel }: { readonly told: UnderWay; readonly onCancel: () => void }) {
  const { step, share, secondsLeft } = told
  return (
    <Box sx={{ my: 1 }}>
      <LinearProgress
        aria-label={step}
        {...(share === null ? { variant: 'indeterminate' as const } : { variant: 'determinate' as const, value: 100 * share })}
      />
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', mt: 0.5, gap: 1 }}>
        <Typography variant="body2" role="status">
          {step}
          {secondsLeft === null ? '' : `, about ${Math.ceil(secondsLeft)} s left`}
        </Typography>
        <Button variant="text" onClick={onCancel}>
          Cancel
        </Button>
      </Box>
    </Box>
  )
}
