'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useEffect } from 'react'
import { netAreaMm2 } from '@/core/geometry'
import { areaOf, type LayoutInput, type LayoutItem, type LayoutSheet, type Placement } from '@/core/layout'
import { bestPacked } from '@/workers/pack-client'
import { LookingAt } from '../layout/looking-at'
import { useOneByOne } from '../layout/use-one-by-one'
import { PALETTE } from '../theme/palette'
import { LittleSheet } from './little-sheet'

interface Blank {
  readonly item: LayoutItem
  readonly name: string
  /** How many open jobs still need; none where it was made before. */
  readonly wanted: number
}

interface FitsViewProps {
  readonly sheet: LayoutSheet
  readonly blanks: readonly Blank[]
  readonly kerfMm: number
  readonly marginMm: number
}

interface Fit {
  readonly blank: Blank
  readonly placements: readonly Placement[]
}

/** Each blank is tried so long, and no more of it than this. */
const TRY = { seconds: 1, most: 60 } as const

function inputFor(sheet: LayoutSheet, { item }: Blank, gaps: Pick<LayoutInput, 'kerfMm' | 'marginMm'>): LayoutInput {
  const qty = Math.min(TRY.most, Math.ceil(netAreaMm2(sheet.outer, sheet.holes) / Math.max(1, areaOf(item))))
  return {
    name: '',
    objective: 'value',
    ...gaps,
    seconds: TRY.seconds,
    iterations: null,
    seed: 1,
    sheets: [sheet],
    items: [{ ...item, qty }],
  }
}

/** What can still be made of a piece of metal: each blank of its metal by itself, as many as it takes. */
export function FitsView({ sheet, blanks, kerfMm, marginMm }: FitsViewProps) {
  const { done, failed, at, lookAt, stop } = useOneByOne<Blank, Fit>(
    ({ name }) => name,
    async (blank, signal) => ({
      blank,
      placements: await bestPacked(inputFor(sheet, blank, { kerfMm, marginMm }), signal),
    }),
  )
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is shown is looked at once
  useEffect(() => void lookAt(blanks), [])
  const fits = done.filter(({ placements }) => placements.length > 0)
  const none = done.filter(({ placements }) => placements.length === 0).map(({ blank }) => blank.name)
  return (
    <Box sx={{ p: 2.5 }}>
      {blanks.length === 0 ? <Typography>No piece you have sized is of this metal and thickness.</Typography> : null}
      <LookingAt
        at={at}
        says={`Trying ${at}, ${done.length} of ${blanks.length} done…`}
        failed={failed}
        isWhole={done.length === blanks.length}
        onStop={stop}
        onAgain={() => void lookAt(blanks)}
      />
      <Box component="ul" aria-label="What can be made of it" sx={{ listStyle: 'none', p: 0, display: 'flex', flexWrap: 'wrap', gap: 3 }}>
        {fits.map(({ blank, placements }) => (
          <Box component="li" key={blank.item.id} sx={{ width: 300 }}>
            <LittleSheet sheet={sheet} items={[blank]} placements={placements} says={`${placements.length} × ${blank.name} on it`} />
            <Typography sx={{ fontWeight: 700 }}>
              at least <span className="fig">{placements.length} ×</span> {blank.name}
            </Typography>
            <Typography variant="body2">{blank.wanted > 0 ? `an open job needs ${blank.wanted}` : 'made before'}</Typography>
          </Box>
        ))}
      </Box>
      {fits.length > 0 ? (
        <Typography variant="body2" sx={{ mb: 1 }}>
          Each was tried for a second, by itself; under Lay out a longer search may find room for more.
        </Typography>
      ) : null}
      {none.length > 0 ? (
        <Typography variant="body2" sx={{ borderTop: `1px dotted ${PALETTE.hairline}`, pt: 1 }}>
          No room was found for {none.join(', ')}.
        </Typography>
      ) : null}
    </Box>
  )
}
