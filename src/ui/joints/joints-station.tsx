'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { TorchBook } from '@/core/piece'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { HeatCardView } from './heat-card'
import { HeatLadder } from './heat-ladder'

interface JointsStationProps {
  readonly pieceId: number
  readonly book: TorchBook
  readonly cardsHref: string
}

const LADDER_HEIGHT = 330

/** The joints made by heat: the ladder their solders fall down, and a card for each heat. */
export function JointsStation({ pieceId, book, cardsHref }: JointsStationProps) {
  const [chosen, setChosen] = useState(0)
  const card = book.heats[chosen]
  if (!card)
    return (
      <Typography sx={{ p: 3 }}>
        Nothing of this piece is joined by heat. Add a joint where its parts are, or a solder step on its{' '}
        <PageLink href={`/pieces/${pieceId}/route`}>route</PageLink>.
      </Typography>
    )
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0, overflow: { md: 'hidden' } }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', px: 2.5, pt: 1.25, flexWrap: 'wrap', gap: 1 }}>
        <Typography variant="h2">Heats in order, each solder under the last</Typography>
        <Typography sx={{ color: book.ladder.stops > 0 ? PALETTE.fire : PALETTE.muted }}>
          {book.change ??
            `${book.ladder.grades} ${book.ladder.grades === 1 ? 'grade' : 'grades'} of solder${Number.isFinite(book.ladder.leastMarginC) ? `, least margin ${Math.round(book.ladder.leastMarginC)} °C` : ''}`}
        </Typography>
        <Button href={cardsHref} target="_blank">
          Print the torch cards
        </Button>
      </Box>
      <Box
        tabIndex={0}
        role="region"
        aria-label="The ladder"
        sx={{ overflowX: 'auto', flexShrink: 0, borderBottom: `1px solid ${PALETTE.hairline}` }}
      >
        <HeatLadder book={book} height={LADDER_HEIGHT} chosen={chosen} onChoose={setChosen} />
      </Box>
      <HeatCardView card={card} number={chosen + 1} />
    </Box>
  )
}
