'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { OwnAllowance } from '@/core/logbook'
import { formatDifference } from '@/core/units'
import type { PictureLine, RecordRow } from '@/server/db/repositories'
import type { PieceThumb } from '@/server/services/piece-thumb'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { DeviationPicture } from './deviation-picture'
import { PiecePictures } from './piece-pictures'
import { RecordTable } from './record-table'
import { type MeasuredTray, SetsPanel } from './sets-panel'
import { SpreadPlot } from './spread-plot'

interface RecordStationProps {
  readonly pieceId: number
  readonly rows: readonly RecordRow[]
  readonly own: OwnAllowance | null
  readonly picture: PieceThumb | null
  /** Losses, notes and results of tests, in words. */
  readonly events: readonly { readonly id: number; readonly words: string }[]
  readonly trayIds: readonly number[]
  /** Steps that went to the bench against a rule, each with the reason that was given. */
  readonly reasons: readonly { readonly key: string; readonly step: string; readonly rule: string; readonly reason: string }[]
  readonly pictures: readonly PictureLine[]
  /** Trays of which two pieces or more were measured. */
  readonly measured: readonly MeasuredTray[]
  /** What was measured beside the original it is made after, in words. */
  readonly besideOriginal: readonly string[]
}

/** What came out of this piece, and what it means for the next blank. */
export function RecordStation({
  pieceId,
  rows,
  own,
  picture,
  events,
  trayIds,
  reasons,
  pictures,
  measured,
  besideOriginal,
}: RecordStationProps) {
  const [first] = rows
  return (
    <Box sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.4fr) minmax(0, 1fr)' }, gap: 3 }}>
      <Box component="section" aria-label="Readings">
        <Typography variant="h2">Predicted against measured</Typography>
        {picture && first ? (
          <DeviationPicture
            piece={picture}
            label={first.label}
            predictedMm={first.predictedMm}
            growthsMm={rows.map((row) => row.growthMm)}
            height="clamp(230px, 34vh, 460px)"
          />
        ) : null}
        {rows.length > 0 ? (
          <RecordTable rows={rows} height={360} />
        ) : (
          <Box sx={{ py: 3 }}>
            <Typography>Nothing has been measured yet. Take a tray to the bench, and log the finished size there with M.</Typography>
            <Button component={PageLink} href={`/pieces/${pieceId}/route`} sx={{ mt: 1.5 }}>
              To the route
            </Button>
          </Box>
        )}
        {trayIds.length > 0 ? (
          <Typography sx={{ mt: 2 }}>
            Trays:{' '}
            {trayIds.map((id) => (
              <PageLink key={id} href={`/bench/${id}`} style={{ color: PALETTE.verdigris, fontWeight: 600, marginRight: 8 }}>
                tray {id}
              </PageLink>
            ))}
          </Typography>
        ) : null}
      </Box>
      <Box component="section" aria-label="What it means">
        <Typography variant="h2">For the next blank</Typography>
        {own ? (
          <>
            <Box className="fig" data-testid="record-allowance" sx={{ fontSize: 28, fontWeight: 700 }}>
              {own.outcome === 'offered' ? formatDifference(own.allowanceMm) : '–'}
            </Box>
            <Typography>{own.why}</Typography>
            {rows.length > 0 ? <SpreadPlot growthsMm={rows.map((row) => row.growthMm).reverse()} usedMm={own.growthMm} /> : null}
          </>
        ) : (
          <Typography>
            From the first finished piece of the same form, metal and method on, your own figure is offered beside the textbook.
          </Typography>
        )}
        {besideOriginal.length > 0 ? (
          <Box component="section" aria-label="After the original" sx={{ mt: 2 }}>
            <Typography variant="h2">After the original</Typography>
            {besideOriginal.map((words) => (
              <Typography key={words}>{words}</Typography>
            ))}
          </Box>
        ) : null}
        <SetsPanel trays={measured} />
        <Button component={PageLink} href={`/pieces/${pieceId}/check`} sx={{ mt: 2 }}>
          Check its form by a picture
        </Button>
        <PiecePictures pieceId={pieceId} pictures={pictures} />
        {events.length > 0 ? (
          <>
            <Typography variant="h2" sx={{ mt: 2 }}>
              Went wrong, and notes
            </Typography>
            <Box component="ul" sx={{ pl: 2.5, m: 0 }}>
              {events.map((event) => (
                <li key={event.id}>{event.words}</li>
              ))}
            </Box>
          </>
        ) : null}
        {reasons.length > 0 ? (
          <>
            <Typography variant="h2" sx={{ mt: 2 }}>
              Against the order of work
            </Typography>
            <Box component="ul" sx={{ pl: 2.5, m: 0 }}>
              {reasons.map(({ key, step, rule, reason }) => (
                <li key={key}>
                  {step}, against {rule}: {reason}
                </li>
              ))}
            </Box>
          </>
        ) : null}
      </Box>
    </Box>
  )
}
