import { PALETTE } from '../theme/palette'
import { LABEL, type Station, SURFACE, WIDE } from './day-geometry'

const FROM = LABEL
const TO = WIDE - 8
const WAVES = 44
const WAVE = (TO - FROM - 12) / WAVES

/** Rows of brick, each half a brick on from the one before. */
function Brick({ y }: { readonly y: number }) {
  const rows = [0, 1, 2].map((row) => y + (row * SURFACE) / 3)
  return (
    <g stroke={PALETTE.ruleLine} strokeWidth={0.7} opacity={0.65}>
      {rows.map((at, row) => (
        <g key={at}>
          <line x1={FROM} x2={TO} y1={at} y2={at} />
          {Array.from({ length: 24 }, (_, i) => FROM + 12 + i * 46 + (row % 2) * 23)
            .filter((x) => x < TO)
            .map((x) => (
              <line key={x} x1={x} x2={x} y1={at} y2={at + SURFACE / 3} />
            ))}
        </g>
      ))}
    </g>
  )
}

function Grain({ y }: { readonly y: number }) {
  return (
    <g stroke={PALETTE.ruleLine} strokeWidth={0.8} opacity={0.6} fill="none">
      {[9, 19, 28].map((down, i) => (
        <path
          key={down}
          d={`M${FROM} ${y + down}C${FROM + 260} ${y + down + (i - 1) * 7} ${FROM + 520} ${y + down - (i - 1) * 6} ${TO} ${y + down}`}
        />
      ))}
    </g>
  )
}

/** Walls, a bottom and what is in it. */
function Vessel({ y }: { readonly y: number }) {
  const level = y + 7
  const waves = Array.from({ length: WAVES }, () => `q${WAVE / 4} -4 ${WAVE / 2} 0t${WAVE / 2} 0`).join('')
  return (
    <g>
      <path d={`M${FROM + 6} ${level}${waves}V${y + SURFACE}H${FROM + 6}Z`} fill={PALETTE.verdigrisSoft} stroke="none" />
      <path
        d={`M${FROM + 2} ${y - 3}V${y + SURFACE}H${TO - 2}V${y - 3}`}
        fill="none"
        stroke={PALETTE.steelEdge}
        strokeWidth={2}
        strokeLinejoin="round"
      />
    </g>
  )
}

function Iron({ y }: { readonly y: number }) {
  return <path d={`M${FROM} ${y + 4}H${TO}M${FROM} ${y + SURFACE - 4}H${TO}`} stroke={PALETTE.ruleLine} strokeWidth={1.2} />
}

const SURFACES: Readonly<Record<Station, (at: { readonly y: number }) => React.ReactNode>> = {
  bench: Grain,
  torch: Brick,
  'pickle-pot': Vessel,
  bath: Vessel,
  'etching-pan': Vessel,
  tumbler: Vessel,
  press: Iron,
  mill: Iron,
  drill: Iron,
}

/** What a station is made of, drawn as the ground its work lies on. */
export function StationSurface({ station, y }: { readonly station: Station; readonly y: number }) {
  const Ground = SURFACES[station]
  return (
    <g>
      <rect x={FROM} y={y} width={TO - FROM} height={SURFACE} fill={PALETTE.white} stroke={PALETTE.hairline} />
      <Ground y={y} />
    </g>
  )
}
