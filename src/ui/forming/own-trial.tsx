'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { FIGURES, learned } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { useTold } from '../acting/use-told'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

const digitsOf = (value: number) => (value < 10 ? 2 : 0)
const Fig = ({ value }: { readonly value: number }) => <span className="fig">{formatPlain(value, digitsOf(value))}</span>

/** A figure of a metal that trials tell: what this one says, what all of them together say and how surely, and which is worked with. */
export function OwnTrial({ id, found }: { readonly id: string; readonly found?: number | undefined }) {
  const { trials, typedFigures, settingsRevision } = useWorkshop()
  const told = useTold()
  const [problem, setProblem] = useState<string>()
  const kept = trials[id] ?? []
  const known = learned(id, kept)
  const figure = FIGURES[id]
  if (!figure) return null
  const unit = figure.unit === 'ratio' ? ' of what is calculated' : ` ${figure.unit}`
  async function keep(values: readonly number[], text: string) {
    const done = await told(
      'keepTrials',
      { id, values: [...values] },
      { revision: settingsRevision, text, back: { id, values: [...kept] } },
    )
    setProblem(done.ok ? undefined : done.message)
  }
  return (
    <Box sx={{ mt: 0.75 }}>
      {known ? (
        <Typography variant="body2">
          {known.count === 1 ? 'One trial' : `${known.count} trials`}: <Fig value={known.value} />
          {unit} (<Fig value={known.low} /> to <Fig value={known.high} />
          {unit}), <span className="fig">{Math.round(100 * known.trustFraction)} %</span> yours, the rest the table’s
          {typedFigures[id] === undefined ? '. It is worked with.' : `; your typed ${formatPlain(typedFigures[id], 2)} stands over it.`}
        </Typography>
      ) : (
        <Typography variant="body2" sx={{ color: PALETTE.muted }}>
          Not tried yet: <Fig value={typedFigures[id] ?? figure.preset} />
          {unit} is worked with.
        </Typography>
      )}
      {problem ? (
        <Typography role="alert" sx={{ color: PALETTE.fire }}>
          {problem}
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {found === undefined ? null : (
          <Button sx={{ mt: 0.75 }} onClick={() => void keep([...kept, found], 'Counted among your trials.')}>
            Count this trial
          </Button>
        )}
        {kept.length > 0 ? (
          <Button variant="text" sx={{ mt: 0.75 }} onClick={() => void keep(kept.slice(0, -1), 'The last trial is left out.')}>
            Leave out the last
          </Button>
        ) : null}
      </Box>
    </Box>
  )
}
