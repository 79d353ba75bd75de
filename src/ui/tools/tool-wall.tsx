'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { TOOL_KIND_INFO, TOOL_KINDS } from '@/core/toolwall'
import type { WallTool } from '@/server/db/repositories'
import type { GridColumn, GridRow } from '../grid/columns'
import { DataTable } from '../grid/data-table'
import { LookChoice, useLook } from '../shared/look-choice'
import { PALETTE } from '../theme/palette'
import { NewTool, StartingSets } from './new-tool'
import { ToolPanel } from './tool-panel'
import { ToolShape } from './tool-shape'
import { sizeWords } from './tool-words'

function Peg({ tool, on, onPick }: { readonly tool: WallTool; readonly on: boolean; readonly onPick: () => void }) {
  const used = tool.count === 0
  return (
    <ButtonBase
      aria-pressed={on}
      aria-label={`${tool.label}, ${sizeWords(tool)}${tool.count === undefined ? '' : `, ${tool.count} on hand`}`}
      onClick={onPick}
      sx={{
        color: PALETTE.ink,
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        justifyContent: 'flex-end',
        gap: 0.25,
        minWidth: 40,
        maxWidth: 150,
        minHeight: 44,
        p: 0.5,
        border: `1px solid ${on ? PALETTE.verdigris : 'transparent'}`,
        borderRadius: '4px',
        bgcolor: on ? PALETTE.verdigrisSoft : 'transparent',
        '&:hover': { borderColor: PALETTE.hairline },
        '& svg': { opacity: used ? 0.3 : 1, maxWidth: '100%' },
      }}
    >
      <ToolShape tool={tool} />
      <Box sx={{ fontSize: 12.5, fontWeight: 600, lineHeight: 1.15, textAlign: 'center' }}>
        {tool.label}
        {tool.measured === undefined ? '' : ' ✓'}
      </Box>
      {tool.count === undefined || (tool.kind === 'drill' && tool.count === 1) ? null : (
        <Box className="fig" sx={{ fontSize: 12, color: used ? PALETTE.fire : PALETTE.muted }}>
          {used ? 'none left' : `${tool.count}`}
        </Box>
      )}
    </ButtonBase>
  )
}

const COLUMNS: readonly GridColumn[] = [
  { key: 'kind', title: 'What', wide: 1.2 },
  { key: 'label', title: 'Name', wide: 1.6 },
  { key: 'sold', title: 'As sold', kind: 'figure' },
  { key: 'measured', title: 'Measured', kind: 'figure' },
  { key: 'unit', title: 'Unit', wide: 0.6 },
  { key: 'count', title: 'On hand', kind: 'figure' },
  { key: 'broken', title: 'Broken', kind: 'figure' },
]

function rowOf(tool: WallTool): GridRow {
  const { title, size } = TOOL_KIND_INFO[tool.kind]
  const { id, label, nominal = null, measured = null, count = null, broken } = tool
  return { id, cells: { kind: title, label, sold: nominal, measured, unit: size?.unit ?? '', count, broken } }
}

/** Every tool the smith owns, hung by kind and size; the one in the hand at the right. */
export function ToolWall({ tools }: { readonly tools: readonly WallTool[] }) {
  const [inHand, setInHand] = useState<number | null>(null)
  const [adding, setAdding] = useState(tools.length === 0)
  const [said, setSaid] = useState('')
  const look = useLook()
  const rows = useMemo(() => tools.map(rowOf), [tools])
  const tool = tools.find((item) => item.id === inHand)
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 300px' },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        overflow: { md: 'hidden' },
      }}
    >
      <Box
        component="section"
        aria-label="Wall"
        sx={{ px: 2.5, py: 1.5, overflowY: 'auto', minHeight: 0, display: 'flex', flexDirection: 'column' }}
      >
        <Box sx={{ display: 'flex', justifyContent: 'flex-end', mb: 0.5 }}>
          <LookChoice drawn="To scale" />
        </Box>
        {tools.length === 0 ? (
          <Typography sx={{ mb: 1.5 }}>
            Nothing hangs here yet. Tick the sets you own at the right; then plans and advice pick from your own tools and say when the best
            one is missing.
          </Typography>
        ) : null}
        {look === 'table' ? (
          <DataTable label="Tools" columns={COLUMNS} rows={rows} shown={inHand ?? undefined} onPick={(id) => setInHand(Number(id))} />
        ) : null}
        {(look === 'table' ? [] : TOOL_KINDS).map((kind) => {
          const own = tools.filter((item) => item.kind === kind)
          if (own.length === 0) return null
          return (
            <Box component="section" key={kind} aria-label={TOOL_KIND_INFO[kind].title} sx={{ mb: 1.5 }}>
              <Typography variant="h3" component="h2" sx={{ borderBottom: `1px solid ${PALETTE.hairline}`, pb: 0.25 }}>
                {TOOL_KIND_INFO[kind].title}{' '}
                <Box component="span" className="fig" sx={{ fontSize: 13, color: PALETTE.muted }}>
                  {own.length}
                </Box>
              </Typography>
              <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'flex-end', columnGap: 0.25, pt: 0.75 }}>
                {own.map((item) => (
                  <Peg key={item.id} tool={item} on={item.id === inHand} onPick={() => setInHand(item.id)} />
                ))}
              </Box>
            </Box>
          )
        })}
      </Box>
      <Box
        component="section"
        aria-label="In the hand"
        sx={{
          bgcolor: PALETTE.paper,
          borderLeft: { md: `1px solid ${PALETTE.hairline}` },
          px: 2.25,
          py: 1.5,
          overflowY: 'auto',
          minHeight: 0,
        }}
      >
        <Button variant={adding ? 'outlined' : 'contained'} onClick={() => setAdding(!adding)} sx={{ mb: 1.5 }}>
          {adding ? 'Back to the wall' : 'Hang tools up'}
        </Button>
        <Typography role="status" variant="body2">
          {said}
        </Typography>
        {adding ? (
          <Box sx={{ display: 'grid', gap: 2.5 }}>
            <StartingSets
              onDone={(added) => {
                setSaid(`${added} tools hung up.`)
                setAdding(false)
              }}
            />
            <NewTool onDone={() => setAdding(false)} />
          </Box>
        ) : tool ? (
          <ToolPanel key={`${tool.id}-${tool.measured}`} tool={tool} onGone={() => setInHand(null)} />
        ) : (
          <Typography variant="body2">Pick a tool to measure it, count it or take it down. A tick says it has been measured.</Typography>
        )}
      </Box>
    </Box>
  )
}
