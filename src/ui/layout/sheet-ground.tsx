import type { LayoutSheet } from '@/core/layout'
import { FONTS, PALETTE } from '../theme/palette'
import type { SheetScale } from './sheet-scale'

interface GroundProps {
  readonly sheet: LayoutSheet
  readonly scale: SheetScale
  readonly colour: { readonly face: string; readonly edge: string }
}

function ticksTo(length: number): number[] {
  return Array.from({ length: Math.floor(length / 10) + 1 }, (_, i) => i * 10)
}

/** The fills of the sheet: its grain, what cannot be cut, and what is taken. */
function Fills({ sheet, colour }: Omit<GroundProps, 'scale'>) {
  return (
    <defs>
      <pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="8" height="8" fill={colour.face} />
        <rect width="3.4" height="8" fill={PALETTE.fire} />
      </pattern>
      <pattern id="taken" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill={PALETTE.ground} />
        <circle cx="3" cy="3" r="1" fill={PALETTE.muted} />
      </pattern>
      <pattern
        id="grain"
        width="64"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform={`rotate(${-(sheet.rollingDirectionDeg ?? 0)})`}
      >
        <path d="M0 1.5H40M52 1.5H64M12 5H64" stroke={colour.edge} strokeOpacity="0.28" strokeWidth="0.7" />
      </pattern>
    </defs>
  )
}

function Rule({ scale: { box, toX, toY } }: Pick<GroundProps, 'scale'>) {
  return ticksTo(box.maxX - box.minX).map((mm) => (
    <g key={mm} stroke={PALETTE.muted}>
      <path d={`M${toX(box.minX + mm)} ${toY(box.minY) + 8}v${mm % 50 === 0 ? 10 : 5}`} />
      {mm % 50 === 0 ? (
        <text
          x={toX(box.minX + mm)}
          y={toY(box.minY) + 34}
          textAnchor="middle"
          fontSize={12}
          fontFamily={FONTS.mono}
          fill={PALETTE.muted}
          stroke="none"
        >
          {mm}
        </text>
      ) : null}
    </g>
  ))
}

/** The sheet itself in its metal, with a rule under it, and what other jobs have lying there. */
export function SheetGround({ sheet, scale, colour }: GroundProps) {
  const whole = [sheet.outer, ...sheet.holes].map(scale.path).join('')
  return (
    <>
      <Fills sheet={sheet} colour={colour} />
      <path d={whole} fillRule="evenodd" fill={colour.face} stroke={colour.edge} strokeWidth={1.6} />
      <path d={whole} fillRule="evenodd" fill="url(#grain)" data-testid="grain" />
      <Rule scale={scale} />
      {(sheet.taken ?? []).map((region) => (
        <path
          key={JSON.stringify(region.outer[0])}
          d={[region.outer, ...region.holes].map(scale.path).join('')}
          fillRule="evenodd"
          fill="url(#taken)"
          stroke={PALETTE.muted}
          strokeDasharray="4 3"
          data-testid="taken"
        />
      ))}
    </>
  )
}
