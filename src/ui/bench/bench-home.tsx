'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import type { TemperWalk } from '@/core/route'
import type { TrayLine } from '@/server/db/repositories'
import type { PieceThumb } from '@/server/services/piece-thumb'
import type { GridColumn, GridRow } from '../grid/columns'
import { DataTable } from '../grid/data-table'
import { KeptLine } from '../offline/kept-line'
import { Ribbon } from '../route/ribbon'
import { LookChoice, useLook } from '../shared/look-choice'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { SendWaiting } from './send-waiting'
import { WaitClock } from './wait-clock'

export interface TrayView {
  readonly id: number
  readonly pieceName: string
  readonly size: number
  readonly lost: number
  readonly stepNumber: number
  readonly stepCount: number
  readonly finished: boolean
  readonly next: string
  readonly needsHeat: boolean
  readonly waiting: { readonly title: string; readonly sinceAt: string; readonly waitS: number } | null
  /** None of a tray that is finished. */
  readonly walk: TemperWalk | null
  readonly thumb: PieceThumb | null
}

function TrayRow({ tray }: { readonly tray: TrayView }) {
  return (
    <Box
      component="article"
      aria-label={`Tray ${tray.id}, ${tray.pieceName}`}
      sx={{ borderBottom: `1px solid ${PALETTE.petrolLine}`, py: 2 }}
    >
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 220 }}>
          <Typography sx={{ fontSize: 16, color: PALETTE.petrolMuted }}>
            {tray.pieceName}, tray {tray.id}, {tray.size - tray.lost} of {tray.size}
            {tray.lost > 0 ? `, ${tray.lost} lost` : ''}
          </Typography>
          <Typography component="h2" sx={{ fontSize: 26, fontWeight: 650, color: '#fff', fontFamily: 'inherit' }}>
            {tray.next}
          </Typography>
          {tray.waiting && !tray.finished ? (
            <Typography sx={{ fontSize: 16, color: PALETTE.fireBench }}>
              <WaitClock {...tray.waiting} />
            </Typography>
          ) : null}
          {tray.needsHeat ? <Typography sx={{ fontSize: 16, color: PALETTE.fireBench }}>▲ anneal due</Typography> : null}
        </Box>
        <Typography className="fig" sx={{ color: PALETTE.petrolMuted, fontSize: 16 }}>
          {tray.finished ? 'finished' : `step ${tray.stepNumber} of ${tray.stepCount}`}
        </Typography>
        <Button
          variant="contained"
          component={PageLink}
          href={`/bench/${tray.id}`}
          sx={{
            minHeight: 56,
            px: 3,
            fontSize: 16,
            '&.MuiButton-contained': {
              bgcolor: tray.finished ? PALETTE.petrolLine : PALETTE.verdigrisBench,
              borderColor: 'transparent',
              color: tray.finished ? '#fff' : '#06201b',
            },
          }}
        >
          {tray.finished ? 'Look at it' : 'Continue'}
        </Button>
      </Box>
      {tray.walk === null ? null : <Ribbon walk={tray.walk} dark now={tray.stepNumber - 1} piece={tray.thumb} hasHead={false} />}
    </Box>
  )
}

const COLUMNS: readonly GridColumn[] = [
  { key: 'id', title: 'Tray', kind: 'figure', wide: 0.5 },
  { key: 'piece', title: 'Piece', wide: 2 },
  { key: 'size', title: 'Pieces', kind: 'figure', wide: 0.6 },
  { key: 'lost', title: 'Lost', kind: 'figure', wide: 0.6 },
  { key: 'step', title: 'Step', wide: 0.8 },
  { key: 'startedAt', title: 'Started', kind: 'day' },
  { key: 'finishedAt', title: 'Finished', kind: 'day' },
]

function lineOf({ id, piece, size, lost, step, steps, startedAt, finishedAt }: TrayLine): GridRow {
  const at = finishedAt === null ? `${step} of ${steps}` : 'finished'
  return { id, href: `/bench/${id}`, cells: { id, piece, size, lost, step: at, startedAt, finishedAt } }
}

interface BenchHomeProps {
  readonly trays: readonly TrayView[]
  readonly lines: readonly TrayLine[]
  /** Where the ledger ended when these were drawn. */
  readonly upTo: number
}

/** What to do next: the trays in progress, what waits, what is due. Dark, to be read from the stool. */
export function BenchHome({ trays, lines, upTo }: BenchHomeProps) {
  const look = useLook()
  const rows = useMemo(() => lines.map(lineOf), [lines])
  if (look === 'table')
    return (
      <Box sx={{ p: 2.5, flex: 1, display: 'flex', flexDirection: 'column', gap: 1.5, minHeight: 0 }}>
        <Box sx={{ alignSelf: 'flex-end' }}>
          <LookChoice drawn="Step by step" />
        </Box>
        <Box sx={{ flex: 1, minHeight: 320 }}>
          <DataTable label="Trays" columns={COLUMNS} rows={rows} empty="No tray was started yet." />
        </Box>
      </Box>
    )
  return (
    <Box sx={{ flex: 1, bgcolor: PALETTE.petrolDeep, color: PALETTE.petrolText, px: 3, py: 1 }}>
      <SendWaiting upTo={upTo} />
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 2, flexWrap: 'wrap', pt: 1 }}>
        <KeptLine />
        <LookChoice drawn="Step by step" />
      </Box>
      {trays.length === 0 ? (
        <Box sx={{ py: 4, maxWidth: 560 }}>
          <Typography component="h2" sx={{ fontSize: 26, fontWeight: 650, color: '#fff' }}>
            The bench is clear
          </Typography>
          <Typography sx={{ fontSize: 16, mt: 1 }}>Open a piece, look over its route, and start a tray there.</Typography>
        </Box>
      ) : (
        trays.map((tray) => <TrayRow key={tray.id} tray={tray} />)
      )}
    </Box>
  )
}
