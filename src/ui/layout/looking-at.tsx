import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'

interface LookingAtProps {
  /** What is looked at now; nothing when it is over. */
  readonly at: string | undefined
  /** How far it is, in words. */
  readonly says: string
  readonly failed: readonly string[]
  readonly isWhole: boolean
  readonly onStop: () => void
  readonly onAgain: () => void
}

/** How far a look at one thing after another is; it can be stopped, and made again where it did not come to its end. */
export function LookingAt({ at, says, failed, isWhole, onStop, onAgain }: LookingAtProps) {
  if (at !== undefined)
    return (
      <Typography role="status" component="div">
        {says}{' '}
        <Button variant="text" onClick={onStop}>
          Stop
        </Button>
      </Typography>
    )
  if (isWhole) return null
  return (
    <Typography role="status" component="div">
      {failed.length > 0 ? `The search failed for ${failed.join(', ')}. ` : 'Stopped before the end. '}
      <Button variant="text" onClick={onAgain}>
        Look again
      </Button>
    </Typography>
  )
}
