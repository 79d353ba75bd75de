import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Handling } from '@/core/surface'
import { capitalised } from '@/core/units'

/** Steps that are held alike, in a few words: the first and the last of many. */
function stepsWords(steps: readonly string[]): string {
  const [first = '', last = ''] = [steps[0], steps.at(-1)]
  return capitalised(steps.length > 2 ? `${first} to ${last}` : steps.join(' and '))
}

/** How the piece is held along its finishing, step by step. */
export function HandlingList({ handling }: { readonly handling: readonly Handling[] }) {
  if (handling.length === 0) return null
  return (
    <>
      <Typography variant="h3" sx={{ mt: 1.5, mb: 0.5 }}>
        How it is held
      </Typography>
      <Box component="ul" aria-label="How it is held" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {handling.map(({ steps, hold }, i) => (
          <Typography component="li" variant="body2" key={i} sx={{ py: 0.25 }}>
            <b>{stepsWords(steps)}:</b> {hold}
          </Typography>
        ))}
      </Box>
    </>
  )
}
