'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { findForm } from '@/core/forms'
import { ALLOYS } from '@/core/metals'
import { formatDifference, formatPlain } from '@/core/units'
import type { LossLine } from '@/server/db/repositories'
import type { BookGroup } from '@/server/services/own-record'
import { DeviationPicture } from '../record/deviation-picture'
import { RecordTable } from '../record/record-table'
import { SpreadPlot } from '../record/spread-plot'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'
import { HandWords } from './hand-words'

function metalTitle(alloy: string): string {
  return (
    Object.values(ALLOYS)
      .find((item) => item.id === alloy)
      ?.title.toLowerCase() ?? alloy
  )
}

/** What the record says to allow on one piece's blank: the same figure as on its own pages. */
function Allow({ piece }: { readonly piece: BookGroup['pieces'][number] }) {
  const { own } = piece
  return (
    <Box sx={{ mb: 1 }}>
      <Box className="fig" data-testid={`allow-${piece.pieceId}`} sx={{ fontSize: 28, fontWeight: 700 }}>
        {own.outcome === 'offered' ? formatDifference(own.allowanceMm) : '–'}
      </Box>
      <Typography variant="body2">
        on the blank of{' '}
        <PageLink href={`/pieces/${piece.pieceId}`} style={{ color: PALETTE.verdigris, fontWeight: 600 }}>
          {piece.name}
        </PageLink>
      </Typography>
      {own.outcome === 'offered' ? (
        <Typography variant="body2">
          <span className="fig">
            {formatDifference(own.between.leastMm)} to {formatDifference(own.between.mostMm)}
          </span>{' '}
          in nine cases of ten; pieces spread <span className="fig">± {formatPlain(own.spreadMm, 2)} mm</span>
        </Typography>
      ) : null}
    </Box>
  )
}

function GroupView({ group }: { readonly group: BookGroup }) {
  const [first] = group.pieces
  const [newest] = group.rows
  return (
    <Box component="section" aria-label={`${group.form}, ${group.alloy}`} sx={{ py: 2, borderBottom: `1px solid ${PALETTE.hairline}` }}>
      <Typography variant="h3" component="h2">
        {findForm(group.form)?.title ?? group.form}, {metalTitle(group.alloy)}, {group.method}
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '220px minmax(0, 1fr) minmax(0, 1.3fr)' }, gap: 3, mt: 1 }}
      >
        <Box>
          <Typography variant="body2">allow</Typography>
          {group.pieces.map((piece) => (
            <Allow key={piece.pieceId} piece={piece} />
          ))}
          {first ? <Typography sx={{ mt: 1, fontSize: 13.5 }}>{first.own.why}</Typography> : null}
          <HandWords kind={group} notes={group.notes} />
        </Box>
        <Box>
          {first?.picture && newest ? (
            <DeviationPicture
              piece={first.picture}
              label={newest.label}
              predictedMm={newest.predictedMm}
              growthsMm={group.rows.filter((row) => row.pieceName === first.name).map((row) => row.growthMm)}
              height={150}
            />
          ) : null}
          <SpreadPlot growthsMm={group.rows.map((row) => row.growthMm).reverse()} usedMm={first?.own.growthMm ?? 0} />
        </Box>
        <Box role="region" aria-label="Readings">
          {group.sums.count > group.rows.length ? (
            <Typography variant="body2">
              the newest <span className="fig">{group.rows.length}</span> of <span className="fig">{group.sums.count}</span>
            </Typography>
          ) : null}
          <RecordTable rows={group.rows} height={380} />
        </Box>
      </Box>
    </Box>
  )
}

/** What happened, and what to allow: the smith's own figures, each with its readings and spread. */
export function BookView({ groups, losses }: { readonly groups: readonly BookGroup[]; readonly losses: readonly LossLine[] }) {
  return (
    <Box sx={{ px: 2.5, pb: 3 }}>
      {groups.length === 0 ? (
        <Typography sx={{ mt: 3, maxWidth: 560 }}>
          The book is empty. Measure finished pieces at the bench with M; from the first of a kind on, your own allowance stands here and
          beside the textbook’s answer.
        </Typography>
      ) : null}
      {groups.map((group) => (
        <GroupView key={group.form + group.alloy + group.method} group={group} />
      ))}
      {losses.length > 0 ? (
        <Box component="section" aria-label="Lost" sx={{ mt: 2 }}>
          <Typography variant="h3" component="h2">
            Lost
          </Typography>
          <Box component="ul" sx={{ pl: 2.5 }}>
            {losses.map((loss) => (
              <li key={loss.id}>
                {loss.pieceName} <span className="fig">{loss.workpiece}</span>, tray <span className="fig">{loss.trayId}</span>:{' '}
                {loss.text || 'no reason given'}
              </li>
            ))}
          </Box>
        </Box>
      ) : null}
    </Box>
  )
}
