'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import { deviationOf, viewBounds } from '@/core/drawing'
import type { PieceThumb } from '@/server/services/piece-thumb'
import { outlinePath } from '../drawing/outline-path'
import { PALETTE } from '../theme/palette'

interface DeviationPictureProps {
  readonly piece: PieceThumb
  readonly label: string
  readonly predictedMm: number
  /** Measured less predicted of each piece, the newest first. */
  readonly growthsMm: readonly number[]
  readonly height?: number | string
}

/** The piece as it was predicted, in its metal, and each piece as it came out scribed over it, the difference drawn larger. */
export function DeviationPicture({ piece, label, predictedMm, growthsMm, height = 220 }: DeviationPictureProps) {
  const { view, colour } = piece
  const { times, dimension, pieces } = useMemo(() => deviationOf(view, predictedMm, growthsMm), [view, predictedMm, growthsMm])
  const bounds = viewBounds({ ...view, dimensions: [] })
  const [wide, high] = [bounds.maxX - bounds.minX, bounds.maxY - bounds.minY]
  const room = 0.17 * Math.max(wide, high)
  const line = Math.max(wide, high) / 260
  const mean = growthsMm.reduce((sum, growth) => sum + growth, 0) / Math.max(1, growthsMm.length)
  const about = `${growthsMm.length} pieces over the one predicted: ${label.toLowerCase()} ${mean >= 0 ? 'larger' : 'smaller'} by ${Math.abs(mean).toFixed(2)} mm on average`
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <svg
        width="100%"
        style={{ height }}
        viewBox={`${bounds.minX - room} ${-bounds.maxY - room} ${wide + 2 * room} ${high + 2 * room}`}
        role="img"
        aria-label={about}
      >
        {view.shapes.map((shape, i) =>
          shape.kind === 'region' ? (
            <path
              key={`${shape.layer}-${i}`}
              d={[shape.outer, ...shape.holes].map(outlinePath).join('')}
              fillRule="evenodd"
              fill={colour.face}
              stroke={colour.edge}
              strokeWidth={line}
            />
          ) : null,
        )}
        {pieces.map((outlines, i) => (
          <path
            // the pieces have no names of their own here: their place in the row is what they are
            key={`${i}-${growthsMm[i]}`}
            d={outlines.map(outlinePath).join('')}
            fill="none"
            stroke={i === 0 ? PALETTE.fire : PALETTE.ink}
            strokeOpacity={i === 0 ? 1 : 0.35}
            strokeWidth={i === 0 ? 1.8 * line : line}
          />
        ))}
        {dimension ? (
          <g stroke={PALETTE.ink} strokeWidth={line}>
            <path
              d={`M${dimension.from[0]} ${-dimension.from[1]}L${dimension.to[0]} ${-dimension.to[1]}`}
              strokeDasharray={`${6 * line} ${4 * line}`}
            />
          </g>
        ) : null}
      </svg>
      <Typography component="figcaption" variant="body2">
        In metal as predicted, scribed as measured; the newest in red.{' '}
        {times > 1 ? (
          <>
            Differences are drawn <span className="fig">{times}</span> times as large.
          </>
        ) : null}
      </Typography>
    </Box>
  )
}
