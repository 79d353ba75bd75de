'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { cellText, type Neighbour, neighboursOn, type Ruler, rowSummary } from '@/core/lookup'
import { SOURCES } from '@/core/sources'
import { LEARNABLE, type Row, type Table } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { useTold } from '../acting/use-told'
import { OwnTrial } from '../forming/own-trial'
import { SizeField } from '../shared/size-field'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { ConfidenceMark } from './confidence'

const OWNERSHIP = {
  fixed: 'A standard or a definition: it cannot be changed.',
  preset: 'A usual value to start from; your own figure wins.',
  own: 'Yours differ: measure your own and hang it on the tool wall.',
} as const

/** One row of a table, told whole: its numbers, what to know, where they come from and how sure they are. */
export function RowCard({ table, row }: { readonly table: Table; readonly row: Row }) {
  return (
    <Box component="section" aria-label={row.name}>
      <Typography variant="body2">{table.title}</Typography>
      <Typography variant="h3" component="h2" sx={{ fontSize: 20 }}>
        {row.name}
      </Typography>
      {row.value === undefined ? null : (
        <Box className="fig" data-testid="row-value" sx={{ fontSize: 30, fontWeight: 700, lineHeight: 1.25 }}>
          {rowSummary(table, row)}
        </Box>
      )}
      <Box component="dl" sx={{ m: 0, mt: 0.5 }}>
        {table.columns.map((column) => {
          const text = cellText(row.cells[column.key], column)
          return text === '' ? null : (
            <Box
              key={column.key}
              sx={{ display: 'flex', justifyContent: 'space-between', gap: 1.5, py: 0.5, borderBottom: `1px dotted ${PALETTE.hairline}` }}
            >
              <Box component="dt" sx={{ color: PALETTE.muted, fontSize: 13 }}>
                {column.label}
              </Box>
              <Box
                component="dd"
                className={typeof row.cells[column.key] === 'number' ? 'fig' : ''}
                sx={{ m: 0, textAlign: 'right', fontSize: 13.5 }}
              >
                {text}
              </Box>
            </Box>
          )
        })}
      </Box>
      {table.takesOwn ? <OwnFigure key={row.id} id={row.id} /> : null}
      {row.note ? <Typography sx={{ mt: 1, borderLeft: `3px solid ${PALETTE.ochre}`, pl: 1 }}>{row.note}</Typography> : null}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', mt: 1.25, gap: 1 }}>
        <Typography variant="body2" title={SOURCES[row.source].note}>
          {SOURCES[row.source].title}
        </Typography>
        <ConfidenceMark confidence={row.confidence} />
      </Box>
      <Typography variant="body2" sx={{ fontSize: 12.5 }}>
        From memory of the source. {OWNERSHIP[row.ownership]}
      </Typography>
    </Box>
  )
}

/** One's own figure beside the preset: it wins in every plan and every piece of advice from then on. */
function OwnFigure({ id }: { readonly id: string }) {
  const { typedFigures, settingsRevision } = useWorkshop()
  const own = typedFigures[id]
  const [typed, setTyped] = useState(own === undefined ? '' : formatPlain(own))
  const [problem, setProblem] = useState<string>()
  const told = useTold()
  async function keep() {
    const kept = await told(
      'keepFigure',
      { id, typed },
      {
        revision: settingsRevision,
        text: typed.trim() === '' ? 'The preset is used.' : `${typed} is used, not the preset.`,
        back: { id, typed: own === undefined ? '' : formatPlain(own, 6) },
      },
    )
    setProblem(kept.ok ? undefined : kept.message)
  }
  return (
    <Box
      component="form"
      sx={{ mt: 1 }}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void keep()
      }}
    >
      <SizeField
        label="Your own figure"
        value={typed}
        onChange={setTyped}
        error={problem}
        understood={
          own === undefined ? 'The preset is used.' : `${formatPlain(own)} is used, not the preset. Clear it to go back to the preset.`
        }
      />
      <Button type="submit" sx={{ mt: 1 }}>
        Save
      </Button>
      {LEARNABLE.includes(id) ? <OwnTrial id={id} /> : null}
    </Box>
  )
}

function Beside({
  neighbour,
  unit,
  onPick,
}: {
  readonly neighbour: Neighbour | null
  readonly unit: string
  readonly onPick: (neighbour: Neighbour) => void
}) {
  if (!neighbour) return <span />
  const digits = unit === 'mm' ? 3 : unit === '°C' ? 0 : 1
  return (
    <Button
      variant="text"
      onClick={() => onPick(neighbour)}
      sx={{ display: 'block', lineHeight: 1.2, minHeight: 28, py: 0.25, textAlign: 'left', whiteSpace: 'normal' }}
    >
      {neighbour.name}
      <Box component="span" className="fig" sx={{ display: 'block', fontSize: 12, fontWeight: 400, color: PALETTE.muted }}>
        {neighbour.difference === 0
          ? 'the same'
          : `${neighbour.difference > 0 ? '+' : '−'}${Math.abs(neighbour.difference).toFixed(digits)}`}
      </Box>
    </Button>
  )
}

/** On every scale of the ruler the marks next below and above, with how far off they are. */
export function NeighboursPanel({
  ruler,
  value,
  onPick,
}: {
  readonly ruler: Ruler
  readonly value: number
  readonly onPick: (neighbour: Neighbour) => void
}) {
  return (
    <Box component="section" aria-label="Neighbours" sx={{ mt: 2 }}>
      <Typography variant="h2">
        Beside{' '}
        <span className="fig">
          {formatPlain(value, 3)} {ruler.unit}
        </span>
      </Typography>
      {neighboursOn(ruler, value).map(({ table, below, same, above }) => (
        <Box key={table.id} sx={{ borderTop: `1px solid ${PALETTE.hairline}`, py: 0.5 }}>
          <Typography variant="body2" sx={{ fontSize: 12 }}>
            {table.title}
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 1fr))', gap: 0.5 }}>
            <Beside neighbour={below} unit={ruler.unit} onPick={onPick} />
            <Beside neighbour={same} unit={ruler.unit} onPick={onPick} />
            <Beside neighbour={above} unit={ruler.unit} onPick={onPick} />
          </Box>
        </Box>
      ))}
    </Box>
  )
}
