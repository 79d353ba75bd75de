import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { formatPlain } from '@/core/units'
import type { LengthGroup } from '@/server/services/job-lengths'
import { FONTS, PALETTE } from '../theme/palette'

/** Bars are drawn to one scale, the longest as wide as this in the picture's own units. */
const WIDE = 1000
const TALL = 34
/** Narrower than this a piece has no room for its length. */
const ROOM_FOR_WORDS = 44
const ROOM_FOR_REST = 110

function Bar({
  bar,
  longestMm,
  names,
}: {
  readonly bar: LengthGroup['bars'][number]
  readonly longestMm: number
  readonly names: ReadonlyMap<string, string>
}) {
  const scale = WIDE / longestMm
  const said = `${bar.label}: ${bar.pieces.map((piece) => `${names.get(piece.id)} from ${formatPlain(piece.fromMm, 1)} to ${formatPlain(piece.toMm, 1)}`).join(', ')}; ${formatPlain(bar.leftMm, 1)} mm are left`
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '84px 1fr', alignItems: 'center', gap: 1, my: 0.75 }}>
      <Typography sx={{ fontWeight: 700 }}>{bar.label}</Typography>
      <svg viewBox={`0 0 ${WIDE} ${TALL}`} role="img" aria-label={said} style={{ width: '100%', display: 'block' }}>
        <rect x={0} y={4} width={bar.lengthMm * scale} height={TALL - 8} fill={PALETTE.rule} stroke={PALETTE.ruleLine} />
        {bar.pieces.map((piece) => {
          const width = (piece.toMm - piece.fromMm) * scale
          return (
            <g key={`${piece.id}-${piece.copy}`}>
              <rect x={piece.fromMm * scale} y={4} width={width} height={TALL - 8} fill={PALETTE.steel} stroke={PALETTE.steelEdge} />
              {width > ROOM_FOR_WORDS ? (
                <text
                  x={(piece.fromMm + piece.toMm) * 0.5 * scale}
                  y={TALL / 2 + 5}
                  textAnchor="middle"
                  fontFamily={FONTS.mono}
                  fontSize={15}
                  fill={PALETTE.onMetal}
                >
                  {formatPlain(piece.toMm - piece.fromMm, 1)}
                </text>
              ) : null}
            </g>
          )
        })}
        {bar.leftMm * scale > ROOM_FOR_REST ? (
          <text
            x={(bar.lengthMm - bar.leftMm / 2) * scale}
            y={TALL / 2 + 5}
            textAnchor="middle"
            fontFamily={FONTS.mono}
            fontSize={14}
            fill={PALETTE.muted}
          >
            {`${formatPlain(bar.leftMm, 1)} mm left`}
          </text>
        ) : null}
      </svg>
    </Box>
  )
}

function Group({ group }: { readonly group: LengthGroup }) {
  const names = new Map(group.pieces.map(({ id, name }) => [id, name]))
  const longestMm = Math.max(...group.bars.map(({ lengthMm }) => lengthMm), 1)
  return (
    <Box component="section" aria-label={group.title} sx={{ mb: 2.5 }}>
      <Typography variant="h3">{group.title}</Typography>
      <Typography variant="body2">
        {group.pieces.map(({ qty, name, lengthMm }) => `${qty} × ${formatPlain(lengthMm, 2)} mm (${name})`).join('; ')}
      </Typography>
      {group.isStrip ? (
        <Typography variant="body2">
          As wide as the strip: each is cut off square, with no line along its sides. Above, they can be laid out on sheet instead.
        </Typography>
      ) : null}
      {group.bars.map((bar) => (
        <Bar key={bar.id} bar={bar} longestMm={longestMm} names={names} />
      ))}
      <Typography variant="body2" sx={{ color: group.unplaced > 0 ? PALETTE.fire : PALETTE.muted }}>
        {group.unplaced > 0
          ? `${group.unplaced === 1 ? '1 piece finds' : `${group.unplaced} pieces find`} no metal: ${group.why}. In all, with cuts: ${formatPlain(group.neededMm, 0)} mm.`
          : `Least metal opened: ${group.why}.`}
      </Typography>
    </Box>
  )
}

/** Wire, tube and strip of a job, cut to length from what the drawer has; nothing where it has none. */
export function LengthPlans({ groups }: { readonly groups: readonly LengthGroup[] }) {
  if (groups.length === 0) return null
  return (
    <Box component="section" aria-label="Cut to length" sx={{ px: 2.5, pb: 3, maxWidth: 1100 }}>
      <Typography variant="h2" sx={{ my: 1.5 }}>
        Cut to length
      </Typography>
      {groups.map((group) => (
        <Group key={group.key} group={group} />
      ))}
    </Box>
  )
}
