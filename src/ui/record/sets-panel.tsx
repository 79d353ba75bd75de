'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { bestSets, isOpening, type MatchedSet, type Measured, MOST_IN_SET, mostMatched } from '@/core/logbook'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { useIsHere } from '../shared/use-is-here'
import { PALETTE } from '../theme/palette'

/** Pieces of one tray with what was measured of them. */
export interface MeasuredTray {
  readonly trayId: number
  readonly pieces: readonly Measured[]
  /** By dimension: what it is called, and what it may differ, mm. */
  readonly dimensions: Readonly<Record<string, { readonly label: string; readonly plusMinusMm: number }>>
}

const upTo = (from: number, most: number) =>
  Object.fromEntries(Array.from({ length: Math.max(0, most - from + 1) }, (_, i) => [String(from + i), String(from + i)]))

const named = (pieces: readonly number[]) => `${pieces.slice(0, -1).join(', ')} and ${pieces.at(-1)}`

function fileWords({ file }: MatchedSet, { dimensions }: MeasuredTray): string {
  if (file.length === 0) return 'alike as they are'
  return file
    .map(
      ({ piece, dimension, byMm }) =>
        `${formatPlain(byMm, 2)} mm off ${piece} (${dimensions[dimension]?.label.toLowerCase() ?? dimension})`,
    )
    .join(', ')
}

/** Which of the finished pieces go together as pairs or larger sets, and what to file off which. */
export function SetsPanel({ trays }: { readonly trays: readonly MeasuredTray[] }) {
  const [chosen, setChosen] = useState(trays[0]?.trayId ?? 0)
  const [asked, setAsked] = useState({ inSet: 2, sets: 0 })
  const tray = trays.find(({ trayId }) => trayId === chosen)
  const count = tray?.pieces.length ?? 0
  const inSet = Math.min(asked.inSet, Math.max(2, count))
  const matched = Math.min(count, mostMatched(inSet))
  const most = Math.floor(matched / inSet)
  const wanted = Math.min(most, asked.sets || most)
  const isHere = useIsHere()
  const sets = useMemo(() => {
    if (!tray || !isHere) return []
    const tolerances = Object.fromEntries(Object.entries(tray.dimensions).map(([id, { plusMinusMm }]) => [id, plusMinusMm]))
    return bestSets(tray.pieces.slice(0, matched), inSet, wanted, tolerances)
  }, [tray, isHere, matched, inSet, wanted])
  if (!tray) return null
  return (
    <Box component="section" aria-label="Pairs and sets" sx={{ mt: 2 }}>
      <Typography variant="h2">Pairs and sets</Typography>
      {trays.length > 1 ? (
        <ChoiceField
          label="Tray"
          value={String(chosen)}
          options={Object.fromEntries(trays.map(({ trayId, pieces }) => [String(trayId), `tray ${trayId}, ${pieces.length} measured`]))}
          onChange={(next) => setChosen(Number(next))}
        />
      ) : null}
      <ChoiceField
        label="In each set"
        value={String(inSet)}
        options={upTo(2, Math.min(MOST_IN_SET, count))}
        onChange={(next) => setAsked({ ...asked, inSet: Number(next) })}
        width={90}
      />
      <ChoiceField
        label="Sets wanted"
        value={String(wanted)}
        options={upTo(1, most)}
        onChange={(next) => setAsked({ ...asked, sets: Number(next) })}
        width={90}
      />
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {sets.map((set) => (
          <Box component="li" key={set.pieces.join('-')} sx={{ py: 0.5, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
            <b className="fig">{named(set.pieces)}</b>: {fileWords(set, tray)}
          </Box>
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        Of all ways to put {count > matched ? `the first ${matched} of ${count}` : 'them'} together these differ least.
      </Typography>
    </Box>
  )
}
