'use client'
import { type FilmKind, filmColours } from '@/core/colour'
import type { AlloyId } from '@/core/metals'
import { DIPPED, type PatinaId } from '@/core/surface'
import { FONTS, PALETTE } from '../theme/palette'

/** Which film an agent grows; none where its colour is not one of a thin film. */
export function filmKindOf(agent: PatinaId): FilmKind | undefined {
  if (DIPPED.includes(agent)) return 'sulphide'
  return agent === 'heat-colour' ? 'oxide' : undefined
}

interface FilmStripProps {
  readonly agent: PatinaId
  readonly alloy: AlloyId
  readonly width: number
  readonly isDark?: boolean
}

const TALL_PX = 34

/** The colours a film goes through as it grows, from bare metal on. Nothing where an agent does not colour by a film. */
export function FilmStrip({ agent, alloy, width, isDark = false }: FilmStripProps) {
  const kind = filmKindOf(agent)
  const found = kind && filmColours(kind, alloy)
  if (!found) return null
  const { swatches } = found
  const each = width / swatches.length
  const last = swatches.at(-1)?.thicknessNm
  const ink = isDark ? PALETTE.petrolMuted : PALETTE.muted
  return (
    <svg
      width={width}
      height={TALL_PX + 22}
      role="img"
      aria-label="Colours the film goes through as it grows, approximate"
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {swatches.map(({ thicknessNm, colour }, i) => (
        <rect key={thicknessNm} x={i * each} y={0} width={each + 0.6} height={TALL_PX} fill={colour} />
      ))}
      {swatches
        .map(({ thicknessNm }, i) => ({ thicknessNm, x: i * each }))
        .filter(({ thicknessNm }) => thicknessNm % 50 === 0)
        .map(({ thicknessNm, x }) => (
          <text
            key={thicknessNm}
            x={thicknessNm === 0 ? 0 : thicknessNm === last ? width : x + each / 2}
            y={TALL_PX + 16}
            textAnchor={thicknessNm === 0 ? 'start' : thicknessNm === last ? 'end' : 'middle'}
            fontSize={isDark ? 16 : 12.5}
            fill={ink}
          >
            {thicknessNm === 0 ? 'bare' : <tspan fontFamily={FONTS.mono}>{`${thicknessNm} nm`}</tspan>}
          </text>
        ))}
    </svg>
  )
}
