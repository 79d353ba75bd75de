'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { type Finding, type Found, rowSummary } from '@/core/lookup'
import { PALETTE } from '../theme/palette'

const GROUPS = [
  { how: 'named', title: 'Exact match' },
  { how: 'near', title: 'Next to it in size' },
  { how: 'about', title: 'Also mentions' },
] as const

interface FoundListProps {
  readonly found: Found
  readonly selected: { readonly tableId: string; readonly rowId: string } | null
  readonly onPick: (finding: Finding) => void
}

function signed(difference: number, unit: string): string {
  return `${difference >= 0 ? '+' : '−'}${Math.abs(difference).toFixed(unit === 'mm' ? 3 : 1)}`
}

function Line({ finding, on, onPick }: { readonly finding: Finding; readonly on: boolean; readonly onPick: () => void }) {
  const { table, row, how, difference } = finding
  return (
    <Box component="li">
      <ButtonBase
        aria-pressed={on}
        onClick={onPick}
        sx={{
          width: '100%',
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) auto',
          columnGap: 1,
          textAlign: 'left',
          color: PALETTE.ink,
          borderLeft: `3px solid ${on ? PALETTE.verdigris : 'transparent'}`,
          bgcolor: on ? PALETTE.verdigrisSoft : 'transparent',
          px: 1,
          py: 0.6,
          '&:hover': { bgcolor: on ? PALETTE.verdigrisSoft : PALETTE.white },
        }}
      >
        <Box sx={{ fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis' }}>{row.name}</Box>
        <Box className="fig" sx={{ fontWeight: 700, textAlign: 'right' }}>
          {row.value === undefined ? '' : rowSummary(table, row)}
        </Box>
        <Box sx={{ fontSize: 12.5, color: PALETTE.muted }}>
          {table.title}
          {row.confidence === 'low' ? ', a suggestion' : ''}
        </Box>
        <Box className="fig" sx={{ fontSize: 12.5, color: PALETTE.muted, textAlign: 'right' }}>
          {how === 'near' && difference !== undefined ? signed(difference, table.unit ?? '') : ''}
        </Box>
      </ButtonBase>
    </Box>
  )
}

/** What a typed text stands for: what is called that first, then what is next to it in size, then what speaks of it. */
export function FoundList({ found, selected, onPick }: FoundListProps) {
  return (
    <Box>
      {found.question ? (
        <Box
          role="status"
          sx={{ borderLeft: `3px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, px: 1.25, py: 0.75, mb: 1, fontSize: 13.5 }}
        >
          {found.question}
        </Box>
      ) : null}
      {found.conversions.map((item) => (
        <Typography key={item.text} className="fig" sx={{ py: 0.5 }}>
          {item.text}
        </Typography>
      ))}
      {GROUPS.map(({ how, title }) => {
        const own = found.findings.filter((finding) => finding.how === how)
        if (own.length === 0) return null
        return (
          <Box key={how} component="section" aria-label={title} sx={{ mb: 1.25 }}>
            <Typography variant="h2" sx={{ borderBottom: `1px solid ${PALETTE.hairline}`, pb: 0.25 }}>
              {title}
            </Typography>
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {own.map((finding) => (
                <Line
                  key={`${finding.table.id}/${finding.row.id}`}
                  finding={finding}
                  on={selected?.tableId === finding.table.id && selected.rowId === finding.row.id}
                  onPick={() => onPick(finding)}
                />
              ))}
            </Box>
          </Box>
        )
      })}
      {found.findings.length === 0 && found.conversions.length === 0 ? (
        <Typography>
          {found.reading.kind === 'unknown' ? `${found.reading.message}. ` : 'No table has it. '}Try a gauge (18 ga), a drill (#60), a size
          (1.02), a ring (N½), a grit (P600) or a word (easy, sterling, fluoride).
        </Typography>
      ) : null}
    </Box>
  )
}
