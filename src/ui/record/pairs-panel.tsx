'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { bestPairs, type Measured, MOST_MATCHED } from '@/core/logbook'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { PALETTE } from '../theme/palette'

/** Pieces of one tray with what was measured of them. */
export interface MeasuredTray {
  readonly trayId: number
  readonly pieces: readonly Measured[]
  /** By dimension: what it is called, and what it may differ, mm. */
  readonly dimensions: Readonly<Record<string, { readonly label: string; readonly plusMinusMm: number }>>
}

/** Which of the finished pieces go together, and what to file off which. */
export function PairsPanel({ trays }: { readonly trays: readonly MeasuredTray[] }) {
  const [chosen, setChosen] = useState(trays[0]?.trayId ?? 0)
  const tray = trays.find(({ trayId }) => trayId === chosen)
  const most = Math.floor(Math.min(tray?.pieces.length ?? 0, MOST_MATCHED) / 2)
  const [count, setCount] = useState('')
  const wanted = Math.min(most, Number(count) || most)
  const pairs = useMemo(() => {
    if (!tray) return []
    const tolerances = Object.fromEntries(Object.entries(tray.dimensions).map(([id, { plusMinusMm }]) => [id, plusMinusMm]))
    return bestPairs(tray.pieces.slice(0, MOST_MATCHED), wanted, tolerances)
  }, [tray, wanted])
  if (!tray) return null
  return (
    <Box component="section" aria-label="Pairs" sx={{ mt: 2 }}>
      <Typography variant="h2">Pairs</Typography>
      {trays.length > 1 ? (
        <ChoiceField
          label="Tray"
          value={String(chosen)}
          options={Object.fromEntries(trays.map(({ trayId, pieces }) => [String(trayId), `tray ${trayId}, ${pieces.length} measured`]))}
          onChange={(next) => setChosen(Number(next))}
        />
      ) : null}
      <ChoiceField
        label="Pairs wanted"
        value={String(wanted)}
        options={Object.fromEntries(Array.from({ length: most }, (_, i) => [String(i + 1), String(i + 1)]))}
        onChange={setCount}
        width={90}
      />
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {pairs.map(({ pieces: [a, b], file }) => (
          <Box component="li" key={`${a}-${b}`} sx={{ py: 0.5, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
            <b className="fig">
              {a} and {b}
            </b>
            :{' '}
            {file.length === 0
              ? 'alike as they are'
              : file
                  .map(
                    ({ piece, dimension, byMm }) =>
                      `${formatPlain(byMm, 2)} mm off ${piece} (${tray.dimensions[dimension]?.label.toLowerCase() ?? dimension})`,
                  )
                  .join(', ')}
          </Box>
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        Of all ways to pair {tray.pieces.length > MOST_MATCHED ? `the first ${MOST_MATCHED} of ${tray.pieces.length}` : 'them'} these differ
        least.
      </Typography>
    </Box>
  )
}
