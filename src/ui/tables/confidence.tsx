import Box from '@mui/material/Box'
import type { Confidence } from '@/core/sources'
import { PALETTE } from '../theme/palette'

const WORDS: Readonly<Record<Confidence, { readonly word: string; readonly colour: string; readonly bars: number }>> = {
  high: { word: 'sure', colour: PALETTE.verdigris, bars: 3 },
  medium: { word: 'fairly sure', colour: PALETTE.muted, bars: 2 },
  low: { word: 'a suggestion', colour: PALETTE.ochre, bars: 1 },
}

/** How sure a value is: three bars, two, or one and the word. */
export function ConfidenceMark({ confidence }: { readonly confidence: Confidence }) {
  const { word, colour, bars } = WORDS[confidence]
  return (
    <Box
      component="span"
      sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75, color: colour, fontSize: 12.5, whiteSpace: 'nowrap' }}
    >
      <svg width="14" height="12" aria-hidden="true">
        {[0, 1, 2].map((i) => (
          <rect
            key={i}
            x={i * 5}
            y={8 - i * 4}
            width="3.4"
            height={4 + i * 4}
            fill={i < bars ? colour : 'none'}
            stroke={colour}
            strokeWidth="0.8"
          />
        ))}
      </svg>
      {word}
    </Box>
  )
}
