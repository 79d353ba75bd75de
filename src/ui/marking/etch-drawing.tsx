'use client'
import type { EtchAnswer } from '@/core/etching'
import type { Outline } from '@/core/geometry'
import { PALETTE } from '../theme/palette'
import { faceScale } from './face-scale'

interface EtchDrawingProps {
  readonly outer: Outline
  readonly holes: readonly Outline[]
  readonly colour: { readonly face: string; readonly edge: string }
  readonly answer: EtchAnswer | undefined
  readonly width: number
  readonly height: number
}

/** A blank as it goes into the bath: resist dark on it, bare metal stippled where it is etched, what the etch would take of the resist marked. */
export function EtchDrawing({ outer, holes, colour, answer, width, height }: EtchDrawingProps) {
  const scale = faceScale(outer, width, height)
  const whole = [outer, ...holes].map(scale.path).join('')
  const covered = (answer?.covered ?? []).flatMap((region) => [region.outer, ...region.holes])
  return (
    <svg width={width} height={height} role="img" aria-label="Blank with its resist" style={{ display: 'block', maxWidth: '100%' }}>
      <defs>
        <pattern id="bitten" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill={colour.face} />
          <circle cx="2" cy="2" r="0.9" fill={colour.edge} fillOpacity="0.55" />
          <circle cx="5.5" cy="5.5" r="0.9" fill={colour.edge} fillOpacity="0.55" />
        </pattern>
      </defs>
      <path
        d={whole}
        fillRule="evenodd"
        fill={answer && answer.minutes > 0 ? 'url(#bitten)' : colour.face}
        stroke={colour.edge}
        strokeWidth={1.6}
      />
      <path d={covered.map(scale.path).join('')} fillRule="evenodd" fill={PALETTE.ink} fillOpacity={0.86} data-testid="resist" />
      <path d={(answer?.lost ?? []).map(scale.path).join('')} fill="none" stroke={PALETTE.fire} strokeWidth={2} data-testid="lost" />
    </svg>
  )
}
