'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import OutlinedInput from '@mui/material/OutlinedInput'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { memo, useDeferredValue } from 'react'
import { PALETTE } from '../theme/palette'
import { FoundList } from './found-list'
import { RulerView } from './ruler-view'
import { ShelfIndex } from './shelf-index'
import { NeighboursPanel, RowCard } from './side-panel'
import { TableSheet } from './table-sheet'
import { useLookup } from './use-lookup'

const column = { px: 2.25, py: 1.5, overflowY: 'auto', minHeight: 0 } as const

function Middle({ look }: { readonly look: ReturnType<typeof useLookup> }) {
  const { table, row, ruler, asTable } = look
  if (!table) return null
  return (
    <Box
      component="section"
      aria-label="Ruler"
      sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0, px: 2, py: 1.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75, flexWrap: 'wrap', mb: 0.5, '& .MuiButton-root': { px: 1.25 } }}>
        <Typography variant="h2">{ruler && !asTable ? ruler.title : table.title}</Typography>
        <Box sx={{ flex: 1 }} />
        {ruler ? (
          <>
            {asTable ? null : (
              <>
                <Button onClick={() => look.zoom(0.6)} aria-label="Zoom in" title="+" sx={{ minWidth: 32, px: 0 }}>
                  +
                </Button>
                <Button onClick={() => look.zoom(1.6)} aria-label="Zoom out" title="−" sx={{ minWidth: 32, px: 0 }}>
                  −
                </Button>
              </>
            )}
            <ToggleButtonGroup
              exclusive
              size="small"
              value={asTable ? 'table' : 'ruler'}
              aria-label="Show as"
              onChange={(_, choice: string | null) => {
                if (choice) look.setAsTable(choice === 'table')
              }}
            >
              <ToggleButton value="ruler" sx={{ py: 0.25 }}>
                Side by side
              </ToggleButton>
              <ToggleButton value="table" sx={{ py: 0.25 }}>
                The table
              </ToggleButton>
            </ToggleButtonGroup>
          </>
        ) : null}
        <Button href={`/api/tables/${table.id}/card`} target="_blank">
          Print a card
        </Button>
        <Button href={`/api/tables/${table.id}/csv`}>CSV</Button>
      </Box>
      <Typography variant="body2" sx={{ mb: 1 }}>
        {table.about}
      </Typography>
      <Box sx={{ flex: 1, minHeight: 0 }}>
        {ruler && !asTable ? (
          <RulerView
            ruler={ruler}
            value={look.value}
            span={look.span}
            selected={look.shown}
            onPick={look.pickMark}
            onStep={look.step}
            onZoom={look.zoom}
          />
        ) : (
          <TableSheet table={table} selectedId={row?.id} onPick={(item) => look.pickRow(table, item)} />
        )}
      </Box>
    </Box>
  )
}

/** While typing, rulers are drawn after the answer stands there: typing never waits for them. A step along them is drawn at once. */
const MiddleLater = memo(Middle)
const NeighboursLater = memo(NeighboursPanel)

/** Type what you would say, see it between its neighbours on every scale that has it. */
export function TablesView({ startText }: { readonly startText: string }) {
  const look = useLookup(startText)
  const deferred = useDeferredValue(look)
  const later = look.isPicked ? look : deferred
  const { table, row } = look
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '318px minmax(0, 1fr) 296px' },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        overflow: { md: 'hidden' },
      }}
    >
      <Box component="section" aria-label="Find" sx={{ ...column, borderRight: { md: `1px solid ${PALETTE.hairline}` } }}>
        <OutlinedInput
          fullWidth
          autoFocus
          value={look.text}
          placeholder="18   #60   1.02   N   P600   easy"
          inputProps={{ 'aria-label': 'Look up' }}
          onChange={(event) => look.type(event.target.value)}
          sx={{ height: 40, fontSize: 16, mb: 1.25 }}
        />
        {look.text.trim() === '' ? (
          <ShelfIndex openId={table?.id} onOpen={look.open} />
        ) : (
          <FoundList found={look.found} selected={look.shown} onPick={look.pickFinding} />
        )}
      </Box>
      {later.table ? <MiddleLater look={later} /> : <Box sx={{ p: 3, color: PALETTE.muted }}>Nothing to show for that yet.</Box>}
      <Box
        component="section"
        aria-label="What it is"
        sx={{ ...column, bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` } }}
      >
        {table && row ? <RowCard table={table} row={row} /> : null}
        {later.ruler ? <NeighboursLater ruler={later.ruler} value={later.value} onPick={later.pickNeighbour} /> : null}
      </Box>
    </Box>
  )
}
